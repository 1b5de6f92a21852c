import { insulationCheck, phaseBalance } from '../motor'
import type { Plan } from '../plan'
import { isKnown, type Reading } from './figure'
import type { Ledger } from './ledger'
import type { MotorFacts } from './motorFacts'

export interface CheckFacts {
  /** Insulation brought to 40 degrees. */
  insulation: Reading
  insulationVerdict: 'pass' | 'dry-out' | 'reject' | undefined
  /** Largest difference of a phase from their mean. */
  spread: Reading
  alike: boolean | undefined
}

/** What a second-hand motor showed on the bench. */
export function checkFacts(plan: Plan, ledger: Ledger, motor: MotorFacts): CheckFacts {
  const plateV = plan.motor.highVoltageV === undefined ? motor.plateVoltageV : ledger.given('motor.highVoltageV')
  const tested = ledger.compute(
    insulationCheck,
    { at40CMOhm: { id: 'checks.insulation', label: 'Insulation at 40 °C', dimension: 'insulation' } },
    {
      testMOhm: ledger.given('checks.testMOhm'),
      temperatureC: ledger.given('checks.testC'),
      voltageV: isKnown(plateV) ? plateV : ledger.given('motor.lowVoltageV'),
    },
  )
  const balance = ledger.compute(
    phaseBalance,
    { spread: { id: 'checks.spread', label: 'Phases differ by', dimension: 'fraction' } },
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
