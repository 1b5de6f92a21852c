import type { Connection } from '../../plan'
import type { FigureState } from '../figure'

/** What the nameplate of a motor says, and what follows from it; what its kind does not have is not known. */
export interface MotorFacts {
  /** Links as they are, or the only way there is. */
  connection: Connection | undefined
  /** True for motors a drive can run as they are. */
  suitable: boolean | undefined
  plateVoltageV: FigureState
  plateCurrentA: FigureState
  frequencyHz: FigureState
  ratedSpeedRpm: FigureState
  poles: FigureState
  synchronousRpm: FigureState
  slip: FigureState
  torqueNm: FigureState
  impliedProduct: FigureState
  efficiency: FigureState
  serviceFactorA: FigureState
  safeRpm: FigureState
}
