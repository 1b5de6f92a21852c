import { leadConnections } from '../data/leadConnections'
import { highSpeedDelta } from '../motor'
import type { Connection, Plan } from '../plan'
import { sameNominal } from '../quantities'
import type { DriveFacts } from './driveFacts'
import { isKnown, numberOf, type Reading } from './figure'
import type { Ledger } from './ledger'
import type { MotorFacts } from './motorFacts'

export interface FastDeltaFacts {
  /** Lower-voltage links to be used on the higher-voltage drive. */
  connection: Connection
  baseHz: Reading
  usableHz: Reading
  powerW: Reading
  currentA: Reading
  /** False where the drive's amps fall short. */
  permitted: boolean
}

/**
 * The lower-voltage links on a drive of the higher volts: full torque to more than plate hertz. Only for
 * motors of four poles and more whose winding is made for the higher volts, in delta or in series.
 */
export function fastDeltaFacts(
  plan: Plan,
  ledger: Ledger,
  motor: MotorFacts,
  drive: DriveFacts,
): FastDeltaFacts | undefined {
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
    highSpeedDelta,
    {
      baseFrequencyHz: {
        id: 'motor.fastBaseHz',
        label: 'Base hertz with the lower-voltage links',
        dimension: 'frequency',
      },
      usableHz: { id: 'motor.fastHz', label: 'Full torque up to', dimension: 'frequency' },
      powerW: { id: 'motor.fastW', label: 'Power there', dimension: 'power' },
      currentA: { id: 'motor.fastA', label: 'Amps the drive must give', dimension: 'current' },
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
