import { z } from 'zod'
import { ampsInput, phasesInput, shareInput, voltsInput } from '../rules/inputs'
import { rule } from '../rules/rule'

/** Amps that the wall gives to a converter or transformer for what stands behind it. */
export const behindSupplyUnit = rule({
  id: 'supply.behind-unit',
  input: z.strictObject({
    loadA: ampsInput,
    loadV: voltsInput,
    loadPhases: phasesInput,
    wallV: voltsInput,
    wallPhases: phasesInput,
    efficiency: shareInput,
  }),
  output: z.object({
    currentA: z.number(),
    throughVA: z.number(),
  }),
  compute: ({ loadA, loadV, loadPhases, wallV, wallPhases, efficiency }) => {
    const k = (count: 1 | 3) => (count === 3 ? Math.sqrt(3) : 1)
    const throughVA = k(loadPhases) * loadV * loadA
    return { throughVA, currentA: throughVA / (efficiency * k(wallPhases) * wallV) }
  },
})
