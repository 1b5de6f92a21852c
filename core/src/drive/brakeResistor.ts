import { z } from 'zod'
import { preferredOhms } from '../data/preferredOhms'
import { angularSpeed } from '../drivetrain/angularSpeed'
import { shareInput, voltsInput } from '../rules/inputs'
import { rule } from '../rules/rule'
import { movingMass } from './rampTime'

/** Kept from the drive's least and from the most that still takes the peak. */
const ABOVE_LEAST = 1.1
const UNDER_MOST = 0.9

/** Largest preferred value between two resistances, if any. */
const preferredWithin = (least: number, most: number): number | undefined =>
  preferredOhms.findLast((v) => v >= least && v <= most)

/** What a braking resistor must take to stop a mass in a given time. */
export const brakeResistor = rule({
  id: 'drive.brake-resistor',
  input: z.strictObject({
    ...movingMass,
    stopSeconds: z.number().gt(0).max(3600),
    efficiency: shareInput,
    chopperV: voltsInput,
    minOhm: z.number().gt(0).max(1e5),
    cycleSeconds: z.number().gt(0).max(1e6),
  }),
  output: z.object({
    energyJ: z.number(),
    peakW: z.number(),
    averageW: z.number(),
    maxOhm: z.number().optional(),
    suggestedOhm: z.number().optional(),
    feasible: z.boolean(),
  }),
  compute: ({ inertiaKgM2, speedRpm, stopSeconds, frictionNm, efficiency, chopperV, minOhm, cycleSeconds }) => {
    const w = angularSpeed(speedRpm)
    const peakW = efficiency * w * ((inertiaKgM2 * w) / stopSeconds - frictionNm)
    const energyJ = Math.max(0, efficiency * ((inertiaKgM2 * w ** 2) / 2 - (frictionNm * w * stopSeconds) / 2))
    const averageW = energyJ / cycleSeconds
    // Friction alone stops it sooner: nothing comes back.
    if (peakW <= 0) return { energyJ: 0, peakW: 0, averageW: 0, feasible: true }
    const maxOhm = chopperV ** 2 / peakW
    const suggestedOhm = preferredWithin(ABOVE_LEAST * minOhm, UNDER_MOST * maxOhm)
    return {
      energyJ,
      peakW,
      averageW,
      maxOhm,
      ...(suggestedOhm === undefined ? {} : { suggestedOhm }),
      feasible: suggestedOhm !== undefined,
    }
  },
})
