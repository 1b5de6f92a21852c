import { z } from 'zod'
import { voltsInput } from '../rules/inputs'
import { rule } from '../rules/rule'

/** Two diodes that carry at a time, V. */
const DIODES_V = 2

/** Bus of a driver behind transformer, rectifier and capacitors, at low and at high mains. */
export const brushlessBus = rule({
  id: 'brushless.bus',
  input: z.strictObject({
    secondaryV: voltsInput,
    loadedShare: z.number().gt(0.5).max(1).default(0.9),
    tolerance: z.number().min(0).max(0.3).default(0.1),
  }),
  output: z.object({ lowV: z.number(), nominalV: z.number(), highV: z.number() }),
  compute: ({ secondaryV, loadedShare, tolerance }) => {
    const at = (share: number) => Math.max(0, Math.SQRT2 * secondaryV * share - DIODES_V)
    return { lowV: at(loadedShare * (1 - tolerance)), nominalV: at(1), highV: at(1 + tolerance) }
  },
})
