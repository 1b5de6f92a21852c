import { z } from 'zod'
import { rpmInput } from '../rules/inputs'
import { refuse, rule } from '../rules/rule'

const seconds = z.number().gt(0).max(1e5)

/**
 * Friction that is partly the same at every speed and partly grows with it brings a spindle to rest in
 * t = ln(1 + w c/a) / c. Finds a and c from two coasts, and the time of a third.
 */
export const coastTwoSpeeds = rule({
  id: 'drivetrain.coast-two-speeds',
  input: z.strictObject({
    fasterRpm: rpmInput,
    fasterS: seconds,
    slowerRpm: rpmInput,
    slowerS: seconds,
    fromRpm: rpmInput,
  }),
  output: z.object({ coastS: z.number(), growingShare: z.number() }),
  compute: ({ fasterRpm, fasterS, slowerRpm, slowerS, fromRpm }) => {
    if (fasterRpm <= slowerRpm * 1.05) return refuse('fasterRpm', 'must be well over the slower speed')
    if (fasterS <= slowerS) return refuse('fasterS', 'must be longer than the coast from the slower speed')
    const speeds = fasterRpm / slowerRpm
    const times = fasterS / slowerS
    // As long for each turn of speed, or longer: friction does not grow with speed.
    if (times >= speeds) return { coastS: (fasterS * fromRpm) / fasterRpm, growingShare: 0 }
    const x = growth(speeds, times)
    const perRate = fasterS / Math.log1p(x)
    const from = (x * fromRpm) / fasterRpm
    return { coastS: perRate * Math.log1p(from), growingShare: x / (1 + x) }
  },
})

/** The x at which ln(1 + x) / ln(1 + x/speeds) is the ratio of the times; it falls as x grows, so it is found by halving. */
function growth(speeds: number, times: number): number {
  let [low, high] = [1e-9, 1e12]
  for (let i = 0; i < 200; i += 1) {
    const x = Math.sqrt(low * high)
    if (Math.log1p(x) / Math.log1p(x / speeds) > times) low = x
    else high = x
  }
  return Math.sqrt(low * high)
}
