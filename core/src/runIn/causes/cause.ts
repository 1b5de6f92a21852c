import type { Message } from '../../quantities'

/** What a reading that is off may come from, and how to find out. */
export interface Cause {
  id: string
  says: Message
  /** What the reading would be, by the plan's own numbers, were this so. */
  predicted?: number
  /** Does it fit what was read. */
  fits: boolean
  test: string
  change: string
}

/** The same before it is known whether it fits. */
export type Candidate = Omit<Cause, 'fits' | 'says'> & { says: string }

/** With a number where there is one: a key that holds nothing would read as a number that is not known. */
export const told = (one: Omit<Candidate, 'predicted'>, predicted: number | undefined): Candidate =>
  predicted === undefined ? one : { ...one, predicted }

/** Without the number of its own, where that says nothing of what was read. */
export const withoutNumber = ({ id, says, test, change }: Candidate): Candidate => ({ id, says, test, change })
