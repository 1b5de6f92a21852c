import { set, namedDrive, takeDrive, takeMotor, type Patch, type Plan } from '../plan'
import type { LibraryItem } from './libraryItem'

/** A motor or drive of the library; circuits are taken by `takeBranchCircuit`. */
export type PlateItem = Extract<LibraryItem, { kind: 'motor' | 'drive' }>

/** Most that are held side by side. */
export const MOST_BESIDE = 8

/** Puts a motor or drive of the library in the plan, in place of what it has. */
export const takeItem = (kept: PlateItem): Patch =>
  kept.kind === 'motor' ? takeMotor(kept.item) : takeDrive(namedDrive(kept.name, kept.item))

/** Puts a motor or drive of the library beside those that are thought of; undefined where no more fit. */
export function addCandidate({ candidates: { motors, drives } }: Plan, kept: PlateItem, id: string): Patch | undefined {
  const { kind, name } = kept
  if ((kind === 'motor' ? motors : drives).length >= MOST_BESIDE) return undefined
  return kind === 'motor'
    ? [set('candidates.motors', [...motors, { id, name, plate: kept.item }])]
    : [set('candidates.drives', [...drives, { id, name, plate: namedDrive(name, kept.item) }])]
}
