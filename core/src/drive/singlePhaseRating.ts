import { z } from 'zod'
import { amps, gives } from '../rules/inputs'
import { rule } from '../rules/rule'

/** What a three-phase-input drive may give when it is fed from one phase. */
export const singlePhaseRating = rule({
  id: 'drive.single-phase-rating',
  title: 'Output of a three-phase-input drive on one phase',
  input: z.strictObject({
    ratedOutputA: amps('plate output current'),
    factor: z
      .number()
      .gt(0)
      .max(1)
      .default(0.43)
      .describe('share left on one phase: the maker’s figure, or the typical 0.43'),
    ratedInputA: amps('plate input current per line, never to be exceeded on one phase either').optional(),
    permitted: z.boolean().describe('true where the manual allows one phase (phase-loss trip, link or jumper)'),
  }),
  output: z.object({
    outputA: gives('A', 'usable output current; 0 where the manual does not allow it'),
    inputLimitA: gives('A', 'the plate input current, which still bounds each line').optional(),
  }),
  formula: 'I_out = factor x I_rated where permitted, else 0',
  source:
    'Rectifier line current on one phase is root three larger at a lower power factor; factor 0.43 typical, the maker rules',
  example: { ratedOutputA: 17, factor: 0.43, permitted: true },
  compute: ({ ratedOutputA, factor, ratedInputA, permitted }) => ({
    outputA: permitted ? factor * ratedOutputA : 0,
    ...(ratedInputA === undefined ? {} : { inputLimitA: ratedInputA }),
  }),
})
