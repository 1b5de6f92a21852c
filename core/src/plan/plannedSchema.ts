import { z } from 'zod'
import { text } from '../rules/text'

/** Work that somebody means to do and has not done: what it is, and the field that will say so once it was looked at. */
export const plannedSchema = z.strictObject({ label: text(160), path: text(120) })

export type Planned = z.output<typeof plannedSchema>

/** Most that can be planned at once. */
export const MOST_PLANNED = 40
