import type { Plan } from '../../plan'
import { numberOf, type FigureState } from '../figure'

/** Machines whose wheels, or blade and wheels, are heavy for any motor that turns them. */
const heavyKinds: ReadonlySet<Plan['survey']['machineKind']> = new Set(['surface-grinder', 'bandsaw'])

/** A run-up on rated torque that takes longer is a heavy rotor's. */
const HEAVY_RAMP_S = 3

/** Whether a machine is run up and stopped gently before anything was timed: a tool grinder too, whose wheel is small but no less a wheel. */
export const wantsGentleRamps = ({ survey }: Plan): boolean =>
  heavyKinds.has(survey.machineKind) || survey.machineKind === 'tool-grinder'

/** Whether what spins is heavy for this motor: by the machine's kind, or because its run-up on rated torque takes seconds. */
export const isHeavyRotor = ({ plan, stop }: { plan: Plan; stop: { rampS: FigureState } }): boolean =>
  heavyKinds.has(plan.survey.machineKind) || (numberOf(stop.rampS) ?? 0) > HEAVY_RAMP_S
