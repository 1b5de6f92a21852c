import { z } from 'zod'
import type { Outcome } from '../rules/rule'
import { planSchema, type Plan } from './plan'
import { readPlan } from './upgrade'

/** Names the kind of file, so that another JSON file is refused with a plain word. */
export const CONVERSION_FORMAT = 'zesty-lathe/conversion'

/** A conversion as it travels between shops: the format's name and one plan. */
export const conversionFileSchema = z.strictObject({ format: z.literal(CONVERSION_FORMAT), plan: planSchema }).meta({
  title: 'Zesty Lathe conversion',
  description: 'One machine’s change to variable speed. Quantities are in the unit their key names.',
})

export type ConversionFile = z.output<typeof conversionFileSchema>

/** The document that `readConversionFile` reads, to be kept as JSON. */
export const conversionFile = (plan: Plan): ConversionFile => ({ format: CONVERSION_FORMAT, plan })

/**
 * Reads a conversion file whole, or says everything that is wrong with it.
 *
 * @example readConversionFile([]).ok // false
 */
export function readConversionFile(document: unknown): Outcome<Plan> {
  if (typeof document !== 'object' || document === null || Array.isArray(document))
    return { ok: false, faults: [{ field: '', message: 'a conversion file must hold one JSON object' }] }
  const { format, plan, ...rest } = document as Record<string, unknown>
  if (format !== CONVERSION_FORMAT)
    return { ok: false, faults: [{ field: 'format', message: `must be "${CONVERSION_FORMAT}"` }] }
  const extra = Object.keys(rest).map((key) => ({ field: key, message: 'is not a key known here' }))
  const read = readPlan(plan)
  const faults = [
    ...extra,
    ...(read.ok ? [] : read.faults.map((f) => ({ ...f, field: f.field === '' ? 'plan' : `plan.${f.field}` }))),
  ]
  return read.ok && faults.length === 0 ? read : { ok: false, faults }
}
