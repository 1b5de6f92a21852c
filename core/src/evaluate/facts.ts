import type { Library } from '../data/planningValues'
import type { Plan } from '../plan'
import type { CircuitFacts } from './circuitFacts'
import type { DriveFacts } from './driveFacts'
import type { MotorFacts } from './motorFacts'
import type { MotorPhysics } from './motorPhysics'
import type { SettingsFacts } from './settingsFacts'
import type { SpeedFacts } from './speedFacts'
import type { StopFacts } from './stopFacts'
import type { SupplyFacts } from './supplyFacts'

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
  speeds: SpeedFacts
}
