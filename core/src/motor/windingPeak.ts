import { z } from 'zod'
import { voltsInput } from '../rules/inputs'
import { rule } from '../rules/rule'

/** What any winding stands, V. */
const LEAST_V = 1000

/** Peak that a winding made for drives stands between its terminals. */
export const windingPeak = rule({
  id: 'motor.winding-peak',
  input: z.strictObject({
    ratedVoltageV: voltsInput,
    timesRated: z.number().gt(1).max(10),
  }),
  output: z.object({ peakV: z.number() }),
  compute: ({ ratedVoltageV, timesRated }) => ({ peakV: Math.max(LEAST_V, timesRated * ratedVoltageV) }),
})
