import { z } from 'zod'
import { shareInput, wattsInput } from '../rules/inputs'
import { rule } from '../rules/rule'

/** Electrical power that a motor takes for a shaft power. */
export const inputPower = rule({
  id: 'motor.input-power',
  input: z.strictObject({
    powerW: wattsInput,
    efficiency: shareInput,
  }),
  output: z.object({ inputW: z.number() }),
  compute: ({ powerW, efficiency }) => ({ inputW: powerW / efficiency }),
})
