import type { Facts } from '../facts'
import { isHeavyRotor } from './heavyRotor'

/** What speaks for a drive one size up here; without a reason the amps alone decide. */
export const sizeUpReasons = (facts: Pick<Facts, 'plan' | 'stop' | 'drive'>): string[] => [
  ...(facts.drive.onOnePhase ? ['it stands on one phase'] : []),
  ...(isHeavyRotor(facts) ? ['what spins is heavy'] : []),
  ...(facts.plan.controls.reversesOften ? ['it reverses all the time'] : []),
]

/** Amps in hand that count as one size up. */
export const ONE_SIZE = 1.25
