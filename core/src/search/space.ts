import { leadConnections } from '../data/leadConnections'
import type { LibraryItem } from '../library'
import type { Connection, DrivePlate, MotorPlate, Plan } from '../plan'
import { trainChoices, type TrainChoice } from './trains'
import type { Wishes } from './wishes'

export interface MotorChoice {
  name: string
  /** True for the one that the plan has: it costs nothing. */
  own: boolean
  plate: MotorPlate
  connection: Connection
}

export interface DriveChoice {
  name: string
  own: boolean
  plate: DrivePlate
}

/** Everything that is combined with everything. */
export interface SearchSpace {
  motors: MotorChoice[]
  drives: DriveChoice[]
  trains: TrainChoice[]
  /** Shares of base hertz for the top of the knob; those that motor or drive do not stand are passed over. */
  tops: number[]
  /** Shares of base hertz for its bottom, over the lowest that the cooling is planned for. */
  bottoms: number[]
}

const TOPS = [1, 1.1, 1.2, 1.4, 1.6, 1.8, 2]
const BOTTOMS = [0, 0.2]

/** The choices for a plan, from its own parts, those thought of and the shop's library. */
export function searchSpace(plan: Plan, library: readonly LibraryItem[], wishes: Wishes): SearchSpace {
  return {
    motors: motorChoices(plan, library, wishes),
    drives: driveChoices(plan, library, wishes),
    trains: trainChoices(plan, wishes),
    tops: TOPS,
    bottoms: BOTTOMS,
  }
}

export const combinationsOf = ({ motors, drives, trains, tops, bottoms }: SearchSpace): number =>
  motors.length * drives.length * trains.length * tops.length * bottoms.length

const turns: readonly (MotorPlate['kind'] | undefined)[] = ['three-phase', 'one-winding', 'high-frequency']

function motorChoices(plan: Plan, library: readonly LibraryItem[], wishes: Wishes): MotorChoice[] {
  const named = [
    { name: 'The motor there is', own: true, plate: plan.motor },
    ...(wishes.keepMotor
      ? []
      : [
          ...plan.candidates.motors.map((c) => ({ name: c.name ?? 'A motor thought of', own: false, plate: c.plate })),
          ...library.flatMap((i) => (i.kind === 'motor' ? [{ name: i.name, own: false, plate: i.item }] : [])),
        ]),
  ]
  return once(named)
    .filter(({ plate }) => turns.includes(plate.kind))
    .flatMap((motor) =>
      (plateLeads(motor.plate) ?? []).map(({ connection }) => ({
        ...motor,
        connection,
        plate: { ...motor.plate, connection },
      })),
    )
}

const plateLeads = ({ leads }: MotorPlate) => (leads === undefined ? undefined : leadConnections[leads])

function driveChoices(plan: Plan, library: readonly LibraryItem[], wishes: Wishes): DriveChoice[] {
  const own = { name: plan.drive.name ?? 'The drive there is', own: true, plate: plan.drive }
  if (wishes.keepDrive) return [own]
  return once([
    own,
    ...plan.candidates.drives.map((c) => ({ name: c.name ?? 'A drive thought of', own: false, plate: c.plate })),
    ...library.flatMap((i) =>
      i.kind === 'drive' ? [{ name: i.name, own: false, plate: { name: i.name, ...i.item } }] : [],
    ),
  ]).filter(({ plate }) => plate.kind !== 'brushless')
}

/** Without what is there already under the same name. */
function once<C extends { name: string; own: boolean }>(choices: readonly C[]): C[] {
  const seen = new Set<string>()
  return choices.filter(({ name }) => !seen.has(name) && seen.add(name))
}
