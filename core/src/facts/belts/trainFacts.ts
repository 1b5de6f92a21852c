import { drivetrainEfficiency, drivetrainRatio, hidesRotation, ratioStages, typedSizes } from '../../drivetrain'
import type { Plan, Position, PositionPath, TransmissionStage, TransmissionStagePath } from '../../plan'
import type { Context } from '../context'
import type { FigureState } from '../figure'
import type { PositionFigureId } from '../figureId'
import { named, unknownField, type Ledger } from '../ledger'

/** One belt position, before any hertz is known. */
export interface TrainFacts {
  position: Position
  /** Its place in the plan's list, for paths. */
  index: number
  name: string
  speedRatio: FigureState
  reversed: boolean | undefined
  efficiency: FigureState
  /** The stages as the rules take them, with the sizes they came from. */
  stages: { raw: unknown; shown: string; label: string; from: FigureState[] }
}

export const positionName = (position: Position, index: number): string =>
  position.name?.trim() || String.fromCharCode(65 + (index % 26))

/** The position used most: as chosen, or the only one there is. */
export function mainPosition(plan: Plan): Position | undefined {
  const { positions, mainPositionId } = plan.survey
  return positions.find((p) => p.id === mainPositionId) ?? (positions.length === 1 ? positions[0] : undefined)
}

/** The path under which a position's figure is booked. */
export const ofPosition = <K extends string>(position: Position, key: K): `position.${string}.${K}` =>
  `position.${position.id}.${key}`

/** Ratio, sense and efficiency of every belt position. */
export const trainFacts = ({ plan, ledger }: Context): TrainFacts[] =>
  plan.survey.positions.map((position, index) => {
    const name = positionName(position, index)
    const path: PositionPath = `survey.positions.${index}`
    const stages = {
      raw: ratioStages(position.transmission),
      shown: position.transmission.map(shownStage).join(', '),
      label: 'Stages, motor to spindle',
      from:
        position.transmission.length === 0
          ? [unknownField(`${path}.transmission`, `${name}: stages`)]
          : position.transmission.flatMap((stage, i) =>
              stageSizes(ledger, stage, `${path}.transmission.${i}`, `${name}: `, i + 1),
            ),
    }
    const ratio = ledger.compute(
      drivetrainRatio,
      {
        speedRatio: named(
          ofPosition(position, 'speedRatio') satisfies PositionFigureId,
          `${name}: spindle rpm per motor rpm`,
          'number',
        ),
      },
      { stages },
    )
    return {
      position,
      index,
      name,
      speedRatio: ratio.speedRatio,
      reversed: position.transmission.some((s) => hidesRotation(s.kind)) ? undefined : ratio.output?.reversed,
      efficiency: ledger.derive(
        drivetrainEfficiency,
        'efficiency',
        named(ofPosition(position, 'efficiency'), `${name}: efficiency of the train`, 'fraction'),
        { stages: { ...stages, raw: position.transmission.map(({ kind }) => ({ kind })) } },
        { planning: true },
      ),
      stages,
    }
  })

/** `90 : 224`, or the kind where the sizes are not known. */
function shownStage(stage: TransmissionStage): string {
  const { driver, driven } = typedSizes(stage)
  return driver === undefined ? (stage.kind ?? '?') : `${driver} : ${driven ?? '?'}`
}

/** The sizes that a stage's ratio rests on, by its kind; a stage that does not say its kind waits for that too. */
export function stageSizes(
  ledger: Ledger,
  { kind }: TransmissionStage,
  path: TransmissionStagePath,
  name: string,
  number: number,
): FigureState[] {
  const [first, second] = [`${name}driving pulley ${number}`, `${name}driven pulley ${number}`]
  switch (kind) {
    case 'direct':
      return []
    case 'gear-pair':
    case 'timing-belt':
      return [ledger.given(`${path}.driverTeeth`, first), ledger.given(`${path}.drivenTeeth`, second)]
    case 'worm':
      return [
        ledger.given(`${path}.starts`, `${name}starts of worm ${number}`),
        ledger.given(`${path}.wheelTeeth`, `${name}wheel of worm ${number}`),
      ]
    case 'gearbox':
      return [ledger.given(`${path}.reduction`, `${name}gearbox ${number}`)]
    default:
      return [
        ledger.given(`${path}.driverMm`, first),
        ledger.given(`${path}.drivenMm`, second),
        ...(kind === undefined ? [unknownField(`${path}.kind`, `${name}kind of stage ${number}`)] : []),
      ]
  }
}
