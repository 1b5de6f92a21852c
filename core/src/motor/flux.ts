import { z } from 'zod'
import { hertzInput, voltsInput } from '../rules/inputs'
import { rule } from '../rules/rule'

/** Magnetic flux as a share of what the plate was designed for; too much burns, too little pulls weakly. */
export const flux = rule({
  id: 'motor.flux',
  input: z.strictObject({
    setVoltageV: voltsInput,
    baseFrequencyHz: hertzInput,
    plateVoltageV: voltsInput,
    plateFrequencyHz: hertzInput,
  }),
  output: z.object({ fluxFraction: z.number() }),
  compute: ({ setVoltageV, baseFrequencyHz, plateVoltageV, plateFrequencyHz }) => ({
    fluxFraction: setVoltageV / baseFrequencyHz / (plateVoltageV / plateFrequencyHz),
  }),
})
