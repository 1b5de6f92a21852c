import { z } from 'zod'
import { angularSpeed } from '../drivetrain/angularSpeed'
import { gives, share, volts } from '../rules/inputs'
import { rule } from '../rules/rule'
import { movingMass } from './rampTime'

/** Preferred resistances within a decade (IEC 60063, E12). */
const E12 = [1, 1.2, 1.5, 1.8, 2.2, 2.7, 3.3, 3.9, 4.7, 5.6, 6.8, 8.2]
/** Kept from the drive's least and from the most that still takes the peak. */
const ABOVE_LEAST = 1.1
const UNDER_MOST = 0.9

const preferred = [-1, 0, 1, 2, 3, 4, 5].flatMap((d) => E12.map((e) => Number((e * 10 ** d).toPrecision(2))))

/** Largest preferred value between two resistances, if any. */
const preferredWithin = (least: number, most: number): number | undefined =>
  preferred.findLast((v) => v >= least && v <= most)

/** What a braking resistor must take to stop a mass in a given time. */
export const brakeResistor = rule({
  id: 'drive.brake-resistor',
  title: 'Brake resistor for a stop',
  input: z.strictObject({
    ...movingMass,
    stopSeconds: z.number().gt(0).max(3600).describe('s, to standstill, along a straight ramp'),
    efficiency: share('of motor and drive while generating'),
    chopperV: volts('direct, at which the chopper works'),
    minOhm: z.number().gt(0).max(1e5).describe('ohm, the least the drive allows'),
    cycleSeconds: z.number().gt(0).max(1e6).describe('s, from one stop to the next'),
  }),
  output: z.object({
    energyJ: gives('J', 'into the resistor in one stop'),
    peakW: gives('W', 'at the start of the stop; 0 or under: friction alone stops it sooner'),
    averageW: gives('W', 'over the cycle'),
    maxOhm: gives('ohm', 'the most that still takes the peak').optional(),
    suggestedOhm: gives('ohm', 'largest E12 value with a tenth in hand either way').optional(),
    feasible: z.boolean().describe('true where none is needed, or one fits'),
  }),
  formula:
    'P = eta w (J w/t - T_f);  E = eta (J w^2/2 - T_f w t/2);  R_max = V_ch^2/P;  suggested: largest E12 within 1.1 R_min and 0.9 R_max',
  source: 'Energy balance of a straight ramp; IEC 60063 (E12); the tenths are planning values',
  example: {
    inertiaKgM2: 0.35,
    speedRpm: 1200,
    stopSeconds: 3,
    frictionNm: 1.2,
    efficiency: 0.8,
    chopperV: 385,
    minOhm: 80,
    cycleSeconds: 60,
  },
  compute: ({ inertiaKgM2, speedRpm, stopSeconds, frictionNm, efficiency, chopperV, minOhm, cycleSeconds }) => {
    const w = angularSpeed(speedRpm)
    const peakW = efficiency * w * ((inertiaKgM2 * w) / stopSeconds - frictionNm)
    const energyJ = Math.max(0, efficiency * ((inertiaKgM2 * w ** 2) / 2 - (frictionNm * w * stopSeconds) / 2))
    const averageW = energyJ / cycleSeconds
    if (peakW <= 0) return { energyJ: 0, peakW, averageW: 0, feasible: true }
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
