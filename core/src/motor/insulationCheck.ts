import { z } from 'zod'
import { gives, volts } from '../rules/inputs'
import { rule } from '../rules/rule'

const GOOD_MOHM = 5
const FLOOR_MOHM = 1
const REFERENCE_C = 40

/** Judges an insulation test of a motor at hand, its reading brought to 40 degrees. */
export const insulationCheck = rule({
  id: 'motor.insulation-check',
  title: 'Insulation of a motor at hand',
  input: z.strictObject({
    testMOhm: z
      .number()
      .gt(0)
      .max(1e6)
      .describe('Mohm, winding to frame, read after a minute at 500 V direct with the drive DISCONNECTED'),
    temperatureC: z.number().min(-20).max(150).describe('degrees C, of the winding'),
    voltageV: volts('rated voltage of the winding'),
  }),
  output: z.object({
    verdict: z
      .enum(['pass', 'dry-out', 'reject'])
      .describe('pass from 5 Mohm at 40 C; dry out and test again from 1; reject under 1'),
    at40CMOhm: gives('Mohm', 'the reading brought to 40 C'),
  }),
  formula: 'R40 = R x 0.5^((40 - T)/10); pass at 5 Mohm and over, floor 1 Mohm',
  source: 'IEEE Std 43 (insulation resistance, random-wound windings under 1 kV)',
  example: { testMOhm: 20, temperatureC: 20, voltageV: 400 },
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
