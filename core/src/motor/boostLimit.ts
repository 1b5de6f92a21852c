import { z } from 'zod'
import { amps, gives } from '../rules/inputs'
import { rule } from '../rules/rule'

/** Current that a voltage boost drives through a motor at standstill, where only resistance holds it. */
export const boostLimit = rule({
  id: 'motor.boost-limit',
  title: 'Current of a voltage boost at standstill',
  input: z.strictObject({
    boostV: z.number().gt(0).max(1000).describe('V, between lines at standstill'),
    r1Ohm: z.number().gt(0).max(1e5).describe('ohm, stator resistance per phase of the star equivalent'),
    ratedCurrentA: amps('on the plate for the connection used'),
  }),
  output: z.object({
    currentA: gives('A', 'at standstill'),
    permitted: z.boolean().describe('true up to the rated current'),
  }),
  formula: 'I = V_b / (sqrt(3) R1), at most rated',
  source: 'Ohm’s law; at standstill the winding has no other voltage against it',
  example: { boostV: 10, r1Ohm: 1.35, ratedCurrentA: 6 },
  compute: ({ boostV, r1Ohm, ratedCurrentA }) => {
    const currentA = boostV / (Math.sqrt(3) * r1Ohm)
    return { currentA, permitted: currentA <= ratedCurrentA }
  },
})
