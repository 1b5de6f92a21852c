import { z } from 'zod'
import { phasesInput, voltsInput } from '../rules/inputs'
import { refuse, rule } from '../rules/rule'

/** Mean volts of a rectifier bridge on a wall, as its thyristors fire later; current flowing without a gap. */
export const bridgeVoltage = rule({
  id: 'dc.bridge-voltage',
  input: z.strictObject({
    supplyV: voltsInput,
    phases: phasesInput,
    control: z.enum(['full', 'half', 'diodes']),
    firingDeg: z.number().min(0).max(180).default(0),
  }),
  output: z.object({ meanV: z.number(), mostV: z.number() }),
  compute: ({ supplyV, phases, control, firingDeg }) => {
    const mostV = (phases === 1 ? (2 * Math.SQRT2) / Math.PI : (3 * Math.SQRT2) / Math.PI) * supplyV
    if (control === 'diodes' && firingDeg !== 0) return refuse('firingDeg', 'must be 0: diodes fire by themselves')
    const cosine = Math.cos((firingDeg * Math.PI) / 180)
    return { meanV: control === 'full' ? mostV * cosine : (mostV * (1 + cosine)) / 2, mostV }
  },
})
