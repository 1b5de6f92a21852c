import { z } from 'zod'
import { voltsInput } from '../rules/inputs'
import { rule } from '../rules/rule'

/** Volts that a drive is taken to give at base hertz while nobody has set or read them. */
export const setVoltage = rule({
  id: 'drive.set-voltage',
  input: z.strictObject({
    plateVoltageV: voltsInput,
    ceilingV: voltsInput,
    sameClass: z.boolean().default(false),
    untouched: z.boolean(),
  }),
  output: z.object({ voltageV: z.number() }),
  compute: ({ plateVoltageV, ceilingV, sameClass, untouched }) => {
    if (sameClass) return { voltageV: plateVoltageV }
    return { voltageV: untouched ? ceilingV : Math.min(plateVoltageV, ceilingV) }
  },
})
