import { z } from 'zod'
import { evenPoles, gives, hertzFromZero } from '../rules/inputs'
import { rule } from '../rules/rule'

/** Speed of the stator's rotating field; the rotor falls short of it by the slip. */
export const synchronousSpeed = rule({
  id: 'motor.synchronous-speed',
  title: 'Synchronous speed',
  input: z.strictObject({ frequencyHz: hertzFromZero('frequency at the motor'), poles: evenPoles }),
  output: z.object({ synchronousRpm: gives('rpm', 'speed of the rotating field') }),
  formula: 'n_s = 120 f / p',
  source: 'IEC 60034-1 (definition of synchronous speed)',
  example: { frequencyHz: 50, poles: 4 },
  compute: ({ frequencyHz, poles }) => ({ synchronousRpm: (120 * frequencyHz) / poles }),
})
