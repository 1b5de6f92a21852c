import { mountOf } from '../mount/mountOf'
import { books } from './books'
import { part } from './known'

/** What comes between motor and machine; nothing was heard of its belt. */
export const mount = part('mount', (of) => mountOf(of.facts, of.of(books).figures))
