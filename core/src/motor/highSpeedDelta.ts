import { z } from 'zod'
import { amps, gives, hertz, rpm, volts, watts } from '../rules/inputs'
import { refuse, rule } from '../rules/rule'

/** The lower-voltage links of a motor on a drive of higher volts: full flux, and full torque, to more than plate hertz. */
export const highSpeedDelta = rule({
  id: 'motor.high-speed-delta',
  title: 'Lower-voltage links on a higher-voltage drive',
  input: z.strictObject({
    lowVoltageV: volts('plate, lower-voltage links'),
    lowVoltageA: amps('plate, lower-voltage links'),
    plateFrequencyHz: hertz('plate'),
    ratedSpeedRpm: rpm('plate'),
    powerW: watts('plate'),
    driveV: volts('most that the drive gives'),
    safeRpm: rpm('fastest safe motor speed').optional(),
    driveA: amps('usable output of the drive').optional(),
  }),
  output: z.object({
    baseFrequencyHz: gives('Hz', 'where the drive’s full volts are reached'),
    usableHz: gives('Hz', 'the lower of that and the motor’s safe speed'),
    powerW: gives('W', 'at the usable hertz, full torque'),
    currentA: gives('A', 'that the drive must give'),
    permitted: z.boolean().describe('false where the drive’s amps fall short'),
  }),
  formula: 'f_b = f V_drive / V_low (root three times f for 400 on 230);  P = P_plate f_use / f;  I = I_low',
  source:
    'Constant flux: V/f as on the plate. Limits: safe speed (IEC 60034-1), drive amps, winding made for the volts',
  example: {
    lowVoltageV: 230,
    lowVoltageA: 6,
    plateFrequencyHz: 50,
    ratedSpeedRpm: 1420,
    powerW: 1500,
    driveV: 400,
    safeRpm: 3600,
    driveA: 7,
  },
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
