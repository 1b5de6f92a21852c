import { drivetrainEfficiency, drivetrainRatio, hidesRotation, ratioStages, typedSizes } from '../../drivetrain'
import {
  positionName,
  type Position,
  type PositionPath,
  type TransmissionStage,
  type TransmissionStagePath,
} from '../../plan'
import type { Knowing } from '../context'
import { numberOf, type FigureState } from '../figure'
import type { PositionFigureId } from '../figureId'
import { named, unknownField, type Ledger } from '../ledger'
import type { MotorFacts } from '../motor/motorKnown'
import { knownRatio, type KnownRatio } from './knownRatio'
import { measuredRatio } from './measuredRatio'
import { bookMissingSize } from './missingSize'

/** One belt position, before any hertz is known. */
export interface TrainFacts {
  position: Position
  /** Its place in the plan's list, for paths. */
  index: number
  name: string
  speedRatio: FigureState
  /** What the plan says of its speed or its ratio, and what was read; and whether the ratio is taken from its sizes all the same. */
  told: KnownRatio | undefined
  measured: KnownRatio | undefined
  bySizes: boolean
  /** The one size that follows from all others, under the name of its field. */
  lacking: FigureState | undefined
  reversed: boolean | undefined
  efficiency: FigureState
  /** The stages as the rules take them, with the sizes they came from. */
  stages: { raw: unknown; shown: string; label: string; from: FigureState[] }
}

/** The path under which a position's figure is booked. */
export const ofPosition = <K extends string>(position: Position, key: K): `position.${string}.${K}` =>
  `position.${position.id}.${key}`

/** Ratio, sense and efficiency of every belt position: by its sizes, or by its speed or ratio where those are known instead. */
export const trainFacts = (context: Knowing<{ motor: MotorFacts }>): TrainFacts[] =>
  context.plan.survey.positions.map((position, index) => {
    const { ledger } = context
    const name = positionName(position, index)
    const path: PositionPath = `survey.positions.${index}`
    const told = knownRatio(context, position, path, name)
    const measured = measuredRatio(context, position, path, name)
    const known = told ?? measured
    const bySizes = known === undefined || (position.transmission.length > 0 && position.transmission.every(isSized))
    const lacking = known && bookMissingSize(ledger, position, path, name, known)
    const sizes =
      position.transmission.length === 0
        ? [unknownField(`${path}.transmission`, `${name}: stages`)]
        : position.transmission.flatMap((stage, i) =>
            stageSizes(ledger, stage, `${path}.transmission.${i}`, `${name}: `, i + 1),
          )
    const stages = {
      raw: bySizes ? ratioStages(position.transmission) : asOneRatio(position, numberOf(known.speedRatio) ?? 1),
      shown: bySizes ? position.transmission.map(shownStage).join(', ') : 'as known',
      label: 'Stages, motor to spindle',
      from: bySizes ? sizes : [known.speedRatio],
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
      bySizes ? undefined : { basis: () => known.basis },
    )
    return {
      position,
      index,
      name,
      speedRatio: ratio.speedRatio,
      told,
      measured,
      bySizes,
      lacking,
      reversed: hidesItsWay(position) ? undefined : ratio.output?.reversed,
      efficiency: ledger.derive(
        drivetrainEfficiency,
        'efficiency',
        named(ofPosition(position, 'efficiency'), `${name}: efficiency of the train`, 'fraction'),
        {
          stages: {
            ...stages,
            raw: position.transmission.map(({ kind }) => ({ kind })),
            from: bySizes ? sizes : kindsOf(position, path, name),
          },
        },
        { planning: true },
      ),
      stages,
    }
  })

/** Both sizes of a stage are typed, or it has none. */
const isSized = (stage: TransmissionStage): boolean => {
  const { driver, driven } = typedSizes(stage)
  return stage.kind === 'direct' || (driver !== undefined && driven !== undefined)
}

/** Nobody sees which way it turns; or what stands between is not said. */
const hidesItsWay = ({ transmission }: Position): boolean =>
  transmission.length === 0 || transmission.some((s) => s.kind === undefined || hidesRotation(s.kind))

/** A train whose ratio is known and not its sizes, as the rules take it: all of the ratio in its first stage. */
const asOneRatio = ({ transmission }: Position, speedRatio: number) =>
  (transmission.length === 0 ? [{ kind: 'gearbox' as const }] : transmission).map(({ kind = 'gearbox' }, i) => ({
    kind,
    driverMm: i === 0 ? speedRatio : 1,
    drivenMm: 1,
  }))

/** What the efficiency of a train waits for, where its sizes are not asked. */
const kindsOf = ({ transmission }: Position, path: PositionPath, name: string): FigureState[] =>
  transmission.length === 0
    ? [unknownField(`${path}.transmission`, `${name}: stages`)]
    : transmission.flatMap(({ kind }, i) =>
        kind === undefined ? [unknownField(`${path}.transmission.${i}.kind`, `${name}: kind of stage ${i + 1}`)] : [],
      )

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
  switch (kind) {
    case 'direct':
      return []
    case 'gear-pair':
    case 'timing-belt':
      return [ledger.given(`${path}.driverTeeth`), ledger.given(`${path}.drivenTeeth`)]
    case 'worm':
      return [
        ledger.given(`${path}.starts`, `${name}starts of worm ${number}`),
        ledger.given(`${path}.wheelTeeth`, `${name}wheel of worm ${number}`),
      ]
    case 'gearbox':
    case 'variator':
      return [ledger.given(`${path}.reduction`, `${name}${kind} ${number}`)]
    default:
      return [
        ledger.given(`${path}.driverMm`),
        ledger.given(`${path}.drivenMm`),
        ...(kind === undefined ? [unknownField(`${path}.kind`, `${name}kind of stage ${number}`)] : []),
      ]
  }
}
