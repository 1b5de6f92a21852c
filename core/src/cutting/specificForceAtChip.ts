import { z } from 'zod'
import { rule } from '../rules/rule'
import { kc11, mc, specificForce, THINNEST_MM } from './specificForce'

/** Specific cutting force at a chip thickness. */
export const specificForceAtChip = rule({
  id: 'cutting.specific-force',
  input: z.strictObject({
    kc11,
    mc,
    chipMm: z.number().min(0).max(50),
  }),
  output: z.object({ specificForce: z.number() }),
  compute: ({ kc11: force, mc: exponent, chipMm }) => ({
    specificForce: specificForce(force, exponent, Math.max(THINNEST_MM, chipMm)),
  }),
})
