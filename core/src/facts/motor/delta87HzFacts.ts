import { delta87Hz, leadConnections } from '../../motor'
import type { Connection } from '../../plan'
import { sameNominal } from '../../quantities'
import type { Knowing } from '../context'
import { isKnown, numberOf, type FigureState } from '../figure'
import { named } from '../ledger'
import type { DriveFacts } from '../drive/driveFacts'
import type { MotorFacts } from './motorKnown'

export interface Delta87HzFacts {
  /** Lower-voltage links to be used on the higher-voltage drive. */
  connection: Connection
  baseHz: FigureState
  usableHz: FigureState
  powerW: FigureState
  currentA: FigureState
  /** False where the drive's amps fall short. */
  permitted: boolean
}

/**
 * The lower-voltage links on a drive of the higher volts: full torque to more than plate hertz. Only for
 * motors of four poles and more whose winding is made for the higher volts, in delta or in series.
 */
export function delta87HzFacts({
  plan,
  ledger,
  motor,
  drive,
}: Knowing<{ motor: MotorFacts; drive: DriveFacts }>): Delta87HzFacts | undefined {
  const { leads, lowVoltageV, highVoltageV, ratedFrequencyHz } = plan.motor
  const [ceilingV, poles] = [numberOf(drive.ceilingV), numberOf(motor.poles)]
  if (
    motor.suitable !== true ||
    leads === undefined ||
    lowVoltageV === undefined ||
    highVoltageV === undefined ||
    ratedFrequencyHz === undefined ||
    ceilingV === undefined ||
    poles === undefined ||
    poles < 4 ||
    ceilingV <= lowVoltageV ||
    sameNominal(ceilingV, lowVoltageV) ||
    // The winding must have been made for the volts it then sees.
    (ceilingV > highVoltageV && !sameNominal(ceilingV, highVoltageV))
  )
    return undefined
  const low = leadConnections[leads].find((c) => c.plate === 'low' && !c.starOver)
  if (!low) return undefined
  const made = ledger.compute(
    delta87Hz,
    {
      baseFrequencyHz: named('motor.delta87BaseHz', 'Base hertz with the lower-voltage links', 'frequency'),
      usableHz: named('motor.delta87UsableHz', 'Full torque up to', 'frequency'),
      powerW: named('motor.delta87W', 'Power there', 'power'),
      currentA: named('motor.delta87A', 'Amps the drive must give', 'current'),
    },
    {
      lowVoltageV: ledger.given('motor.lowVoltageV'),
      lowVoltageA: ledger.given('motor.lowVoltageA'),
      plateFrequencyHz: motor.frequencyHz,
      ratedSpeedRpm: motor.ratedSpeedRpm,
      powerW: ledger.given('motor.powerW'),
      driveV: drive.ceilingV,
      safeRpm: isKnown(motor.safeRpm) ? motor.safeRpm : undefined,
      driveA: isKnown(drive.outputA) && drive.outputA.value > 0 ? drive.outputA : undefined,
    },
  )
  return {
    connection: low.connection,
    baseHz: made.baseFrequencyHz,
    usableHz: made.usableHz,
    powerW: made.powerW,
    currentA: made.currentA,
    permitted: made.output?.permitted ?? false,
  }
}
