import type { Library } from '../data/planningValues'
import type { Plan } from '../plan'
import type { BeltFacts } from './beltFacts'
import type { CheckFacts } from './checkFacts'
import type { CircuitFacts } from './circuitFacts'
import type { DriveFacts } from './driveFacts'
import type { FastDeltaFacts } from './fastDeltaFacts'
import type { JoiningFacts } from './joiningFacts'
import type { MotorCableFacts } from './motorCableFacts'
import type { MotorFacts } from './motorFacts'
import type { MotorPhysics } from './motorPhysics'
import type { MountFacts } from './mountFacts'
import type { SettingsFacts } from './settingsFacts'
import type { ShakeFacts } from './shakeFacts'
import type { SourceFacts } from './sourceFacts'
import type { SpeedFacts } from './speedFacts'
import type { StopFacts } from './stopFacts'
import type { SupplyFacts } from './supplyFacts'
import type { TorqueSource } from './torqueSource'

/** Everything the judgements look at. */
export interface Facts {
  plan: Plan
  library: Library
  supply: SupplyFacts
  motor: MotorFacts
  drive: DriveFacts
  settings: SettingsFacts
  physics: MotorPhysics
  circuit: CircuitFacts
  stop: StopFacts
  mount: MountFacts
  source: SourceFacts
  joining: JoiningFacts
  motorCable: MotorCableFacts
  /** Only for a second-hand motor. */
  checks: CheckFacts | undefined
  /** Only where the trick applies. */
  fastDelta: FastDeltaFacts | undefined
  /** Torque at the motor at any hertz, where enough is known. */
  torque: TorqueSource | undefined
  speeds: SpeedFacts
  /** Where the train shakes, for the positions of which that is known. */
  shakes: ShakeFacts[]
  /** Belts whose length or distance is known. */
  belts: BeltFacts[]
}
