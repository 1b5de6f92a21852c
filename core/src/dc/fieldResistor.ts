import { z } from 'zod'
import { ampsInput, voltsInput } from '../rules/inputs'
import { rule } from '../rules/rule'

/** The resistor before a field that weakens it; the flux taken in proportion to the field's amps. */
export const fieldResistor = rule({
  id: 'dc.field-resistor',
  input: z.strictObject({
    fieldV: voltsInput,
    fieldA: ampsInput,
    fluxFraction: z.number().gt(0.1).max(1),
  }),
  output: z.object({ fieldOhm: z.number(), currentA: z.number(), seriesOhm: z.number(), powerW: z.number() }),
  compute: ({ fieldV, fieldA, fluxFraction }) => {
    const fieldOhm = fieldV / fieldA
    const currentA = fieldA * fluxFraction
    const seriesOhm = fieldOhm * (1 / fluxFraction - 1)
    return { fieldOhm, currentA, seriesOhm, powerW: currentA ** 2 * seriesOhm }
  },
})
