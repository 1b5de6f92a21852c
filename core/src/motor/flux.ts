import { z } from 'zod'
import { gives, hertz, volts } from '../rules/inputs'
import { rule } from '../rules/rule'

/** Magnetic flux as a share of what the plate was designed for; too much burns, too little pulls weakly. */
export const flux = rule({
  id: 'motor.flux',
  title: 'Flux against the plate',
  input: z.strictObject({
    setVoltageV: volts('voltage the drive gives at its base frequency'),
    baseFrequencyHz: hertz('base frequency set in the drive'),
    plateVoltageV: volts('plate voltage for the connection used'),
    plateFrequencyHz: hertz('frequency on the plate'),
  }),
  output: z.object({ fluxFraction: gives('share', 'flux as a share of rated flux') }),
  formula: 'k = (V_set / f_base) / (V_plate / f_plate); pull-out torque goes as k squared',
  source:
    'Induced voltage is proportional to flux times frequency; limits 1.10 and 0.90 are planning values after IEC 60034-1 zone B',
  example: { setVoltageV: 230, baseFrequencyHz: 50, plateVoltageV: 400, plateFrequencyHz: 50 },
  compute: ({ setVoltageV, baseFrequencyHz, plateVoltageV, plateFrequencyHz }) => ({
    fluxFraction: setVoltageV / baseFrequencyHz / (plateVoltageV / plateFrequencyHz),
  }),
})
