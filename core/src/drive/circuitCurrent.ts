import { z } from 'zod'
import { ampsInput } from '../rules/inputs'
import { refuse, rule } from '../rules/rule'

/** Amps that the circuit in front of a drive must carry. */
export const circuitCurrent = rule({
  id: 'drive.circuit-current',
  input: z.strictObject({
    computedA: ampsInput.optional(),
    plateInputA: ampsInput.optional(),
  }),
  output: z.object({ currentA: z.number() }),
  compute: ({ computedA, plateInputA }) =>
    computedA === undefined && plateInputA === undefined
      ? refuse('plateInputA', 'is missing, and nothing was worked out either; one of the two is needed')
      : { currentA: Math.max(computedA ?? 0, plateInputA ?? 0) },
})
