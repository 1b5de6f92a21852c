// The wiring of one machine: what there is, what joins what, the list of its wires.
export { colourWords, conductorColours, conductorPaint } from '../wiring/conductors'
export {
  deviceOf,
  devicePlaces,
  endOf,
  terminalOf,
  wireGroups,
  wireKinds,
  type End,
  type Terminal,
  type Wire,
  type Wiring,
} from '../wiring/model'
export { cutList, endNames, scheduleOf, type ScheduleRow } from '../wiring/schedule'
export { partsOf, stillToPay, toolsOf, type PartLine } from '../wiring/parts'
export { wiringOf } from '../wiring/wiringOf'
export { partsCsv, scheduleCsv } from '../wiring/wiringCsv'
// Its sheets, laid out and drawn in mm.
export { paperPaints, toSvg } from '../drawing/svg'
export type { Drawing, Paint, Shape } from '../drawing/shapes'
export { drawSheet } from '../schematic/drawSheet'
export { drawMotorBox } from '../schematic/motorBox'
export { qualityOf } from '../schematic/quality'
export { panelOf, type PanelPlan } from '../schematic/panel'
export { placesOf } from '../schematic/placesOf'
export { sheetsOf, type SchematicSheet } from '../schematic/sheetsOf'
// The work, a step at a time.
export { answerStep, swapLeads } from '../sequence/answerStep'
export { circuitOf } from '../sequence/circuitOf'
export type { LooseEnd } from '../plan/looseInPlan'
export { looseEndsOf, whereItStopped } from '../sequence/looseEnds'
export { buildParts, isOfStep, judgeReading, readAtStep, type BuildStep, type StepReading } from '../sequence/step'
export { firstSpinSettings } from '../sequence/firstSpinSettings'
export { steps } from '../card/steps'
export { sheets } from '../schematic/sheets'
export { nextTask, taskKinds, tasksOf, type Task, type TaskKind } from '../sequence/tasks'
