import { missingSize, ratioOfStages, typedSizes } from '../../drivetrain'
import {
  fieldAt,
  type Position,
  type PositionPath,
  type TransmissionStage,
  type TransmissionStagePath,
} from '../../plan'
import type { FieldFigureId } from '../figureId'
import { isKnown, type FigureState } from '../figure'
import { choice, named, type Ledger } from '../ledger'
import type { KnownRatio } from './knownRatio'

/** The fields of a stage's driving and driven size, by its kind; a gearbox, a variator and a coupling have not two. */
function sizePaths(
  { kind }: TransmissionStage,
  at: TransmissionStagePath,
): { driver: FieldFigureId; driven: FieldFigureId } | undefined {
  switch (kind) {
    case 'direct':
    case 'gearbox':
    case 'variator':
    case undefined:
      return undefined
    case 'gear-pair':
    case 'timing-belt':
      return { driver: `${at}.driverTeeth`, driven: `${at}.drivenTeeth` }
    case 'worm':
      return { driver: `${at}.starts`, driven: `${at}.wheelTeeth` }
    default:
      return { driver: `${at}.driverMm`, driven: `${at}.drivenMm` }
  }
}

/** Where the ratio is known and all sizes but one, that one follows. It is booked under its own field. */
export function bookMissingSize(
  ledger: Ledger,
  { transmission }: Position,
  path: PositionPath,
  name: string,
  { speedRatio }: KnownRatio,
): FigureState | undefined {
  if (!isKnown(speedRatio)) return undefined
  const lacking = transmission.flatMap((stage, i) => {
    if (stage.kind === 'direct') return []
    const { driver, driven } = typedSizes(stage)
    const missing = [driver === undefined ? 'driver' : [], driven === undefined ? 'driven' : []].flat() as (
      'driver' | 'driven'
    )[]
    return missing.map((end) => ({ stage, i, end, other: end === 'driver' ? driven : driver }))
  })
  const [one, another] = lacking
  const paths = one && sizePaths(one.stage, `${path}.transmission.${one.i}`)
  if (!one || another || !paths || one.other === undefined) return undefined
  const ratio = ratioOfStages(transmission.filter((_, i) => i !== one.i))
  if (ratio === undefined) return undefined
  const otherEnd = one.end === 'driver' ? 'driven' : 'driver'
  const field = fieldAt(paths[one.end])
  return ledger.derive(
    missingSize,
    'size',
    named(paths[one.end], `${name}: ${field.label.toLowerCase()}, from the speed`, field.dimension ?? 'number'),
    {
      speedRatio,
      otherRatio: choice(ratio * (1 - (one.stage.slip ?? 0)), 'Ratio of the rest'),
      size: ledger.given(paths[otherEnd]),
      drives: choice(otherEnd === 'driver', 'The known one drives'),
    },
  )
}
