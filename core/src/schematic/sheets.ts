import { part } from '../conversion/known'
import { sheetsOf } from './sheetsOf'

/** The sheets of the machine's wiring. */
export const sheets = part('sheets', ({ facts }) => sheetsOf(facts.wiring.wiring))
