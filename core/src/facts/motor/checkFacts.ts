import { insulationCheck, phaseBalance } from '../../motor'
import type { Knowing } from '../context'
import { isKnown, type FigureState } from '../figure'
import { named } from '../ledger'
import type { MotorFacts } from './motorKnown'

export interface CheckFacts {
  /** Insulation brought to 40 degrees. */
  insulation: FigureState
  insulationVerdict: 'pass' | 'dry-out' | 'reject' | undefined
  /** Largest difference of a phase from their mean. */
  spread: FigureState
  alike: boolean | undefined
}

/** What a second-hand motor showed on the bench; undefined for a new one. */
export function checkFacts({ plan, ledger, motor }: Knowing<{ motor: MotorFacts }>): CheckFacts | undefined {
  if (plan.checks.secondHand !== true) return undefined
  const plateV = plan.motor.highVoltageV === undefined ? motor.plateVoltageV : ledger.given('motor.highVoltageV')
  const tested = ledger.compute(
    insulationCheck,
    { at40CMOhm: named('checks.insulation', 'Insulation at 40 °C', 'insulation') },
    {
      testMOhm: ledger.given('checks.testMOhm'),
      temperatureC: ledger.given('checks.testC'),
      voltageV: isKnown(plateV) ? plateV : ledger.given('motor.lowVoltageV'),
    },
  )
  const balance = ledger.compute(
    phaseBalance,
    { spread: named('checks.spread', 'Phases differ by', 'fraction') },
    {
      phase1Ohm: ledger.given('checks.phase1Ohm'),
      phase2Ohm: ledger.given('checks.phase2Ohm'),
      phase3Ohm: ledger.given('checks.phase3Ohm'),
    },
  )
  return {
    insulation: tested.at40CMOhm,
    insulationVerdict: tested.output?.verdict,
    spread: balance.spread,
    alike: balance.output?.alike,
  }
}
