import { z } from 'zod'
import { voltsInput } from '../rules/inputs'
import { rule } from '../rules/rule'

const UNDER_LOAD = 0.9

/** Fastest a brushless motor turns on its bus. */
export const brushlessSpeed = rule({
  id: 'brushless.speed',
  input: z.strictObject({
    busV: voltsInput,
    rpmPerVolt: z.number().gt(0).max(1e5),
  }),
  output: z.object({
    speedRpm: z.number(),
    noLoadRpm: z.number(),
  }),
  compute: ({ busV, rpmPerVolt }) => ({ speedRpm: UNDER_LOAD * rpmPerVolt * busV, noLoadRpm: rpmPerVolt * busV }),
})
