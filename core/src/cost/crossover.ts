import { z } from 'zod'
import { refuse, rule } from '../rules/rule'

/** More than any shop has. */
export const MOST_MACHINES = 100

/** Number of machines from which one converter is cheaper than a drive on each. */
export const crossover = rule({
  id: 'cost.crossover',
  input: z.strictObject({
    converter: z.number().min(0).max(1e9),
    each: z.number().min(0).max(1e9),
    drive: z.number().min(0).max(1e9),
  }),
  output: z.object({ machines: z.number() }),
  compute: ({ converter, each, drive }) => {
    if (each >= drive) return refuse('each', 'must be less than a drive: else a converter is never cheaper')
    const machines = Math.floor(converter / (drive - each)) + 1
    return machines > MOST_MACHINES
      ? refuse('converter', `is so dear that it pays not before ${MOST_MACHINES} machines`)
      : { machines }
  },
})
