import { z } from 'zod'
import { MOST_READINGS, readingSchema, type Reading } from '../readings/measurement'
import { carriedEntrySchema, MOST_ENTRIES, type CarriedEntry } from '../log/logEntry'
import { carriedPhotosSchema, type CarriedPhoto } from '../photos/photo'
import { faultsOf, firstFaults, type Fault, type Outcome } from '../rules/rule'
import { planSchema, type Plan } from './plan'
import { readPlan } from './upgrade'

/** Names the kind of file, so that another JSON file is refused with a plain word. */
export const CONVERSION_FORMAT = 'zesty-lathe/conversion'

const logSchema = z.array(carriedEntrySchema).max(MOST_ENTRIES)
const readingsSchema = z.array(readingSchema).max(MOST_READINGS)

/** A conversion as it travels between shops: the format's name, one plan, what was read off the machine, its log and its photos. */
export const conversionFileSchema = z
  .strictObject({
    format: z.literal(CONVERSION_FORMAT),
    plan: planSchema,
    measurements: readingsSchema.optional(),
    log: logSchema.optional(),
    photos: carriedPhotosSchema.optional(),
  })
  .meta({
    title: 'Zesty Lathe conversion',
    description: 'One machine’s change to variable speed. Quantities are in the unit their key names.',
  })

export type ConversionFile = z.output<typeof conversionFileSchema>

/** The document that `readConversionFile` reads, to be kept as JSON. */
export const conversionFile = (
  plan: Plan,
  measurements: readonly Reading[] = [],
  photos: readonly CarriedPhoto[] = [],
  log: readonly CarriedEntry[] = [],
): ConversionFile => ({
  format: CONVERSION_FORMAT,
  plan,
  ...(measurements.length === 0 ? {} : { measurements: [...measurements] }),
  ...(log.length === 0 ? {} : { log: [...log] }),
  ...(photos.length === 0 ? {} : { photos: [...photos] }),
})

/** What a conversion file holds. */
export interface ConversionRead {
  plan: Plan
  measurements: Reading[]
  log: CarriedEntry[]
  photos: CarriedPhoto[]
}

/**
 * Reads a conversion file whole, or says everything that is wrong with it.
 *
 * @example readConversionFile([]).ok // false
 */
export function readConversionFile(document: unknown): Outcome<ConversionRead> {
  if (typeof document !== 'object' || document === null || Array.isArray(document))
    return { ok: false, faults: [{ field: '', message: 'a conversion file must hold one JSON object' }] }
  const { format, plan, measurements = [], log = [], photos = [], ...rest } = document as Record<string, unknown>
  if (format !== CONVERSION_FORMAT)
    return { ok: false, faults: [{ field: 'format', message: `must be "${CONVERSION_FORMAT}"` }] }
  const extra = Object.keys(rest).map((key) => ({ field: key, message: 'is not a key known here' }))
  const read = readPlan(plan)
  const readings = readingsSchema.safeParse(measurements)
  const entries = logSchema.safeParse(log)
  const pictures = carriedPhotosSchema.safeParse(photos)
  if (read.ok && readings.success && entries.success && pictures.success && extra.length === 0)
    return {
      ok: true,
      value: { plan: read.value, measurements: readings.data, log: entries.data, photos: pictures.data },
    }
  return {
    ok: false,
    faults: [
      ...extra,
      ...(read.ok ? [] : within('plan', read.faults)),
      ...(readings.success ? [] : firstFaults(within('measurements', faultsOf(readings.error, measurements)))),
      ...(entries.success ? [] : firstFaults(within('log', faultsOf(entries.error, log)))),
      ...(pictures.success ? [] : firstFaults(within('photos', faultsOf(pictures.error, photos)))),
    ],
  }
}

const within = (key: string, faults: readonly Fault[]): Fault[] =>
  faults.map((f) => ({
    ...f,
    field: f.field === '' || f.field.startsWith('[') ? `${key}${f.field}` : `${key}.${f.field}`,
  }))
