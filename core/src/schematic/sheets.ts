import { part } from '../conversion/conversion'
import { sheetsOf } from './sheetsOf'

/** The sheets of the machine's wiring. */
export const sheets = part('sheets', ({ facts }) => sheetsOf(facts.wiring.wiring))
