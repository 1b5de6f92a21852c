import { z } from 'zod'
import { evenPolesInput, hertzInput } from '../rules/inputs'
import { rule } from '../rules/rule'

/** Drive hertz at which a motor turns as often as its train swings. */
export const excitedFrequency = rule({
  id: 'drivetrain.excited-frequency',
  input: z.strictObject({
    swingsHz: hertzInput,
    poles: evenPolesInput,
  }),
  output: z.object({ frequencyHz: z.number() }),
  compute: ({ swingsHz, poles }) => ({ frequencyHz: (swingsHz * poles) / 2 }),
})
