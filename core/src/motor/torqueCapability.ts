import { z } from 'zod'
import { shaftFanCurve } from '../data/shaftFanCurve'
import { gives, hertz, hertzFromZero } from '../rules/inputs'
import { Refusal, rule } from '../rules/rule'
import { fanCooling } from './fanCooling'

/** Pull-out kept in hand over the load above base, where pull-out falls as the square. */
const MARGIN = 1.3
/** A blower cools a rotor that stands still, but one winding then carries the peak of the current. */
const STANDSTILL = 0.7

/** Torque the motor itself can give at a frequency, all day and for moments; the drive's amps limit it further. */
export const torqueCapability = rule({
  id: 'motor.torque-capability',
  title: 'Torque the motor can give at a frequency',
  input: z.strictObject({
    frequencyHz: hertzFromZero('at the motor'),
    ratedFrequencyHz: hertz('base frequency, on the plate'),
    ratedTorqueNm: z.number().gt(0).max(1e6).describe('N m, rated'),
    breakdownRatio: z.number().gt(1).max(12).describe('pull-out over rated torque'),
    cooling: z.enum(['shaft-fan', 'blower']).describe('how it is cooled'),
    inverterDutyRatio: z.number().min(1).max(5000).optional().describe('the 10 of a 10:1 constant-torque plate'),
  }),
  output: z.object({
    continuousNm: gives(
      'N m',
      'all day; absent under a tenth of base on the shaft fan, where it is not known',
    ).optional(),
    peakNm: gives('N m', 'for moments, at the edge of pull-out'),
  }),
  formula:
    'to base: peak b Tr; continuous Tr with a blower (0.7 Tr at standstill), by the shaft-fan curve, or Tr down to fb/ratio where the plate says so;  above base: continuous Tr min(fb/f, b (fb/f)^2/1.3), peak b Tr (fb/f)^2; they cross at fb b/1.3',
  source: `${shaftFanCurve.source}; margin 1.3 to pull-out is a planning value`,
  example: { frequencyHz: 25, ratedFrequencyHz: 50, ratedTorqueNm: 10.087, breakdownRatio: 2.4, cooling: 'shaft-fan' },
  compute: ({ frequencyHz, ratedFrequencyHz, ratedTorqueNm, breakdownRatio, cooling, inverterDutyRatio }) => {
    const share = frequencyHz / ratedFrequencyHz
    if (share > 1)
      return {
        continuousNm: ratedTorqueNm * Math.min(1 / share, breakdownRatio / share ** 2 / MARGIN),
        peakNm: (breakdownRatio * ratedTorqueNm) / share ** 2,
      }
    const peakNm = breakdownRatio * ratedTorqueNm
    if (cooling === 'blower') return { continuousNm: ratedTorqueNm * (frequencyHz === 0 ? STANDSTILL : 1), peakNm }
    if (inverterDutyRatio !== undefined && share >= 1 / inverterDutyRatio)
      return { continuousNm: ratedTorqueNm, peakNm }
    const cooled = fanCooling.compute({ frequencyFraction: share })
    return cooled instanceof Refusal ? { peakNm } : { continuousNm: ratedTorqueNm * cooled.torqueFraction, peakNm }
  },
})
