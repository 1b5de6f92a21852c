import { z } from 'zod'
import { nameText } from '../rules/text'
import { branchCircuitSchema, libraryItemSchema, libraryKinds, MOST_ITEMS } from '../library/libraryItem'
import { keptManualSchema } from '../manual/manual'
import { driveSchema, motorSchema, PLAN_VERSION } from '../plan'

const kept = { id: z.uuid(), name: nameText(80), version: z.literal(PLAN_VERSION) }

/** An item of the library with the id that the server gave it, and the version of the plan whose fields it has. */
export const keptItemSchema = z.discriminatedUnion('kind', [
  z.strictObject({ ...kept, kind: z.literal('motor'), item: motorSchema }),
  z.strictObject({ ...kept, kind: z.literal('drive'), item: driveSchema }),
  z.strictObject({ ...kept, kind: z.literal('circuit'), item: branchCircuitSchema }),
  z.strictObject({ ...kept, kind: z.literal('manual'), item: keptManualSchema }),
])

/** An item that is kept as it was stored, because this release cannot read it, and why. */
export const unreadableItemSchema = z.strictObject({
  id: kept.id,
  kind: z.enum(libraryKinds),
  name: z.string(),
  unreadable: z.string(),
})

/** A line of the library: an item, or that there is one that cannot be read. */
export const libraryLineSchema = z.union([keptItemSchema, unreadableItemSchema])

export const manyItemsSchema = z.strictObject({ items: z.array(libraryItemSchema).max(MOST_ITEMS) })

/** How many items came in anew, and how many replaced one of their name. */
export const takenInSchema = z.strictObject({ added: z.number().int().min(0), replaced: z.number().int().min(0) })

export type KeptItem = z.output<typeof keptItemSchema>
export type UnreadableItem = z.output<typeof unreadableItemSchema>
export type LibraryLine = z.output<typeof libraryLineSchema>
export type ManyItems = z.output<typeof manyItemsSchema>
export type TakenIn = z.output<typeof takenInSchema>
