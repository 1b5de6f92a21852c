import { cuttingSpeed } from '../../cutting/cuttingSpeed'
import { ratioFromSpeeds } from '../../drivetrain'
import type { Series } from '../../readings/series'
import { readingsOf } from '../../measurements/withMeasured'
import { synchronousSpeed } from '../../motor'
import type { Position, PositionPath } from '../../plan'
import type { Knowing } from '../context'
import type { FigureState } from '../figure'
import { choice, named } from '../ledger'
import type { MotorFacts } from '../motor/motorKnown'
import type { KnownRatio } from './knownRatio'

/** Ratio of a position from the readings of it: the median of them. Undefined where none tells it. */
export function measuredRatio(
  { plan, ledger, measured, motor }: Knowing<{ motor: MotorFacts }>,
  position: Position,
  path: PositionPath,
  name: string,
): KnownRatio | undefined {
  const read = readingsOf(plan, measured, position.id)
  if (!read) return undefined
  const key = `position.${position.id}` as const
  const naming = named(`${key}.measuredRatio`, `${name}: spindle turns for one of the motor, as read`, 'number')
  const [perTurn, perHertz, surfacePerHertz] = [read.perTurn, read.perHertz, read.surfacePerHertz].map(decided)
  if (perTurn)
    return {
      speedRatio: ledger.stated(naming, perTurn.median, 'measured', [], readingsWords(perTurn.count)),
      basis: 'measured',
      byHertz: false,
    }
  const series = perHertz ?? surfacePerHertz
  if (!series) return undefined
  const note = `At one hertz, ${readingsWords(series.count)}`
  const spindleRpm: FigureState = perHertz
    ? ledger.stated(
        named(`${key}.rpmAtOneHertz`, `${name}: spindle for one hertz`, 'speed'),
        perHertz.median,
        'measured',
        [],
        note,
      )
    : ledger.derive(
        cuttingSpeed,
        'speedRpm',
        named(`${key}.rpmAtOneHertz`, `${name}: spindle for one hertz`, 'speed'),
        { surfaceSpeedMPerMin: choice(series.median, note), diameterMm: ledger.given(`${path}.wheelMm`) },
        { basis: () => 'measured' },
      )
  const motorRpm = ledger.derive(
    synchronousSpeed,
    'synchronousRpm',
    named(`${key}.motorAtOneHertz`, `${name}: motor for one hertz`, 'speed'),
    { frequencyHz: choice(1, 'Hertz'), poles: motor.poles },
  )
  return {
    speedRatio: ledger.derive(
      ratioFromSpeeds,
      'speedRatio',
      naming,
      { spindleRpm, motorRpm },
      { basis: () => 'measured' },
    ),
    basis: 'measured',
    byHertz: true,
  }
}

/** What somebody may rest on: not two that speak against each other. */
const decided = (series: Series | undefined) => (series?.undecided === true ? undefined : series)

const readingsWords = (count: number): string => (count === 1 ? 'One reading' : `Median of ${count} readings`)
