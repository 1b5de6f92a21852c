import { z } from 'zod'
import { voltsInput } from '../rules/inputs'
import { rule } from '../rules/rule'

/** Volts of a star made of a winding whose plate prints the volts of its delta. */
export const starVoltage = rule({
  id: 'motor.star-voltage',
  input: z.strictObject({
    deltaV: voltsInput,
  }),
  output: z.object({ starV: z.number() }),
  compute: ({ deltaV }) => ({ starV: deltaV * Math.sqrt(3) }),
})
