import { z } from 'zod'
import { keptManualSchema } from '../manual/manual'
import { incoherence } from '../manual/readManual'
import { nameText } from '../rules/text'
import { driveSchema, motorSchema, supplySchema } from '../plan'

/** A circuit at the wall of the shop: what a plan's supply says of it, without what only one machine has. */
export const branchCircuitSchema = supplySchema.pick({
  supplyUnit: true,
  supplyUnitW: true,
  supplyUnitVA: true,
  wallVoltageV: true,
  wallBreakerA: true,
  calledAs: true,
  voltageV: true,
  phases: true,
  topology: true,
  frequencyHz: true,
  breakerA: true,
  region: true,
  cableM: true,
  cableMm2: true,
  laying: true,
})

export type BranchCircuit = z.output<typeof branchCircuitSchema>

const name = nameText(80)

/** A manual whose parts fit each other; one that does not is refused with every fault named. */
export const soundManualSchema = keptManualSchema.superRefine((manual, context) => {
  for (const { field, message } of incoherence(manual))
    context.addIssue({ code: 'custom', message, path: field.split(/[.[\]]+/).filter((step) => step !== '') })
})

/** Something kept for more than one conversion of a shop; what it holds is checked by the plan's own schema for its kind. */
export const libraryItemSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('motor'), name, item: motorSchema }),
  z.strictObject({ kind: z.literal('drive'), name, item: driveSchema }),
  z.strictObject({ kind: z.literal('circuit'), name, item: branchCircuitSchema }),
  z.strictObject({ kind: z.literal('manual'), name, item: soundManualSchema }),
])

export type LibraryItem = z.output<typeof libraryItemSchema>
export type LibraryKind = LibraryItem['kind']

/** Kinds that are held in tables, a field a column; a manual is none. */
export type TableKind = Exclude<LibraryKind, 'manual'>

export const tableKinds = ['motor', 'drive', 'circuit'] as const satisfies readonly TableKind[]

export const libraryKinds = ['motor', 'drive', 'circuit', 'manual'] as const satisfies readonly LibraryKind[]

/** Most that is taken in at once. */
export const MOST_ITEMS = 500
