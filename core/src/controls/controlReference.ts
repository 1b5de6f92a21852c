import { z } from 'zod'
import { hertzFromZeroInput } from '../rules/inputs'
import { refuse, rule } from '../rules/rule'

/** Hertz that a speed knob asks for. */
export const controlReference = rule({
  id: 'control.reference',
  input: z.strictObject({
    dial: z.number().min(0).max(1),
    minHz: hertzFromZeroInput,
    maxHz: hertzFromZeroInput,
    mode: z.enum(['scaled', 'clamped']).default('scaled'),
  }),
  output: z.object({ frequencyHz: z.number() }),
  compute: ({ dial, minHz, maxHz, mode }) => {
    if (minHz > maxHz) return refuse('minHz', `must be at most maxHz, ${maxHz}`)
    return { frequencyHz: mode === 'scaled' ? minHz + dial * (maxHz - minHz) : Math.max(minHz, dial * maxHz) }
  },
})
