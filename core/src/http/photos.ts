import { z } from 'zod'
import { text } from '../rules/text'
import { carriedPhotoSchema, photoSchema } from '../photos/photo'

/** A photo that is kept, without its content. */
export const keptPhotoSchema = photoSchema.extend({ id: z.uuid() })

/** A photo as it is sent: one whose id is there already is kept once, however often it is sent. */
export const newPhotoSchema = carriedPhotoSchema.extend({ id: z.uuid() })

export const photoNoteSchema = z.strictObject({ note: text(200) })

export type KeptPhoto = z.output<typeof keptPhotoSchema>
export type NewPhoto = z.output<typeof newPhotoSchema>
export type PhotoNote = z.output<typeof photoNoteSchema>
