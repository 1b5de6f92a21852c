import {
  ribProfiles,
  toothPitches,
  type RibProfile,
  type RibProfileId,
  type ToothPitch,
  type ToothPitchId,
} from './beltPitches'
import { beltSections, type BeltSection, type BeltSectionId } from './beltSections'

/** Any belt that has a name: a V section, a poly-V profile, a timing pitch. */
export type BeltProfileId = BeltSectionId | RibProfileId | ToothPitchId

export type BeltProfile =
  | { form: 'v'; id: BeltSectionId; section: BeltSection }
  | { form: 'rib'; id: RibProfileId; profile: RibProfile }
  | { form: 'tooth'; id: ToothPitchId; pitch: ToothPitch }

const isIn = <T extends object>(table: T, id: PropertyKey): id is keyof T => Object.hasOwn(table, id)

export function beltProfile(id: BeltProfileId): BeltProfile {
  if (isIn(toothPitches.pitches, id)) return { form: 'tooth', id, pitch: toothPitches.pitches[id] }
  if (isIn(ribProfiles.profiles, id)) return { form: 'rib', id, profile: ribProfiles.profiles[id] }
  return { form: 'v', id, section: beltSections.sections[id] }
}

const named = <K extends string>(table: Readonly<Record<K, { name: string }>>) =>
  Object.fromEntries(Object.entries<{ name: string }>(table).map(([id, { name }]) => [id, name])) as Record<K, string>

/** Names by form, in the order they are offered. */
export const beltNames = {
  v: named(beltSections.sections),
  rib: named(ribProfiles.profiles),
  tooth: named(toothPitches.pitches),
}
