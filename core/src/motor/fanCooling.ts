import { z } from 'zod'
import { gives } from '../rules/inputs'
import { refuse, rule } from '../rules/rule'
import { shaftFanCurve } from '../data/shaftFanCurve'

/** Share of rated torque a motor can give all day at a share of its base frequency, cooled by its own fan. */
export const fanCooling = rule({
  id: 'motor.fan-cooling',
  title: 'Continuous torque at low hertz on the shaft fan',
  input: z.strictObject({
    frequencyFraction: z.number().min(0).max(1).describe('frequency over base frequency, 0 to 1'),
  }),
  output: z.object({ torqueFraction: gives('share', 'of rated torque, continuous') }),
  formula:
    'straight lines between f/fb 0.1: 0.50, 0.2: 0.65, 0.3: 0.75, 0.5: 0.87, 0.75: 0.95, 1: 1.0; under 0.1 not known, refused',
  source: shaftFanCurve.source,
  example: { frequencyFraction: 0.2 },
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
