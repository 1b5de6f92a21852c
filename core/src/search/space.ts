import { runsOnDrive } from '../facts/motor/motorFacts'
import { leadConnections } from '../motor/leadConnections'
import type { LibraryItem } from '../library/libraryItem'
import { motorWith, namedDrive, type Connection, type DrivePlate, type MotorPlate, type Plan } from '../plan'
import { trainChoices, type TrainChoice } from './trains'
import type { SearchCriteria } from './searchCriteria'

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
export function searchSpace(plan: Plan, library: readonly LibraryItem[], criteria: SearchCriteria): SearchSpace {
  return {
    motors: motorChoices(plan, library, criteria),
    drives: driveChoices(plan, library, criteria),
    trains: trainChoices(plan, criteria),
    tops: TOPS,
    bottoms: BOTTOMS,
  }
}

export const combinationsOf = ({ motors, drives, trains, tops, bottoms }: SearchSpace): number =>
  motors.length * drives.length * trains.length * tops.length * bottoms.length

function motorChoices(plan: Plan, library: readonly LibraryItem[], criteria: SearchCriteria): MotorChoice[] {
  const named = [
    { name: 'The motor there is', own: true, plate: plan.motor },
    ...(criteria.keepMotor
      ? []
      : [
          ...plan.candidates.motors.map((c) => ({ name: c.name ?? 'A motor thought of', own: false, plate: c.plate })),
          ...library.flatMap((i) => (i.kind === 'motor' ? [{ name: i.name, own: false, plate: i.item }] : [])),
        ]),
  ]
  return once(named)
    .filter(({ plate }) => runsOnDrive(plate) === true)
    .flatMap((motor) =>
      (plateLeads(motor.plate) ?? []).map(({ connection }) => ({
        ...motor,
        connection,
        plate: motorWith(motor.plate, { connection }),
      })),
    )
}

const plateLeads = ({ leads }: MotorPlate) => (leads === undefined ? undefined : leadConnections[leads])

function driveChoices(plan: Plan, library: readonly LibraryItem[], criteria: SearchCriteria): DriveChoice[] {
  const own = { name: plan.drive.name ?? 'The drive there is', own: true, plate: plan.drive }
  if (criteria.keepDrive) return [own]
  return once([
    own,
    ...plan.candidates.drives.map((c) => ({
      name: c.name ?? 'A drive thought of',
      own: false,
      plate: namedDrive(c.name, c.plate),
    })),
    ...library.flatMap((i) =>
      i.kind === 'drive' ? [{ name: i.name, own: false, plate: namedDrive(i.name, i.item) }] : [],
    ),
  ]).filter(({ plate }) => plate.kind !== 'brushless')
}

/** Without what is there already under the same name. */
function once<C extends { name: string; own: boolean }>(choices: readonly C[]): C[] {
  const seen = new Set<string>()
  return choices.filter(({ name }) => !seen.has(name) && seen.add(name))
}
