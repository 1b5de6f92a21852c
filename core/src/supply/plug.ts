import { z } from 'zod'
import { ampsInput } from '../rules/inputs'
import { rule } from '../rules/rule'

const CONTINUOUS = 0.8

/** Whether a plug and socket carry a drive's input. */
export const plug = rule({
  id: 'supply.plug',
  input: z.strictObject({
    loadA: ampsInput,
    plugA: ampsInput,
    breakerA: ampsInput.optional(),
    region: z.enum(['iec', 'nec']),
  }),
  output: z.object({
    carriesA: z.number(),
    permitted: z.boolean(),
    protected: z.boolean(),
  }),
  compute: ({ loadA, plugA, breakerA, region }) => {
    const carriesA = region === 'nec' ? CONTINUOUS * plugA : plugA
    return { carriesA, permitted: loadA <= carriesA, protected: breakerA === undefined || breakerA <= plugA }
  },
})
