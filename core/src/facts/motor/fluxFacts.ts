import { setVoltage } from '../../drive'
import { flux } from '../../motor'
import { sameNominal } from '../../quantities'
import type { Knowing } from '../context'
import type { DriveFacts } from '../drive/driveFacts'
import { numberOf, type FigureState } from '../figure'
import { choice, named } from '../ledger'
import type { MotorFacts } from './motorKnown'

export interface FluxFacts {
  /** Volts at base hertz. */
  setVoltageV: FigureState
  /** Flux against the plate. */
  fluxFraction: FigureState
}

type Before = Knowing<{ motor: MotorFacts; drive: DriveFacts; baseFrequencyHz: FigureState }>

/** What the drive's volts and base make of the motor's field. */
export function fluxFacts(context: Before): FluxFacts {
  const { ledger, motor, baseFrequencyHz } = context
  const setVoltageV = setVoltageOf(context)
  return {
    setVoltageV,
    fluxFraction: ledger.derive(
      flux,
      'fluxFraction',
      named('motor.fluxFraction', 'Flux against the plate', 'fraction'),
      {
        setVoltageV,
        baseFrequencyHz,
        plateVoltageV: motor.plateVoltageV,
        plateFrequencyHz: motor.frequencyHz,
      },
    ),
  }
}

/**
 * Volts given at base hertz. Where the drive could give more than the motor's links may have and
 * nothing was chosen or read back, it is taken to give all it has, as it does when it arrives.
 */
function setVoltageOf({ plan, ledger, motor, drive }: Before): FigureState {
  const naming = named('drive.setVoltageV', 'Volts at base hertz', 'voltage')
  const explicit = plan.settings.inDrive.ratedVoltageV ?? plan.settings.chosen.ratedVoltageV
  if (explicit !== undefined) return ledger.stated(naming, explicit, 'given', [], 'As set in the drive')
  const [plateV, ceilingV] = [numberOf(motor.plateVoltageV), numberOf(drive.ceilingV)]
  const alike = plateV !== undefined && ceilingV !== undefined && sameNominal(plateV, ceilingV)
  return ledger.derive(setVoltage, 'voltageV', naming, {
    plateVoltageV: motor.plateVoltageV,
    ceilingV: drive.ceilingV,
    sameClass: choice(alike, 'Of one nominal class'),
    untouched: choice(plateV !== undefined && ceilingV !== undefined && plateV < ceilingV, 'As it arrives'),
  })
}
