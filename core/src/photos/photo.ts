import { z } from 'zod'
import { moment } from '../rules/moment'
import { text } from '../rules/text'

/** What a photo is of. Pages of a manual are the shop's, whatever the machine they were taken at. */
export const photoSubjects = {
  found: 'As found',
  step: 'A step of the build',
  log: 'At the machine',
  manual: 'A page of the manual',
} as const

export type PhotoSubject = keyof typeof photoSubjects

/** Bytes of one photo as it is kept: 1600 points a side as JPEG have 150 to 500 kB. */
export const LARGEST_PHOTO = 1_000_000
/** Bytes of all photos of one machine, and of all pages of a shop's manuals: both fit in a conversion file. */
export const MOST_PHOTO_BYTES = 24_000_000
/** Bytes of a conversion file: both kinds of photos as text, a third more than their bytes, and room for the rest. */
export const LARGEST_CONVERSION_FILE = 68_000_000
/** Points of the longer side: enough to read the print at a terminal strip. */
export const LONGEST_SIDE = 1600

const side = z.number().int().min(1).max(8000)

/** A photo without its content. */
export const photoSchema = z.strictObject({
  of: z.enum(Object.keys(photoSubjects) as [PhotoSubject, ...PhotoSubject[]]),
  /** Which step by its id, or which manual by its name. */
  subject: text(80).optional(),
  note: text(200).optional(),
  widthPx: side,
  heightPx: side,
  takenAt: moment(),
  by: text(60).optional(),
})

/** A JPEG file in base64. */
const jpeg = z
  .string()
  .max(Math.ceil(LARGEST_PHOTO / 3) * 4, `must have at most ${LARGEST_PHOTO / 1000} kB`)
  // Begins with the first three bytes of every JPEG, FF D8 FF.
  .regex(/^\/9j\/[A-Za-z0-9+/]*={0,2}$/, 'must be a JPEG in base64')
  .refine((data) => data.length % 4 === 0, 'is no whole base64 text')

/** A photo with its content, as it is sent and as a file takes it along. */
export const carriedPhotoSchema = photoSchema.extend({ jpeg })

export const carriedPhotosSchema = z
  .array(carriedPhotoSchema)
  .max(1000)
  .refine(
    (all) => all.reduce((sum, { jpeg: data }) => sum + bytesOf(data), 0) <= 2 * MOST_PHOTO_BYTES,
    `may have ${(2 * MOST_PHOTO_BYTES) / 1e6} MB together`,
  )

/** Bytes that a base64 text stands for. @example bytesOf('/9j/4A==') // 4 */
export const bytesOf = (base64: string): number =>
  (base64.length / 4) * 3 - (base64.endsWith('==') ? 2 : base64.endsWith('=') ? 1 : 0)

export type Photo = z.output<typeof photoSchema>
export type CarriedPhoto = z.output<typeof carriedPhotoSchema>
