import { drivetrainEfficiency, drivetrainRatio, ratioStages } from '../drivetrain'
import type { Plan, Position } from '../plan'
import { onPlanning, type Reading } from './figure'
import type { Ledger } from './ledger'

/** One belt position, before any hertz is known. */
export interface TrainFacts {
  position: Position
  /** Its place in the plan's list, for paths. */
  index: number
  name: string
  speedRatio: Reading
  reversed: boolean | undefined
  efficiency: Reading
  /** The stages as the rules take them, with the sizes they came from. */
  stages: { raw: unknown; shown: string; label: string; from: Reading[] }
}

export const positionName = (position: Position, index: number): string =>
  position.name?.trim() || String.fromCharCode(65 + (index % 26))

/** The position used most: as chosen, or the only one there is. */
export function mainPosition(plan: Plan): Position | undefined {
  const { positions, mainPositionId } = plan.survey
  return positions.find((p) => p.id === mainPositionId) ?? (positions.length === 1 ? positions[0] : undefined)
}

/** Ratio, sense and efficiency of every belt position. */
export const trainFacts = (plan: Plan, ledger: Ledger): TrainFacts[] =>
  plan.survey.positions.map((position, index) => {
    const name = positionName(position, index)
    const path = `survey.positions.${index}`
    const sizes = position.stages.flatMap((stage, i) =>
      stage.kind === 'direct' && stage.driverMm === undefined && stage.drivenMm === undefined
        ? []
        : [
            ledger.given(`${path}.stages.${i}.driverMm`, `${name}: driving pulley ${i + 1}`),
            ledger.given(`${path}.stages.${i}.drivenMm`, `${name}: driven pulley ${i + 1}`),
          ],
    )
    const kinds = position.stages.flatMap((stage, i): Reading[] =>
      stage.kind === undefined
        ? [
            {
              id: `${path}.stages.${i}.kind`,
              label: `${name}: kind of stage ${i + 1}`,
              missing: [`${path}.stages.${i}.kind`],
            },
          ]
        : [],
    )
    const empty: Reading[] =
      position.stages.length === 0
        ? [{ id: `${path}.stages`, label: `${name}: stages`, missing: [`${path}.stages`] }]
        : []
    const shown = position.stages
      .map((s) => (s.driverMm === undefined ? (s.kind ?? '?') : `${s.driverMm} : ${s.drivenMm ?? '?'}`))
      .join(', ')
    const stages = {
      raw: ratioStages(position.stages),
      shown,
      label: 'Stages, motor to spindle',
      from: [...sizes, ...kinds, ...empty],
    }
    const id = `position.${position.id}`
    // A worm’s wheel turns across it, one way or the other by the hand of its thread.
    const crosses = position.stages.some((s) => s.kind === 'worm')
    const ratio = ledger.compute(
      drivetrainRatio,
      { speedRatio: { id: `${id}.speedRatio`, label: `${name}: spindle rpm per motor rpm`, dimension: 'number' } },
      { stages },
    )
    const { efficiency } = ledger.compute(
      drivetrainEfficiency,
      { efficiency: { id: `${id}.efficiency`, label: `${name}: efficiency of the train`, dimension: 'fraction' } },
      { stages: { ...stages, raw: position.stages.map(({ kind }) => ({ kind })) } },
    )
    onPlanning(efficiency)
    return {
      position,
      index,
      name,
      speedRatio: ratio.speedRatio,
      reversed: crosses ? undefined : ratio.output?.reversed,
      efficiency,
      stages,
    }
  })
