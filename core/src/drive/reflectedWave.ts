import { z } from 'zod'
import { voltsInput } from '../rules/inputs'
import { rule } from '../rules/rule'

/** Speed of a voltage front along motor cable, m/s. */
const FRONT_M_PER_S = 150e6

/** Peak at the motor's terminals when a drive's steep fronts run back and forth along the cable. */
export const reflectedWave = rule({
  id: 'drive.reflected-wave',
  input: z.strictObject({
    cableM: z.number().min(0).max(10_000),
    busV: voltsInput,
    riseTimeS: z.number().gt(0).max(1e-3),
  }),
  output: z.object({
    peakV: z.number(),
    criticalM: z.number(),
  }),
  compute: ({ cableM, busV, riseTimeS }) => {
    const criticalM = (FRONT_M_PER_S * riseTimeS) / 2
    return { peakV: busV * (1 + Math.min(1, cableM / criticalM)), criticalM }
  },
})
