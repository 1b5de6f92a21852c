import { z } from 'zod'
import { rule } from '../rules/rule'

const size = z.number().gt(0).max(1e5)

/** The one size of a train that is not known, where its whole ratio is. */
export const missingSize = rule({
  id: 'drivetrain.missing-size',
  input: z.strictObject({
    speedRatio: z.number().gt(0).max(1e5),
    otherRatio: z.number().gt(0).max(1e5),
    size,
    drives: z.boolean(),
  }),
  output: z.object({ size: z.number() }),
  compute: ({ speedRatio, otherRatio, size: known, drives }) => {
    const ratio = speedRatio / otherRatio
    return { size: drives ? known / ratio : known * ratio }
  },
})
