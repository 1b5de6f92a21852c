import { z } from 'zod'
import { evenPolesInput, hertzFromZeroInput } from '../rules/inputs'
import { rule } from '../rules/rule'

/** Rpm of the rotating field at a frequency: 1500 of four poles at 50 Hz. */
export const rpmAtHertz = (frequencyHz: number, poles: number): number => (120 * frequencyHz) / poles

/** Speed of the stator's rotating field; the rotor falls short of it by the slip. */
export const synchronousSpeed = rule({
  id: 'motor.synchronous-speed',
  input: z.strictObject({ frequencyHz: hertzFromZeroInput, poles: evenPolesInput }),
  output: z.object({ synchronousRpm: z.number() }),
  compute: ({ frequencyHz, poles }) => ({ synchronousRpm: rpmAtHertz(frequencyHz, poles) }),
})
