import { z } from 'zod'
import { conversionFileSchema, readPlan } from '../plan'
import { LARGEST_PHOTO, photoSchema } from '../photos/photo'
import { LAST_REVISION } from '../rules/lastRevision'
import { moment } from '../rules/moment'
import { faultsOf, firstFaults, type Fault, type Outcome } from '../rules/rule'
import { text } from '../rules/text'

/** Names the kind of file, so that another is refused with a plain word. */
export const WHOLE_FORMAT = 'zesty-lathe/whole'
/** The document within the ZIP; photos lie beside it in a folder of their own. */
export const WHOLE_DOCUMENT = 'whole.json'
/** Bytes that everything in the ZIP may come to: all photos of a machine, and its revisions. */
export const LARGEST_WHOLE = 160_000_000

const MOST_REVISIONS = 20_000
const MOST_CHANGES = 200_000

const revisionSchema = z.strictObject({
  revision: z.number().int().min(1).max(LAST_REVISION),
  plan: z.unknown(),
  origin: text(200),
  by: text(60).optional(),
  name: text(120).optional(),
  begunAt: moment(),
  savedAt: moment(),
})

const entrySchema = z.strictObject({
  path: text(200),
  /** What was ticked or read: the same that is listed. */
  value: z.union([z.number(), text(5000), z.boolean()]).optional(),
  reason: text(500).optional(),
  by: text(60).optional(),
  at: moment(),
})

/** Where a photo lies in the ZIP. */
export const photoFile = (index: number): string => `photos/${String(index + 1).padStart(4, '0')}.jpg`

/** A conversion file without its photos: they lie beside it. */
export const conversionWithin = conversionFileSchema.omit({ photos: true })

/** One conversion whole: what a conversion file holds, and everything that was kept of it. */
export const wholeSchema = z
  .strictObject({
    format: z.literal(WHOLE_FORMAT),
    version: z.literal(1),
    conversion: conversionWithin,
    revision: z.number().int().min(1).max(LAST_REVISION),
    createdAt: moment(),
    savedAt: moment(),
    revisions: z.array(revisionSchema).min(1).max(MOST_REVISIONS),
    entries: z.array(entrySchema).max(MOST_CHANGES),
    photos: z
      .array(photoSchema.extend({ file: text(40).regex(/^photos\/\d{4}\.jpg$/, 'must lie in photos/') }))
      .max(1000),
  })
  .meta({
    title: 'Zesty Lathe whole conversion',
    description:
      'The document whole.json of a ZIP that brings one conversion back whole: plan, revisions, ticks, readings, log; its photos lie beside it.',
  })

export type Whole = z.output<typeof wholeSchema>

/** What a ZIP holds, by name; content as bytes. */
export type ZipFiles = Readonly<Record<string, Uint8Array>>

const fault = (field: string, message: string): Fault => ({ field, message })

/** Reads the files of a ZIP as one conversion, or says everything that is wrong with it: nothing of it is taken then. */
export function readWhole(files: ZipFiles): Outcome<{ whole: Whole; photos: Uint8Array[] }> {
  const document = files[WHOLE_DOCUMENT]
  if (!document) return { ok: false, faults: [fault('', `holds no ${WHOLE_DOCUMENT}: it is no whole conversion`)] }
  let json: unknown
  try {
    json = JSON.parse(new TextDecoder('utf-8', { fatal: true }).decode(document))
  } catch {
    return { ok: false, faults: [fault(WHOLE_DOCUMENT, 'is not JSON')] }
  }
  if (typeof json !== 'object' || json === null || Reflect.get(json, 'format') !== WHOLE_FORMAT)
    return { ok: false, faults: [fault(`${WHOLE_DOCUMENT}.format`, `must be "${WHOLE_FORMAT}"`)] }
  // Plans of older releases are brought up to this one before they are held against its schema.
  const faults: Fault[] = []
  const upgraded = (plan: unknown, field: string): unknown => {
    const read = readPlan(plan)
    if (read.ok) return read.value
    faults.push(...read.faults.map((f) => fault(`${field}${f.field === '' ? '' : `.${f.field}`}`, f.message)))
    return plan
  }
  const raw = json as Record<string, unknown>
  const conversion = raw['conversion']
  const revisions = raw['revisions']
  const brought = {
    ...raw,
    conversion:
      typeof conversion === 'object' && conversion !== null
        ? { ...conversion, plan: upgraded(Reflect.get(conversion, 'plan'), 'conversion.plan') }
        : conversion,
    revisions: Array.isArray(revisions)
      ? revisions.map((one: unknown, i) =>
          typeof one === 'object' && one !== null
            ? { ...one, plan: upgraded(Reflect.get(one, 'plan'), `revisions[${i}].plan`) }
            : one,
        )
      : revisions,
  }
  if (faults.length > 0) return { ok: false, faults: firstFaults(faults) }
  const parsed = wholeSchema.safeParse(brought)
  if (!parsed.success) return { ok: false, faults: firstFaults(faultsOf(parsed.error, brought)) }
  const whole = parsed.data
  const photos: Uint8Array[] = []
  const named = new Set([WHOLE_DOCUMENT])
  whole.photos.forEach(({ file }, i) => {
    const bytes = files[file]
    if (named.has(file)) faults.push(fault(`photos[${i}].file`, `${file} stands twice`))
    named.add(file)
    if (!bytes) faults.push(fault(`photos[${i}].file`, `${file} is not in the ZIP`))
    else if (bytes.length > LARGEST_PHOTO) faults.push(fault(file, `has over ${LARGEST_PHOTO / 1000} kB`))
    else if (bytes[0] !== 0xff || bytes[1] !== 0xd8 || bytes[2] !== 0xff) faults.push(fault(file, 'is no JPEG'))
    else photos.push(bytes)
  })
  for (const name of Object.keys(files))
    if (!named.has(name) && !name.endsWith('/')) faults.push(fault(name, 'is a file not known here'))
  const numbers = whole.revisions.map((r) => r.revision)
  if (new Set(numbers).size !== numbers.length) faults.push(fault('revisions', 'has one revision twice'))
  if (!numbers.includes(whole.revision)) faults.push(fault('revision', `${whole.revision} is not among the revisions`))
  return faults.length > 0 ? { ok: false, faults: firstFaults(faults) } : { ok: true, value: { whole, photos } }
}
