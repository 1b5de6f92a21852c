// A conversion: its plan, what it comes to, and the words and amounts it is told in.
export { beltNames } from '../data/beltProfile'
export { preferredDiameters } from '../data/preferredDiameters'
export { drawnStages } from '../drivetrain/effectiveSizes'
export { type TrainLayout, trainLayout, type Wheel } from '../drivetrain/trainLayout'
export { isBelt, isPlainBelt } from '../drivetrain/transmissionKinds'
export { advise, isMended, withTriedRemedies } from '../conversion/advise'
export { conversion, type Conversion } from '../conversion/conversion'
export { evaluate } from '../conversion/evaluate'
export type { ChainLink } from '../evaluate/chain'
export type { Evaluation } from '../evaluate/evaluation'
export { findFields, type FoundField } from '../evaluate/findFields'
export type { JobLine } from '../evaluate/positionLine'
export { answerWords, askedOf, tally, tallyWords } from '../evaluate/tally'
export type { BeltId } from '../facts/belts/beltPulleys'
export { ONE_SIZE } from '../facts/drive/sizing'
export { type Figure, type FigureInput, isKnown, numberOf } from '../facts/figure'
export type { FigureId } from '../facts/figureId'
export type { TerminalLinks } from '../facts/motor/relinkingPlan'
export type { SettingLine, SettingValue } from '../facts/settings/settingLine'
export { isCovered } from '../facts/spindle/jobOn'
export { MAINS_WORK } from '../findings/mainsWork'
export { answers, type Finding, type JudgedLine, type Remedy, type Severity } from '../findings/finding'
export { asJudged, isBareMotor } from '../plan/bareMotor'
export {
  CONVERSION_FORMAT,
  conversionFile,
  conversionFileSchema,
  type ConversionRead,
  readConversionFile,
} from '../plan/conversionFile'
export { hasFedField, heartOf, isOfHeart } from '../plan/heart'
export { sameValue } from '../graph/sameValue'
export { regionOf } from '../plan/region'
export { planDifference, printValue } from '../plan/difference'
export { driveInputs, driveKinds, driveModes, fieldbuses, jumpers, overloadClasses } from '../plan/drivePlate'
export { changesBetween } from '../plan/changesBetween'
export { readChanges } from '../plan/readChanges'
export { fieldAt, fieldIn, isPlanPath, type PlanField } from '../plan/fieldAt'
export type { Place } from '../plan/installation'
export { type Connection, connections, coolings, insulationClasses, type MotorPlate } from '../plan/motorPlate'
export { mergePlans } from '../plan/mergePlans'
export { applyPatch, type Change, inversePatch, type Patch, set, valueAt } from '../plan/patch'
export { type DrivePlate, emptyPlan, type Holder, type Job, type Plan, PLAN_VERSION, type Position } from '../plan/plan'
export { foundWireFates, partStates, type StepRecord, type WireChange } from '../plan/wiring'
export type { PlanPath, PositionPath, TransmissionStagePath } from '../plan/planPath'
export { inUseSince } from '../plan/inUseSince'
export { refusedStates, stateRefusals } from '../plan/refusedStates'
export { claimOf, isReadBack, plannedWork, planWork, withPlannedDone } from '../plan/planned'
export { namedPositions } from '../plan/positionName'
export { copyPlan } from '../plan/copyPlan'
export { replacePlan } from '../plan/replacePlan'
export { setField } from '../plan/setField'
export { withKey } from '../plan/withKey'
export { type Heart, hearts } from '../stages/hearts'
export { rampMeanings } from '../stages/rampMeanings'
export {
  type SettingGroup,
  settingGroups,
  type SettingId,
  settingIds,
  settingNames,
  settingTable,
} from '../stages/settingTable'
export {
  type Hazard,
  hazards,
  type JobKind,
  type MachineKind,
  machineKinds,
  MOST_STEPS,
  spindleNoses,
} from '../plan/survey'
export { takeDrive, takeMotor } from '../plan/takePlate'
export type { TransmissionStage } from '../plan/transmissionStage'
export { readPlan } from '../plan/upgrade'
export { type PlateDoubt, type PlateLine, readPlate } from '../plate/readPlate'
export { type Dimension, dimensionKind, type UnitSystem } from '../quantities/dimension'
export { type Message, messageText } from '../quantities/message'
export { type Parsed, parsePair, parseQuantity } from '../quantities/parseQuantity'
export { inShownUnit, printNumber, printQuantity } from '../quantities/printQuantity'
export { parseSupplyWords } from '../quantities/supplyWords'
export { report } from '../report/report'
export { cut } from '../rules/text'
export { commonJobs } from '../survey/commonJobs'
export { type JobRead, readJob } from '../survey/readJob'
export { type KnownPosition, readPositions } from '../survey/readPositions'
export { chainLinks } from '../stages/chainLinks'
export { type Milestone, milestones } from '../stages/milestones'
export { type StageId, stageIds, stages } from '../stages/stages'
