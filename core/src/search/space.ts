import { leadConnections } from '../data/leadConnections'
import { preferredDiameters } from '../data/preferredDiameters'
import { drivetrainEfficiency, isPlainBelt, ratioStages, trainRatio, trainStages } from '../drivetrain'
import type { LibraryItem } from '../library'
import type { Connection, DrivePlate, MotorPlate, Plan, Position, Stage } from '../plan'
import { Refusal } from '../rules/rule'
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

export interface TrainPosition {
  position: Position
  speedRatio: number
  efficiency: number
}

/** A set of belt positions that are there together. */
export interface TrainChoice {
  name: string
  own: boolean
  positions: TrainPosition[]
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

/** Turned to size, a pulley is tried at every so many millimetres. */
const MACHINED_STEP_MM = 5

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

function trainChoices(plan: Plan, wishes: Wishes): TrainChoice[] {
  const { positions } = plan.survey
  const own = positions.flatMap((p) => asTrain(p) ?? [])
  const trains: TrainChoice[] = own.length > 0 ? [{ name: 'The pulleys there are', own: true, positions: own }] : []
  const pattern = positions.find((p) => isPlainBelt(p.stages[0]?.kind))
  if (wishes.keepPulleys || !pattern) return trains
  // The gears behind the belt stay: a back gear goes with any pair of pulleys.
  const tails = new Map(
    positions
      .filter((p) => isPlainBelt(p.stages[0]?.kind))
      .map((p) => [JSON.stringify(p.stages.slice(1)), p.stages.slice(1)]),
  )
  // No smaller than the belt is known to stand: the smallest that it runs on now.
  const belts = positions.map((p) => p.stages[0]).filter((s) => isPlainBelt(s?.kind))
  const smallest = Math.min(...belts.flatMap((s) => [s?.driverMm ?? Infinity, s?.drivenMm ?? Infinity]))
  const sizes = pulleySizes(wishes.machined).filter((mm) => mm >= smallest)
  for (const driverMm of sizes)
    for (const drivenMm of sizes) {
      const name = `${driverMm} to ${drivenMm} mm`
      const made = [...tails.values()].flatMap((tail, i) => {
        // What was measured of the old belt says nothing of a new one.
        const belt: Stage = { kind: pattern.stages[0]?.kind, driverMm, drivenMm }
        return (
          asTrain({ id: `new-${i}`, name: tail.length === 0 ? name : `${name}, geared`, stages: [belt, ...tail] }) ?? []
        )
      })
      if (made.length === tails.size) trains.push({ name, own: false, positions: made })
    }
  return trains
}

function pulleySizes(machined: boolean): number[] {
  const stock = [...preferredDiameters.mm]
  if (!machined) return stock
  const [least = 50, most = 400] = [stock[0], stock[stock.length - 1]]
  return Array.from(
    { length: Math.floor((most - least) / MACHINED_STEP_MM) + 1 },
    (_, i) => least + i * MACHINED_STEP_MM,
  )
}

function asTrain(position: Position): TrainPosition | undefined {
  const stages = trainStages.safeParse(ratioStages(position.stages))
  if (!stages.success || stages.data.length === 0) return undefined
  const ratio = trainRatio(stages.data)
  const efficiency = drivetrainEfficiency.run({ stages: stages.data.map(({ kind }) => ({ kind })) })
  return ratio instanceof Refusal || !efficiency.ok
    ? undefined
    : { position, speedRatio: ratio.speedRatio, efficiency: efficiency.value.efficiency }
}
