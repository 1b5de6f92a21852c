import { z } from 'zod'
import { refuse, rule } from '../rules/rule'
import { shaftFanCurve } from '../data/shaftFanCurve'

/** Share of rated torque a motor can give all day at a share of its base frequency, cooled by its own fan. */
export const fanCooling = rule({
  id: 'motor.fan-cooling',
  input: z.strictObject({
    frequencyFraction: z.number().min(0).max(1),
  }),
  output: z.object({ torqueFraction: z.number() }),
  compute: ({ frequencyFraction }) => {
    const points = shaftFanCurve.points
    const above = points.findIndex((p) => p.frequencyFraction >= frequencyFraction)
    const upper = points[above]
    const lower = points[above - 1]
    if (upper && upper.frequencyFraction === frequencyFraction) return { torqueFraction: upper.torqueFraction }
    if (!lower || !upper) return refuseBelow()
    const share = (frequencyFraction - lower.frequencyFraction) / (upper.frequencyFraction - lower.frequencyFraction)
    return { torqueFraction: lower.torqueFraction + share * (upper.torqueFraction - lower.torqueFraction) }
  },
})

const refuseBelow = () =>
  refuse(
    'frequencyFraction',
    'must be from 0.1 to 1: under a tenth of base frequency the shaft fan moves too little air to plan on',
  )
