import { buildChecks } from './buildChecks'
import { earthChecks } from './earthChecks'
import { powerChecks } from './powerChecks'
import { signalChecks } from './signalChecks'
import { stopChecks } from './stopChecks'

/** Everything that is asked of the wiring, in the order of the work. */
export const wiringJudgements = [...buildChecks, ...powerChecks, ...earthChecks, ...stopChecks, ...signalChecks]
