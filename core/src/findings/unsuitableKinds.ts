import { runsOnDrive } from '../facts/motor/motorFacts'
import { heartOf, type MotorKind, type Plan, type RouteId } from '../plan'

/** Why a drive of this product cannot run a motor of some kind, and the ways that lead on from there. */
export interface UnsuitableKind {
  says: string
  why: string
  /** Ways to go with such a motor in the machine, the likeliest first. */
  leadsTo: readonly RouteId[]
}

/** Said on Motor as a stop, and on Route as where to go from it. */
const unsuitableKinds: Readonly<Partial<Record<MotorKind, UnsuitableKind>>> = {
  'single-phase': {
    says: 'A single-phase motor cannot be given variable speed by a three-phase drive.',
    why: 'Its capacitor and start winding burn at any but mains hertz. It must be replaced by a three-phase motor.',
    leadsTo: ['drive-each', 'kit', 'brushless'],
  },
  repulsion: {
    says: 'A repulsion motor has brushes that lie short-circuited on a commutator; no three-phase drive can run it.',
    why: 'It starts harder than any motor of its size and turns at one speed, straight on the mains. A three-phase motor in its place wants one size up, or a drive one size up, for the same start.',
    leadsTo: ['drive-each', 'kit'],
  },
  universal: {
    says: 'A universal motor has brushes; a three-phase drive cannot run it.',
    why: 'It wants a controller of its own kind, or a three-phase motor in its place.',
    leadsTo: ['brushless', 'drive-each', 'kit'],
  },
  dc: {
    says: 'A direct-current motor has brushes and wants a direct-current drive; a three-phase drive cannot run it.',
    why: 'Keep its own system while it works, or replace the motor.',
    leadsTo: ['keep-dc', 'fixed-dc', 'small-dc', 'drive-each'],
  },
  servo: {
    says: 'A stepper or servo motor runs only on its own controller; a drive of this kind cannot run it.',
    why: 'It wants currents placed by a controller that knows where the rotor stands.',
    leadsTo: ['brushless', 'drive-each'],
  },
  brushless: {
    says: 'A brushless motor runs only on a driver made for it; a drive of this kind cannot run it.',
    why: 'Its driver must know where the rotor stands, and gives it volts of its own.',
    leadsTo: ['brushless', 'drive-each'],
  },
  'pole-changing': {
    says: 'The two speeds are made by changing poles; its leads are never linked as star and delta.',
    why: 'On a drive only one winding may be used, at that winding’s own plate, with the other left open and insulated. Linked wrongly it burns.',
    leadsTo: ['converter-starters', 'drive-each'],
  },
}

/** Whether the motor has a drive of its own heart. */
export const hasOwnDrive = (plan: Plan): boolean => {
  const heart = heartOf(plan)
  return (heart === 'driver' && plan.drive.kind === 'brushless') || (heart === 'dc' && plan.drive.kind === 'dc')
}

/** Why the motor cannot go on the drive that there is; undefined where it can, or does not say its kind. */
export const unsuitableHere = (plan: Plan): UnsuitableKind | undefined => {
  const { kind } = plan.motor
  return kind === undefined || hasOwnDrive(plan) || runsOnDrive(plan.motor) === true ? undefined : unsuitableKinds[kind]
}
