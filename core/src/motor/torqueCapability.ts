import { z } from 'zod'
import { hertzInput, hertzFromZeroInput } from '../rules/inputs'
import { Refusal, rule } from '../rules/rule'
import { fanCooling } from './fanCooling'

/** Pull-out kept in hand over the load above base, where pull-out falls as the square. */
const MARGIN = 1.3
/** A blower cools a rotor that stands still, but one winding then carries the peak of the current. */
const STANDSTILL = 0.7

/** Torque the motor itself can give at a frequency, all day and for moments; the drive's amps limit it further. */
export const torqueCapability = rule({
  id: 'motor.torque-capability',
  input: z.strictObject({
    frequencyHz: hertzFromZeroInput,
    ratedFrequencyHz: hertzInput,
    ratedTorqueNm: z.number().gt(0).max(1e6),
    breakdownRatio: z.number().gt(1).max(12),
    cooling: z.enum(['shaft-fan', 'blower']),
    inverterDutyRatio: z.number().min(1).max(5000).optional(),
  }),
  output: z.object({
    continuousNm: z.number().optional(),
    peakNm: z.number(),
  }),
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
