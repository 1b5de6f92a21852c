import { z } from 'zod'
import { rpmInput } from '../rules/inputs'
import { refuse, rule } from '../rules/rule'

/** Speed and torque of a separately excited DC motor at a share of its armature volts and of its flux. */
export const dcSpeed = rule({
  id: 'dc.speed',
  input: z.strictObject({
    baseRpm: rpmInput,
    armatureFraction: z.number().min(0).max(1),
    fieldFraction: z.number().gt(0.1).max(1),
    plateMaximumRpm: rpmInput.optional(),
  }),
  output: z.object({
    speedRpm: z.number(),
    torqueFraction: z.number(),
    powerFraction: z.number(),
  }),
  compute: ({ baseRpm, armatureFraction, fieldFraction, plateMaximumRpm }) => {
    const speedRpm = (baseRpm * armatureFraction) / fieldFraction
    if (plateMaximumRpm !== undefined && speedRpm > plateMaximumRpm * (1 + 1e-9))
      return refuse(
        'fieldFraction',
        `must be at least ${((baseRpm * armatureFraction) / plateMaximumRpm).toFixed(3)}: weaker, it passes the plate’s ${plateMaximumRpm} rpm`,
      )
    return { speedRpm, torqueFraction: fieldFraction, powerFraction: armatureFraction }
  },
})
