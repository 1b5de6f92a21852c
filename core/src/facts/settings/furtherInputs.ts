import type { Facts } from '../facts'

/** What the rest of a drive's settings follow from: everything that is known. */
export type FurtherInputs = Omit<Facts, 'acting' | 'belts' | 'beltStages' | 'checks' | 'jobs' | 'mains' | 'wiring'>
