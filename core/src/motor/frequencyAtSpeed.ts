import { z } from 'zod'
import { evenPolesInput } from '../rules/inputs'
import { rule } from '../rules/rule'

/** Hertz at which the rotating field turns at a speed: 50 for 1500 rpm of four poles. */
export const hertzAtRpm = (speedRpm: number, poles: number): number => (speedRpm * poles) / 120

/** Hertz at which the rotating field turns at a speed; the inverse of motor.synchronous-speed. */
export const frequencyAtSpeed = rule({
  id: 'motor.frequency-at-speed',
  input: z.strictObject({
    speedRpm: z.number().min(0).max(2e5),
    poles: evenPolesInput,
  }),
  output: z.object({ frequencyHz: z.number() }),
  compute: ({ speedRpm, poles }) => ({ frequencyHz: hertzAtRpm(speedRpm, poles) }),
})
