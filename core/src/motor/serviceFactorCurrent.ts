import { z } from 'zod'
import { amps, gives } from '../rules/inputs'
import { rule } from '../rules/rule'

/** The amps never to be exceeded; on a drive the service factor counts as 1.0, so this is no setting. */
export const serviceFactorCurrent = rule({
  id: 'motor.service-factor-current',
  title: 'Service-factor current, never to be exceeded',
  input: z.strictObject({
    currentA: amps('nameplate current for the connection used'),
    serviceFactor: z.number().min(1).max(2).describe('service factor on the plate'),
  }),
  output: z.object({ currentA: gives('A', 'never-exceed current') }),
  formula: 'I_sf = I x SF',
  source: 'NEMA MG 1 (service factor; taken as 1.0 on a variable-frequency drive)',
  example: { currentA: 6, serviceFactor: 1.15 },
  compute: ({ currentA, serviceFactor }) => ({ currentA: currentA * serviceFactor }),
})
