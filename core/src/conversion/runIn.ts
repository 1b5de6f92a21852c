import { runInOf } from '../runIn/runInOf'
import { part } from './conversion'

/** The run-in sheet of a machine, computed for it: what to read at each stage, what it should be, and how it went. */
export const runIn = part('runIn', ({ facts }) => runInOf(facts))
