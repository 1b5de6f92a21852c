import { z } from 'zod'
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

/** Something kept for more than one conversion of a shop; what it holds is checked by the plan's own schema for its kind. */
export const libraryItemSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('motor'), name, item: motorSchema }),
  z.strictObject({ kind: z.literal('drive'), name, item: driveSchema }),
  z.strictObject({ kind: z.literal('circuit'), name, item: branchCircuitSchema }),
])

export type LibraryItem = z.output<typeof libraryItemSchema>
export type LibraryKind = LibraryItem['kind']

export const libraryKinds = ['motor', 'drive', 'circuit'] as const satisfies readonly LibraryKind[]

/** Most that is taken in at once. */
export const MOST_ITEMS = 500
