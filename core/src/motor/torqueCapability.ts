import { z } from 'zod'
import { hertzInput, hertzFromZeroInput } from '../rules/inputs'
import { Refusal, rule } from '../rules/rule'
import { fanCooling } from './fanCooling'

/** Pull-out kept in hand over the load where the field is weak, as pull-out falls as its square. */
export const PULL_OUT_MARGIN = 1.3
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
    fluxFraction: z.number().gt(0).max(5).optional(),
    baseFrequencyHz: hertzInput.optional(),
  }),
  output: z.object({
    continuousNm: z.number().optional(),
    peakNm: z.number(),
  }),
  compute: ({
    frequencyHz,
    ratedFrequencyHz,
    ratedTorqueNm,
    breakdownRatio,
    cooling,
    inverterDutyRatio,
    fluxFraction = 1,
    baseFrequencyHz = ratedFrequencyHz,
  }) => {
    // Too much flux gives no more torque, only heat; above the base that is set it falls with the hertz.
    const flux = Math.min(1, fluxFraction * Math.min(1, baseFrequencyHz / frequencyHz))
    const peakNm = breakdownRatio * ratedTorqueNm * flux ** 2
    const fielded = Math.min(1, flux, (breakdownRatio * flux ** 2) / PULL_OUT_MARGIN)
    const cooled = cooledShare(frequencyHz / ratedFrequencyHz, cooling, inverterDutyRatio)
    return cooled === undefined ? { peakNm } : { continuousNm: ratedTorqueNm * Math.min(cooled, fielded), peakNm }
  },
})

/** Share of rated torque that the cooling lets it hold all day: it goes by the hertz over the plate's. */
function cooledShare(
  share: number,
  cooling: 'shaft-fan' | 'blower',
  inverterDutyRatio: number | undefined,
): number | undefined {
  if (share >= 1) return 1
  if (cooling === 'blower') return share === 0 ? STANDSTILL : 1
  if (inverterDutyRatio !== undefined && share >= 1 / inverterDutyRatio) return 1
  const cooled = fanCooling.compute({ frequencyFraction: share })
  return cooled instanceof Refusal ? undefined : cooled.torqueFraction
}
