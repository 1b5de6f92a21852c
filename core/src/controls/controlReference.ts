import { z } from 'zod'
import { gives, hertzFromZero } from '../rules/inputs'
import { refuse, rule } from '../rules/rule'

/** Hertz that a speed knob asks for. */
export const controlReference = rule({
  id: 'control.reference',
  title: 'Frequency at a knob position',
  input: z.strictObject({
    dial: z.number().min(0).max(1).describe('0 to 1, knob position'),
    minHz: hertzFromZero('lowest frequency set'),
    maxHz: hertzFromZero('highest frequency set'),
    mode: z
      .enum(['scaled', 'clamped'])
      .default('scaled')
      .describe('scaled: the knob spreads over lowest to highest; clamped: over 0 to highest, held at lowest'),
  }),
  output: z.object({ frequencyHz: gives('Hz', 'frequency asked for') }),
  formula: 'scaled: f = min + dial (max - min);  clamped: f = max(min, dial x max)',
  source: 'The two usual ways a drive reads an analogue reference',
  example: { dial: 0.5, minHz: 6, maxHz: 90, mode: 'scaled' },
  compute: ({ dial, minHz, maxHz, mode }) => {
    if (minHz > maxHz) return refuse('minHz', `must be at most maxHz, ${maxHz}`)
    return { frequencyHz: mode === 'scaled' ? minHz + dial * (maxHz - minHz) : Math.max(minHz, dial * maxHz) }
  },
})
