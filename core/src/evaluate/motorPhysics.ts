import type { Library } from '../data/planningValues'
import { lowSpeedPull, operatingPoint, type Circuit } from '../motor'
import type { Plan } from '../plan'
import { outputVoltage } from '../drive'
import type { DriveFacts } from './driveFacts'
import { isKnown, numberOf, type Reading } from './figure'
import type { Ledger } from './ledger'
import type { MotorFacts } from './motorFacts'
import { plateCircuit } from './plateCircuit'
import type { SettingsFacts } from './settingsFacts'

export interface MotorPhysics {
  circuit: Circuit | undefined
  /** Which line of the plate contradicts the others, where no circuit meets it. */
  contradiction: string | undefined
  breakdownRatio: Reading
  noLoadA: Reading
  statorOhm: Reading
  /** Pull-out torque at the lowest hertz on plain V/f without boost. */
  lowPullNm: Reading
}

/** What the motor does inside: its circuit fitted to the plate, and what follows from it. */
export function motorPhysics(
  plan: Plan,
  ledger: Ledger,
  library: Library,
  motor: MotorFacts,
  drive: DriveFacts,
  settings: SettingsFacts,
): MotorPhysics {
  const own = ledger.given('motor.breakdownRatio')
  const typical = library.planning.breakdownRatio
  const breakdownRatio = isKnown(own)
    ? own
    : ledger.typical(
        { id: 'motor.pullOut', label: 'Pull-out over rated torque', dimension: 'number' },
        typical.value,
        typical.source,
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
  const fitted =
    motor.suitable === true && slip !== undefined && slip > 0
      ? plateCircuit(plan, (id) => ledger.figures[id]?.value)
      : undefined
  const circuit = fitted && 'circuit' in fitted ? fitted.circuit : undefined
  const raw = circuit && {
    raw: circuit,
    shown: 'fitted to the plate',
    label: 'Equivalent circuit',
    from: [...inputs, breakdownRatio],
  }
  const blocked = (id: string, label: string): Reading =>
    ledger.block(
      { id, label },
      inputs,
      fitted && 'contradiction' in fitted
        ? fitted.contradiction
        : slip === 0
          ? 'A plate that prints synchronous speed does not say the slip'
          : undefined,
    )

  const noLoad = { id: 'motor.noLoadA', label: 'Amps at no load, base hertz', dimension: 'current' as const }
  const stator = {
    id: 'motor.statorOhm',
    label: 'Stator resistance, per phase of the star',
    dimension: 'resistance' as const,
  }
  const pull = { id: 'motor.lowPull', label: 'Pull-out at the lowest hertz on plain V/f', dimension: 'torque' as const }
  if (!raw)
    return {
      circuit,
      contradiction: fitted && 'contradiction' in fitted ? fitted.contradiction : undefined,
      breakdownRatio,
      noLoadA: blocked(noLoad.id, noLoad.label),
      statorOhm: blocked(stator.id, stator.label),
      lowPullNm: blocked(pull.id, pull.label),
    }

  const { outputV } = ledger.compute(
    outputVoltage,
    { outputV: { id: 'drive.lowestV', label: 'Volts at the lowest hertz, no boost', dimension: 'voltage' } },
    {
      frequencyHz: settings.minimumHz,
      baseFrequencyHz: settings.baseFrequencyHz,
      ratedVoltageV: motor.plateVoltageV,
      supplyV: drive.ceilingV,
    },
  )
  return {
    circuit,
    contradiction: undefined,
    breakdownRatio,
    noLoadA: ledger.compute(
      operatingPoint,
      { currentA: noLoad },
      {
        circuit: raw,
        voltageV: motor.plateVoltageV,
        frequencyHz: motor.frequencyHz,
        slip: { raw: 0, shown: 0, label: 'Slip' },
      },
    ).currentA,
    statorOhm: ledger.stated(
      stator,
      circuit.r1Ohm,
      'typical',
      inputs,
      'Fitted to the plate; measure it between two lines and halve',
    ),
    lowPullNm:
      isKnown(outputV) && outputV.value > 0 && (numberOf(settings.minimumHz) ?? 0) > 0
        ? ledger.compute(
            lowSpeedPull,
            { peakNm: pull },
            { circuit: raw, frequencyHz: settings.minimumHz, outputVoltageV: outputV },
          ).peakNm
        : blocked(pull.id, pull.label),
  }
}
