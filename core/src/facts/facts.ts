import type { PlanningTables } from '../data/planningValues'
import type { Measured } from '../measurements/measured'
import type { Plan } from '../plan'
import type { BeltFacts } from './belts/beltFacts'
import type { BeltStage } from './belts/beltStages'
import type { CheckFacts } from './motor/checkFacts'
import type { BranchCircuitFacts } from './supply/branchCircuitFacts'
import type { DriveFacts } from './drive/driveFacts'
import type { Delta87HzFacts } from './motor/delta87HzFacts'
import type { PlugAndLeadFacts } from './supply/plugAndLeadFacts'
import type { MotorCableFacts } from './motor/motorCableFacts'
import type { MotorFacts } from './motor/motorKnown'
import type { MotorPhysics } from './motor/motorPhysics'
import type { InstallationFacts } from './drive/installationFacts'
import type { SettingsFacts } from './settings/settingsFacts'
import type { ResonanceFacts } from './belts/resonanceFacts'
import type { SupplyUnitFacts } from './supply/supplyUnitFacts'
import type { JobVerdicts } from './spindle/jobVerdicts'
import type { SpeedFacts } from './spindle/speedFacts'
import type { StopFacts } from './drive/stopFacts'
import type { SupplyFacts } from './supply/supplyFacts'
import type { WiringFacts } from './wiring/wiringFacts'
import type { DcFacts } from './hearts/dcFacts'
import type { DriverFacts } from './hearts/driverFacts'
import type { TorqueCurve } from './motor/torquePoint'
import type { TorqueInputs } from './motor/torqueInputs'

/** Everything the judgements look at. */
export interface Facts {
  plan: Plan
  tables: PlanningTables
  measured: Measured
  supply: SupplyFacts
  motor: MotorFacts
  drive: DriveFacts
  /** Settings on which figures rest, as they act; all that follows from other facts is in `settings` too. */
  acting: SettingsFacts
  settings: SettingsFacts
  physics: MotorPhysics
  /** Only of a DC motor. */
  dc: DcFacts | undefined
  /** Only of a motor with a driver of its own. */
  driver: DriverFacts | undefined
  branchCircuit: BranchCircuitFacts
  stop: StopFacts
  installation: InstallationFacts
  supplyUnit: SupplyUnitFacts
  plugAndLead: PlugAndLeadFacts
  motorCable: MotorCableFacts
  /** Only for a second-hand motor. */
  checks: CheckFacts | undefined
  /** Only where the trick applies. */
  delta87Hz: Delta87HzFacts | undefined
  /** Torque at the motor at any speed, where enough is known, and what it is made from. */
  torque: { inputs: TorqueInputs; curve: TorqueCurve } | undefined
  speeds: SpeedFacts
  /** Each job, and how it goes on each position. */
  jobs: JobVerdicts[]
  /** Where the train shakes, for the positions of which that is known. */
  resonances: ResonanceFacts[]
  /** Belts whose length or distance is known. */
  belts: BeltFacts[]
  beltStages: BeltStage[]
  wiring: WiringFacts
  /** Nets that live conductors of the wall reach without passing the drive. */
  mains: ReadonlySet<string>
}
