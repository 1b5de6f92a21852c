import type { Ranked } from './rank'
import type { DriveChoice, MotorChoice } from './space'
import type { TrainChoice } from './trains'

/** One combination, as it is shown and as it can be taken over. */
export interface Combination extends Ranked {
  motor: MotorChoice
  drive: DriveChoice
  train: TrainChoice
  topHz: number
  bottomHz: number
  inputA: number
  /** V-belts side by side that new pulleys want for this motor; where that is known. */
  belts?: number
}
