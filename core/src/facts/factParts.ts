import { heartOf, mainPosition } from '../plan'
import { netsOf } from '../wiring/nets'
import { wiringOf } from '../wiring/wiringOf'
import { beltFacts } from './belts/beltFacts'
import { beltStages } from './belts/beltStages'
import { resonanceFacts } from './belts/resonanceFacts'
import { trainFacts } from './belts/trainFacts'
import type { Context } from './context'
import { driveFacts } from './drive/driveFacts'
import { installationFacts } from './drive/installationFacts'
import { stopFacts } from './drive/stopFacts'
import type { Facts } from './facts'
import { dcFacts } from './hearts/dcFacts'
import { driverFacts } from './hearts/driverFacts'
import { checkFacts } from './motor/checkFacts'
import { delta87HzFacts } from './motor/delta87HzFacts'
import { motorCableFacts } from './motor/motorCableFacts'
import { motorFacts } from './motor/motorFacts'
import { motorPhysics } from './motor/motorPhysics'
import { plateCircuit, type PlateCircuit } from './motor/plateCircuit'
import { torqueCurve } from './motor/torqueCurve'
import { torqueInputs, type TorqueInputs } from './motor/torqueInputs'
import { everySetting } from './settings/everySetting'
import { settingsFacts } from './settings/settingsFacts'
import { jobVerdicts } from './spindle/jobVerdicts'
import { speedFacts } from './spindle/speedFacts'
import { branchCircuitFacts } from './supply/branchCircuitFacts'
import { plugAndLeadFacts } from './supply/plugAndLeadFacts'
import { supplyFacts } from './supply/supplyFacts'
import { supplyUnitFacts } from './supply/supplyUnitFacts'
import { mainsNets } from './wiring/mainsNets'
import type { FigureState } from './figure'
import type { TrainFacts } from './belts/trainFacts'
import type { Wiring } from '../wiring/model'

/** What facts are made from on the way, and nobody else asks for. */
interface BetweenFacts {
  trains: TrainFacts[]
  main: TrainFacts | undefined
  /** Sizes of pulleys that nobody typed and that follow, by their field. */
  worked: ReadonlyMap<string, FigureState>
  /** Of the motor's plate; undefined while that is not complete. */
  fitted: PlateCircuit | undefined
  torqueInputs: TorqueInputs | undefined
  wired: Wiring
}

type Parts = Omit<Facts, 'plan' | 'tables' | 'measured'> & BetweenFacts

/** Everything that a part may be made from. Its `settings` are the acting ones alone. */
export type Knowns = Context & Parts

/**
 * How each part of the facts is made from those it names, in the order in which their figures are listed. What a maker
 * looks at is noted: it runs again when that has changed.
 */
export const factParts: { readonly [P in keyof Parts]: (known: Knowns) => Parts[P] } = {
  supply: supplyFacts,
  motor: motorFacts,
  installation: installationFacts,
  drive: driveFacts,
  trains: trainFacts,
  main: ({ plan, trains }) => trains.find((t) => t.position.id === mainPosition(plan)?.id),
  worked: ({ trains }) => new Map(trains.flatMap(({ lacking }) => (lacking ? [[lacking.id, lacking]] : []))),
  dc: (known) => (heartOf(known.plan) === 'dc' ? dcFacts(known) : undefined),
  driver: (known) => (heartOf(known.plan) === 'driver' ? driverFacts(known) : undefined),
  acting: settingsFacts,
  speeds: speedFacts,
  fitted: plateCircuit,
  physics: motorPhysics,
  stop: stopFacts,
  torqueInputs,
  torque: ({ torqueInputs: inputs }) => inputs && { inputs, curve: torqueCurve(inputs) },
  supplyUnit: supplyUnitFacts,
  branchCircuit: branchCircuitFacts,
  plugAndLead: plugAndLeadFacts,
  motorCable: motorCableFacts,
  checks: checkFacts,
  delta87Hz: delta87HzFacts,
  jobs: jobVerdicts,
  resonances: resonanceFacts,
  belts: beltFacts,
  beltStages,
  settings: (known) => ({ ...known.acting, lines: everySetting(known) }),
  wired: ({ plan }) => wiringOf(plan),
  wiring: ({ wired }) => ({ wiring: wired, nets: netsOf(wired) }),
  mains: ({ wiring }) => mainsNets(wiring),
}

export type FactPart = keyof Parts

export const factPartNames = Object.keys(factParts) as FactPart[]
