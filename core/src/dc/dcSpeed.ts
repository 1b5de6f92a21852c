import { z } from 'zod'
import { gives, rpm } from '../rules/inputs'
import { refuse, rule } from '../rules/rule'

/** Speed and torque of a separately excited DC motor at a share of its armature volts and of its flux. */
export const dcSpeed = rule({
  id: 'dc.speed',
  title: 'Speed of a DC motor by armature and field',
  input: z.strictObject({
    baseRpm: rpm('at full armature volts and full field'),
    armatureFraction: z.number().min(0).max(1).describe('0 to 1, of the armature volts'),
    fieldFraction: z.number().gt(0.1).max(1).describe('0.1 to 1, of the flux; a lost field runs away'),
    plateMaximumRpm: rpm('highest on the plate').optional(),
  }),
  output: z.object({
    speedRpm: gives('rpm', 'of the motor'),
    torqueFraction: gives('0 to 1', 'of rated torque at rated amps'),
    powerFraction: gives('0 to 1', 'of rated power'),
  }),
  formula: 'n = n_b a/phi;  T/T_r = phi;  P/P_r = a: constant torque below base, constant power above',
  source: 'Separately excited machine, armature reaction left out; a field-loss trip is a must',
  example: { baseRpm: 1150, armatureFraction: 1, fieldFraction: 0.5, plateMaximumRpm: 2300 },
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
