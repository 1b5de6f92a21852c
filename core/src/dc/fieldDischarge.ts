import { z } from 'zod'
import { ampsInput, voltsInput } from '../rules/inputs'
import { refuse, rule } from '../rules/rule'

/** The resistor across a field that takes its energy when it is opened: without it the insulation does. */
export const fieldDischarge = rule({
  id: 'dc.field-discharge',
  input: z.strictObject({
    fieldV: voltsInput,
    fieldA: ampsInput,
    mostV: voltsInput,
    inductanceH: z.number().gt(0).max(1e4).optional(),
  }),
  output: z.object({
    mostOhm: z.number(),
    heldW: z.number(),
    energyJ: z.number().optional(),
    timeConstantS: z.number().optional(),
  }),
  compute: ({ fieldV, fieldA, mostV, inductanceH }) => {
    if (mostV < fieldV) return refuse('mostV', `must be at least fieldV, ${fieldV}: the field itself stands across it`)
    const mostOhm = mostV / fieldA
    return {
      mostOhm,
      // What it takes all the time that the field is on, where nothing blocks it.
      heldW: fieldV ** 2 / mostOhm,
      ...(inductanceH === undefined
        ? {}
        : { energyJ: (inductanceH * fieldA ** 2) / 2, timeConstantS: inductanceH / (mostOhm + fieldV / fieldA) }),
    }
  },
})
