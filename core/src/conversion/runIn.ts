import { partOf } from '../graph/graph'
import { runInOf } from '../runIn/runInOf'
import { runInSheet } from '../runIn/runInSheet'
import { stopPlan } from '../runIn/stopSteps'
import { factsIn } from './factsIn'
import { part } from './known'

/** What judgements look at of the run-in: its sheet, and the emergency stop in steps. */
export const sheet = partOf('runInSheet', (graph) => ({ value: runInSheet(factsIn(graph)) }), { whole: true })
export const stops = partOf('stopPlan', (graph) => ({ value: stopPlan(factsIn(graph)) }), { whole: true })

/** The run-in sheet of a machine, computed for it: what to read at each stage, what it should be, and how it went. */
export const runIn = part('runIn', (of) => runInOf(of.facts, of.of(sheet), of.of(stops)))
