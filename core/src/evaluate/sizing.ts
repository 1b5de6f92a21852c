import type { Facts } from './facts'
import { numberOf } from './figure'

/** A run-up on rated torque that takes longer is a heavy rotor's. */
const HEAVY_RAMP_S = 3

/** Whether what spins is heavy for this motor: its run-up on rated torque takes seconds, or the machine is a wheel. */
export const isHeavyRotor = ({ plan, stop }: Pick<Facts, 'plan' | 'stop'>): boolean =>
  plan.survey.machineKind === 'surface-grinder' ||
  plan.survey.machineKind === 'bandsaw' ||
  (numberOf(stop.rampS) ?? 0) > HEAVY_RAMP_S

/** What speaks for a drive one size up here; without a reason the amps alone decide. */
export const sizeUpReasons = (facts: Pick<Facts, 'plan' | 'stop' | 'drive'>): string[] => [
  ...(facts.drive.onOnePhase ? ['it stands on one phase'] : []),
  ...(isHeavyRotor(facts) ? ['what spins is heavy'] : []),
  ...(facts.plan.controls.reversesOften ? ['it reverses all the time'] : []),
]

/** Amps in hand that count as one size up. */
export const ONE_SIZE = 1.25
