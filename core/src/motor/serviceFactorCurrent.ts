import { z } from 'zod'
import { ampsInput } from '../rules/inputs'
import { rule } from '../rules/rule'

/** The amps never to be exceeded; on a drive the service factor counts as 1.0, so this is no setting. */
export const serviceFactorCurrent = rule({
  id: 'motor.service-factor-current',
  input: z.strictObject({
    currentA: ampsInput,
    serviceFactor: z.number().min(1).max(2),
  }),
  output: z.object({ currentA: z.number() }),
  compute: ({ currentA, serviceFactor }) => ({ currentA: currentA * serviceFactor }),
})
