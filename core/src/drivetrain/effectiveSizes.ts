import { trainRatio, trainStages } from './drivetrainRatio'
import { beltSections, type BeltSectionId } from '../data/beltSections'
import { Refusal } from '../rules/rule'
import { beltInGroove } from './beltInGroove'
import type { TransmissionKind } from './transmissionKinds'

/** A stage by whatever tells its two sizes. */
export interface SizedStage {
  kind?: TransmissionKind | undefined
  driverMm?: number | undefined
  drivenMm?: number | undefined
  driverTeeth?: number | undefined
  drivenTeeth?: number | undefined
  starts?: number | undefined
  wheelTeeth?: number | undefined
  reduction?: number | undefined
  section?: string | undefined
  grooves?: BeltSectionId | undefined
}

/** Driving and driven size of a stage: diameters in mm, teeth, or turns. */
export interface StageSizes {
  driver: number | undefined
  driven: number | undefined
}

const isSection = (id: string): id is BeltSectionId => Object.hasOwn(beltSections.sections, id)

/** The V-belt of a stage and the other section its grooves are cut for; undefined where it lies in its own. */
export function strangeGroove({
  kind,
  section,
  grooves,
}: SizedStage): { section: BeltSectionId; grooves: BeltSectionId } | undefined {
  const strange = kind === 'v-belt' && section !== undefined && grooves !== undefined && grooves !== section
  return strange && isSection(section) ? { section, grooves } : undefined
}

/** Sizes by what is typed of a stage's kind. */
export function typedSizes({ kind, ...stage }: SizedStage): StageSizes {
  switch (kind) {
    case 'gear-pair':
    case 'timing-belt':
      return { driver: stage.driverTeeth, driven: stage.drivenTeeth }
    case 'worm':
      return { driver: stage.starts, driven: stage.wheelTeeth }
    case 'gearbox':
    case 'variator':
      return { driver: stage.reduction === undefined ? undefined : 1, driven: stage.reduction }
    case 'direct':
      return { driver: undefined, driven: undefined }
    default:
      return { driver: stage.driverMm, driven: stage.drivenMm }
  }
}

/** Sizes that make the ratio: as typed, or as a V-belt lies in grooves cut for another section. */
export function effectiveSizes(stage: SizedStage): StageSizes {
  const typed = typedSizes(stage)
  const strange = strangeGroove(stage)
  if (!strange) return typed
  const lies = (diameterMm: number | undefined) => {
    if (diameterMm === undefined) return undefined
    const lying = beltInGroove.compute({ ...strange, diameterMm })
    return lying instanceof Refusal ? diameterMm : lying.effectiveMm
  }
  return { driver: lies(typed.driver), driven: lies(typed.driven) }
}

/** What of a plan's stages makes the ratio, as the rules take it; what else was measured of their belts is no part of it. */
export const ratioStages = (stages: readonly (SizedStage & { slip?: number | undefined })[]) =>
  stages.map((stage) => {
    const { driver, driven } = effectiveSizes(stage)
    return { kind: stage.kind, slip: stage.slip, driverMm: driver, drivenMm: driven }
  })

/** Driven turns for one of the driving through a plan's stages; undefined where one of them is not sized. */
export function ratioOfStages(stages: Parameters<typeof ratioStages>[0]): number | undefined {
  const read = trainStages.safeParse(ratioStages(stages))
  const made = read.success ? trainRatio(read.data) : undefined
  return made === undefined || made instanceof Refusal ? undefined : made.speedRatio
}

/** A plan's stages as `trainLayout` draws them. */
export const drawnStages = (stages: readonly (SizedStage & { slip?: number | undefined })[]) =>
  stages.map((stage) => ({ kind: stage.kind, slip: stage.slip, section: stage.section, ...effectiveSizes(stage) }))
