import { z } from 'zod'
import { angularSpeed } from '../drivetrain/angularSpeed'
import { rpmInput } from '../rules/inputs'
import { rule } from '../rules/rule'

/** Torque with which a spinning chuck tries to go on while its threaded spindle stops. */
export const unscrew = rule({
  id: 'workholding.unscrew',
  input: z.strictObject({
    inertiaKgM2: z.number().gt(0).max(1e5),
    speedRpm: rpmInput,
    stopSeconds: z.number().gt(0).max(3600),
    seatNm: z.number().gt(0).max(1e5).optional(),
  }),
  output: z.object({
    torqueNm: z.number(),
    permitted: z.boolean(),
  }),
  compute: ({ inertiaKgM2, speedRpm, stopSeconds, seatNm }) => {
    const torqueNm = (inertiaKgM2 * angularSpeed(speedRpm)) / stopSeconds
    return { torqueNm, permitted: seatNm !== undefined && torqueNm <= seatNm / 2 }
  },
})
