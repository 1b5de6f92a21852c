import { z } from 'zod'
import { voltsInput } from '../rules/inputs'
import { rule } from '../rules/rule'

const GOOD_MOHM = 5
const FLOOR_MOHM = 1
const REFERENCE_C = 40

/** Judges an insulation test of a motor at hand, its reading brought to 40 degrees. */
export const insulationCheck = rule({
  id: 'motor.insulation-check',
  input: z.strictObject({
    testMOhm: z.number().gt(0).max(1e6),
    temperatureC: z.number().min(-20).max(150),
    voltageV: voltsInput,
  }),
  output: z.object({
    verdict: z.enum(['pass', 'dry-out', 'reject']),
    at40CMOhm: z.number(),
  }),
  compute: ({ testMOhm, temperatureC }) => {
    const at40CMOhm = testMOhm * 0.5 ** ((REFERENCE_C - temperatureC) / 10)
    return {
      verdict:
        at40CMOhm >= GOOD_MOHM
          ? ('pass' as const)
          : at40CMOhm >= FLOOR_MOHM
            ? ('dry-out' as const)
            : ('reject' as const),
      at40CMOhm,
    }
  },
})
