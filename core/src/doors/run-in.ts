// The run-in sheet: stages with what each reading should be, causes, ramps tuned, emergency stops in steps, the stop map.
export { turnsToRest } from '../drivetrain/stopByTorque'
export { runIn } from '../conversion/runIn'
export { stopMapOf, type RunIn } from '../runIn/runInOf'
export { type Cause } from '../runIn/causes/cause'
export { type ShownFigure } from '../runIn/working'
export {
  bandText,
  type Expected,
  isExpected,
  judgeRunIn,
  offBy,
  shownFigure,
  type RunInReading,
  type RunInVerdict,
} from '../runIn/reading'
export { seenKey } from '../runIn/seenKey'
export { type SeenItem } from '../runIn/stage'
export { type JudgedReading, type JudgedStage, type RunInStageState } from '../runIn/runInSheet'
export { rampOutcomes, rampsTuned, useStates, type RampTry } from '../plan/runIn'
export { type RampTuning } from '../runIn/rampTuning'
export { type StopLine, type StopMap } from '../runIn/stopMap'
export { BARE, isOfStop } from '../runIn/isOfStop'
export { type StopLeft, type StopPlan, type StopStep } from '../runIn/stopSteps'
