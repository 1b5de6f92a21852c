import { takeDrive, takeMotor } from '../compare/takePlate'
import { set, type Patch, type Plan } from '../plan'
import type { LibraryItem } from './libraryItem'

/** A motor or drive of the library; circuits are taken by `takeCircuit`. */
export type PlateItem = Exclude<LibraryItem, { kind: 'circuit' }>

/** Most that are held side by side. */
export const MOST_BESIDE = 8

/** Puts a motor or drive of the library in the plan, in place of what it has. */
export const takeItem = (kept: PlateItem): Patch =>
  kept.kind === 'motor' ? takeMotor(kept.item) : takeDrive({ name: kept.name, ...kept.item })

/** Puts a motor or drive of the library beside those that are thought of; undefined where no more fit. */
export function putBeside(plan: Plan, { kind, name, item }: PlateItem, id: string): Patch | undefined {
  const at = kind === 'motor' ? 'motors' : 'drives'
  const there = plan.candidates[at]
  return there.length < MOST_BESIDE
    ? [set(`candidates.${at}`, [...there, { id, name, plate: kind === 'drive' ? { name, ...item } : item }])]
    : undefined
}
