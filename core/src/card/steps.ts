import { part } from '../conversion/known'
import { stepsOf } from '../sequence/stepsOf'
import { card } from './cardOf'
import { firstLinesOf } from './firstLines'

/** The steps of the build, with the lines of the card that come first. */
export const steps = part('steps', (of) => stepsOf(of.plan, of.facts.wiring.wiring, firstLinesOf(of.of(card))))
