import { z } from 'zod'
import { amps, gives, phases, share, volts } from '../rules/inputs'
import { rule } from '../rules/rule'

/** Amps that the wall gives to a converter or transformer for what stands behind it. */
export const behindSource = rule({
  id: 'supply.behind-source',
  title: 'Wall amps in front of a converter or transformer',
  input: z.strictObject({
    loadA: amps('taken from it'),
    loadV: volts('it gives'),
    loadPhases: phases,
    wallV: volts('at the wall'),
    wallPhases: phases,
    efficiency: share('of the converter or transformer'),
  }),
  output: z.object({
    currentA: gives('A', 'at the wall'),
    throughVA: gives('VA', 'that go through it'),
  }),
  formula: 'S = k V I (k = 1, or root three on three phases);  I_wall = S / (eta k_wall V_wall)',
  source: 'Conservation of power, the wave’s shape passed on as it is',
  example: { loadA: 8, loadV: 230, loadPhases: 3, wallV: 230, wallPhases: 1, efficiency: 0.85 },
  compute: ({ loadA, loadV, loadPhases, wallV, wallPhases, efficiency }) => {
    const k = (count: 1 | 3) => (count === 3 ? Math.sqrt(3) : 1)
    const throughVA = k(loadPhases) * loadV * loadA
    return { throughVA, currentA: throughVA / (efficiency * k(wallPhases) * wallV) }
  },
})
