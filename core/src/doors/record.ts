// The machine's log: what happened, what it cost, what is due, and what a symptom may come from.
export {
  type CarriedEntry,
  logEntrySchema,
  logKinds,
  MOST_ENTRIES,
  upkeepTasks,
  type LogEntry,
  type LogKind,
  type UpkeepTask,
} from '../log/logEntry'
export { dangerous, symptomOfFault, symptoms, symptomsOf, type SymptomId } from '../log/symptoms'
export { symptomCauses } from '../causes/symptomCauses'
export { type SymptomCause } from '../causes/causes'
export { upkeepOf, type Upkeep } from '../log/upkeep'
export { upkeepTasksOf } from '../sequence/upkeepTasksOf'
export { spent } from '../log/moneyOf'
