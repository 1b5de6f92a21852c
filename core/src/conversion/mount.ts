import { mountOf } from '../mount/mountOf'
import { part } from './conversion'

/** What comes between motor and machine; nothing was heard of its belt. */
export const mount = part('mount', ({ facts, evaluation }) => mountOf(facts, evaluation.figures))
