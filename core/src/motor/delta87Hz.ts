import { z } from 'zod'
import { ampsInput, hertzInput, rpmInput, voltsInput, wattsInput } from '../rules/inputs'
import { refuse, rule } from '../rules/rule'

/** The lower-voltage links of a motor on a drive of higher volts: full flux, and full torque, to more than plate hertz. */
export const delta87Hz = rule({
  id: 'motor.delta-87-hz',
  input: z.strictObject({
    lowVoltageV: voltsInput,
    lowVoltageA: ampsInput,
    plateFrequencyHz: hertzInput,
    ratedSpeedRpm: rpmInput,
    powerW: wattsInput,
    driveV: voltsInput,
    safeRpm: rpmInput.optional(),
    driveA: ampsInput.optional(),
  }),
  output: z.object({
    baseFrequencyHz: z.number(),
    usableHz: z.number(),
    powerW: z.number(),
    currentA: z.number(),
    permitted: z.boolean(),
  }),
  compute: ({ lowVoltageV, lowVoltageA, plateFrequencyHz, ratedSpeedRpm, powerW, driveV, safeRpm, driveA }) => {
    if (driveV <= lowVoltageV)
      return refuse('driveV', `must be above the links’ ${lowVoltageV} V: else there is nothing to gain`)
    const baseFrequencyHz = (plateFrequencyHz * driveV) / lowVoltageV
    const usableHz =
      safeRpm === undefined ? baseFrequencyHz : Math.min(baseFrequencyHz, (plateFrequencyHz * safeRpm) / ratedSpeedRpm)
    return {
      baseFrequencyHz,
      usableHz,
      powerW: (powerW * usableHz) / plateFrequencyHz,
      currentA: lowVoltageA,
      permitted: driveA === undefined || driveA >= lowVoltageA,
    }
  },
})
