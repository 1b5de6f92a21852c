import { cuttingSpeed } from '../../cutting/cuttingSpeed'
import { ratioFromSpeeds } from '../../drivetrain'
import { synchronousSpeed } from '../../motor'
import type { Position, PositionPath } from '../../plan'
import type { Knowing } from '../context'
import type { Basis, FigureState } from '../figure'
import { named, type Ledger } from '../ledger'
import type { MotorFacts } from '../motor/motorKnown'

/** What is known of a train without its sizes, and how. */
export interface KnownRatio {
  speedRatio: FigureState
  basis: Basis
  /** The motor's speed is taken from its hertz, so that its slip is counted into the ratio. */
  byHertz: boolean
}

/**
 * Ratio of a position from a lever plate, a tachometer or a count of turns. Undefined where nothing of the kind is
 * typed; blocked where a part of it is.
 */
export function knownRatio(
  { ledger, motor }: Knowing<{ motor: MotorFacts }>,
  position: Position,
  path: PositionPath,
  name: string,
): KnownRatio | undefined {
  const basis: Basis = position.knownFrom === 'measured' ? 'measured' : 'given'
  const naming = named(
    `position.${position.id}.knownRatio`,
    `${name}: spindle turns for one of the motor, as known`,
    'number',
  )
  if (position.knownRatio !== undefined) {
    const typed = ledger.given(`${path}.knownRatio`)
    return { speedRatio: ledger.stated(naming, position.knownRatio, basis, [typed]), basis, byHertz: false }
  }
  const spindleRpm = knownSpindle(ledger, position, path, name)
  if (spindleRpm === undefined) return undefined
  const byHertz = position.knownMotorRpm === undefined && position.knownHz !== undefined
  const motorRpm = byHertz
    ? ledger.derive(
        synchronousSpeed,
        'synchronousRpm',
        named(`position.${position.id}.knownMotorRpm`, `${name}: motor then, by its hertz`, 'speed'),
        { frequencyHz: ledger.given(`${path}.knownHz`), poles: motor.poles },
      )
    : ledger.given(`${path}.knownMotorRpm`, `${name}: motor then`)
  return {
    speedRatio: ledger.derive(ratioFromSpeeds, 'speedRatio', naming, { spindleRpm, motorRpm }, { basis: () => basis }),
    basis,
    byHertz,
  }
}

/** Spindle speed as known, or from the blade that a wheel on the spindle drives. */
function knownSpindle(ledger: Ledger, position: Position, path: PositionPath, name: string): FigureState | undefined {
  if (position.knownSpindleRpm !== undefined) return ledger.given(`${path}.knownSpindleRpm`, `${name}: spindle then`)
  if (position.knownSurfaceMPerMin === undefined) return undefined
  return ledger.derive(
    cuttingSpeed,
    'speedRpm',
    named(`position.${position.id}.knownSpindleRpm`, `${name}: spindle then, by blade or belt`, 'speed'),
    {
      surfaceSpeedMPerMin: ledger.given(`${path}.knownSurfaceMPerMin`),
      diameterMm: ledger.given(`${path}.wheelMm`),
    },
  )
}
