import { beltSections, type BeltSectionId } from '../data/beltSections'
import { beltInGroove } from './beltInGroove'
import type { StageKind } from './drivetrainRatio'
import { Refusal } from '../rules/rule'

interface Sized {
  kind?: StageKind | undefined
  driverMm?: number | undefined
  drivenMm?: number | undefined
  section?: string | undefined
  grooves?: BeltSectionId | undefined
}

const isSection = (id: string): id is BeltSectionId => Object.hasOwn(beltSections.sections, id)

/** The V-belt of a stage and the other section its grooves are cut for; undefined where it lies in its own. */
export function strangeGroove({
  kind,
  section,
  grooves,
}: Sized): { section: BeltSectionId; grooves: BeltSectionId } | undefined {
  const strange = kind === 'v-belt' && section !== undefined && grooves !== undefined && grooves !== section
  return strange && isSection(section) ? { section, grooves } : undefined
}

/** Diameters on which the belt runs: as typed, or as it lies in grooves cut for another section. */
export function effectiveSizes(stage: Sized): { driverMm: number | undefined; drivenMm: number | undefined } {
  const { driverMm, drivenMm } = stage
  const strange = strangeGroove(stage)
  if (!strange) return { driverMm, drivenMm }
  const lies = (diameterMm: number | undefined) => {
    if (diameterMm === undefined) return undefined
    const lying = beltInGroove.compute({ ...strange, diameterMm })
    return lying instanceof Refusal ? diameterMm : lying.effectiveMm
  }
  return { driverMm: lies(driverMm), drivenMm: lies(drivenMm) }
}

/** What of a plan's stages makes the ratio; what else was measured of their belts is no part of it. */
export const ratioStages = (stages: readonly (Sized & { slip?: number | undefined })[]) =>
  stages.map((stage) => ({ kind: stage.kind, slip: stage.slip, ...effectiveSizes(stage) }))
