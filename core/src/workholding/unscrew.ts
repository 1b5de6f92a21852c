import { z } from 'zod'
import { angularSpeed } from '../drivetrain/angularSpeed'
import { gives, rpm } from '../rules/inputs'
import { rule } from '../rules/rule'

/** Torque with which a spinning chuck tries to go on while its threaded spindle stops. */
export const unscrew = rule({
  id: 'workholding.unscrew',
  title: 'Unscrewing torque of a chuck on a threaded nose',
  input: z.strictObject({
    inertiaKgM2: z.number().gt(0).max(1e5).describe('kg m2, of chuck and work'),
    speedRpm: rpm('spindle speed at which the stop begins'),
    stopSeconds: z.number().gt(0).max(3600).describe('s, to standstill'),
    seatNm: z.number().gt(0).max(1e5).optional().describe('N m, measured torque that loosens the seated chuck'),
  }),
  output: z.object({
    torqueNm: gives('N m', 'at the chuck’s thread'),
    permitted: z
      .boolean()
      .describe('true only where it is at most half the measured seating torque; false where that is unknown'),
  }),
  formula: 'T = J w / t, permitted up to half the measured seating torque',
  source: 'Mechanics; the factor of two is a planning value',
  example: { inertiaKgM2: 0.18, speedRpm: 800, stopSeconds: 4, seatNm: 40 },
  compute: ({ inertiaKgM2, speedRpm, stopSeconds, seatNm }) => {
    const torqueNm = (inertiaKgM2 * angularSpeed(speedRpm)) / stopSeconds
    return { torqueNm, permitted: seatNm !== undefined && torqueNm <= seatNm / 2 }
  },
})
