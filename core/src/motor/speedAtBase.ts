import { z } from 'zod'
import { evenPolesInput, hertzInput, rpmInput } from '../rules/inputs'
import { refuse, rule } from '../rules/rule'
import { rpmAtHertz } from './synchronousSpeed'

/** Full-load speed at another base: under the same torque the slip is the same in rpm. */
export const speedAtBase = rule({
  id: 'motor.speed-at-base',
  input: z.strictObject({
    ratedSpeedRpm: rpmInput,
    poles: evenPolesInput,
    plateFrequencyHz: hertzInput,
    baseFrequencyHz: hertzInput,
  }),
  output: z.object({ speedRpm: z.number() }),
  compute: ({ ratedSpeedRpm, poles, plateFrequencyHz, baseFrequencyHz }) => {
    const slipRpm = rpmAtHertz(plateFrequencyHz, poles) - ratedSpeedRpm
    const speedRpm = rpmAtHertz(baseFrequencyHz, poles) - slipRpm
    return slipRpm < 0 || speedRpm <= 0
      ? refuse('ratedSpeedRpm', 'is no speed of a motor of these poles at these hertz')
      : { speedRpm }
  },
})
