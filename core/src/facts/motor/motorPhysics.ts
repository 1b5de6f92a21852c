import { outputVoltage } from '../../drive'
import { lowSpeedPull, operatingPoint, type EquivalentCircuit } from '../../motor'
import type { Knowing } from '../context'
import { isKnown, numberOf, type FigureState } from '../figure'
import { choice, named, type Naming } from '../ledger'
import type { PlateCircuit } from './plateCircuit'
import type { DriveFacts } from '../drive/driveFacts'
import type { MotorFacts } from './motorKnown'
import type { SettingsFacts } from '../settings/settingsFacts'

export interface MotorPhysics {
  circuit: EquivalentCircuit | undefined
  /** Friction, fan and stray loss that go with the circuit. */
  rotationalLossW: number | undefined
  /** Which line of the plate contradicts the others, where no circuit meets it. */
  contradiction: string | undefined
  breakdownRatio: FigureState
  noLoadA: FigureState
  statorOhm: FigureState
  /** Pull-out torque at the lowest hertz on plain V/f without boost. */
  lowPullNm: FigureState
}

const noLoad = named('motor.noLoadA', 'Amps at no load, base hertz', 'current')
const stator = named('motor.statorOhm', 'Stator resistance, per phase of the star', 'resistance')
const pull = named('motor.lowPull', 'Pull-out at the lowest hertz on plain V/f', 'torque')

/** What the motor does inside: its circuit fitted to the plate, and what follows from it. */
export function motorPhysics(
  context: Knowing<{
    motor: MotorFacts
    drive: DriveFacts
    settings: SettingsFacts
    fitted: PlateCircuit | undefined
  }>,
): MotorPhysics {
  const { ledger, tables, motor, drive, settings, fitted } = context
  const typical = tables.planning.breakdownRatio
  const breakdownRatio = ledger.givenOr('motor.breakdownRatio', () =>
    ledger.typical(named('motor.pullOut', 'Pull-out over rated torque', 'number'), typical.value, typical.citation),
  )
  const inputs = [
    ledger.given('motor.powerW'),
    motor.plateVoltageV,
    motor.frequencyHz,
    motor.poles,
    motor.ratedSpeedRpm,
    motor.plateCurrentA,
  ]
  const slip = numberOf(motor.slip)
  const circuit = fitted && 'circuit' in fitted ? fitted.circuit : undefined
  const rotationalLossW = fitted && 'circuit' in fitted ? fitted.rotationalLossW : undefined
  const contradiction = fitted && 'contradiction' in fitted ? fitted.contradiction : undefined
  const blocked = (naming: Naming): FigureState =>
    ledger.block(
      naming,
      inputs,
      contradiction ?? (slip === 0 ? 'A plate that prints synchronous speed does not say the slip' : undefined),
    )
  if (!circuit)
    return {
      circuit,
      rotationalLossW,
      contradiction,
      breakdownRatio,
      noLoadA: blocked(noLoad),
      statorOhm: blocked(stator),
      lowPullNm: blocked(pull),
    }
  const raw = {
    raw: circuit,
    shown: 'fitted to the plate',
    label: 'Equivalent circuit',
    from: [...inputs, breakdownRatio],
  }
  const outputV = ledger.derive(
    outputVoltage,
    'outputV',
    named('drive.lowestV', 'Volts at the lowest hertz, no boost', 'voltage'),
    {
      frequencyHz: settings.minimumHz,
      baseFrequencyHz: settings.baseFrequencyHz,
      ratedVoltageV: motor.plateVoltageV,
      supplyV: drive.ceilingV,
    },
  )
  return {
    circuit,
    rotationalLossW,
    contradiction,
    breakdownRatio,
    noLoadA: ledger.derive(operatingPoint, 'currentA', noLoad, {
      circuit: raw,
      voltageV: motor.plateVoltageV,
      frequencyHz: motor.frequencyHz,
      slip: choice(0, 'Slip'),
    }),
    statorOhm: ledger.stated(
      stator,
      circuit.r1Ohm,
      'typical',
      inputs,
      'Fitted to the plate; measure it between two lines and halve',
    ),
    lowPullNm:
      isKnown(outputV) && outputV.value > 0 && (numberOf(settings.minimumHz) ?? 0) > 0
        ? ledger.derive(lowSpeedPull, 'peakNm', pull, {
            circuit: raw,
            frequencyHz: settings.minimumHz,
            outputVoltageV: outputV,
          })
        : blocked(pull),
  }
}
