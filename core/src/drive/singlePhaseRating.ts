import { z } from 'zod'
import { ampsInput } from '../rules/inputs'
import { rule } from '../rules/rule'

/** What a three-phase-input drive may give when it is fed from one phase. */
export const singlePhaseRating = rule({
  id: 'drive.single-phase-rating',
  input: z.strictObject({
    ratedOutputA: ampsInput,
    factor: z.number().gt(0).max(1).default(0.43),
    ratedInputA: ampsInput.optional(),
    permitted: z.boolean(),
  }),
  output: z.object({
    outputA: z.number(),
    inputLimitA: z.number().optional(),
  }),
  compute: ({ ratedOutputA, factor, ratedInputA, permitted }) => ({
    outputA: permitted ? factor * ratedOutputA : 0,
    ...(ratedInputA === undefined ? {} : { inputLimitA: ratedInputA }),
  }),
})
