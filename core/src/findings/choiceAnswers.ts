import type { PlanPath } from '../plan'
import type { Message } from '../quantities'
import { good, lacks, type CannotBeJudged, type Good } from './answer'
import type { Severity, Verdict } from './finding'

/** What one choice means: well, and why; or what is wrong with it. */
export type Meaning = { well: Message } | { severity: Severity; title: Message; says: Message; why: string }

/** The answer that a choice gives by itself, with the field to go to; what nobody chose yet is asked. */
export function byChoice<K extends string>(
  path: PlanPath,
  chosen: K | undefined,
  meanings: Readonly<Record<K, Meaning>>,
): Verdict | Good | CannotBeJudged {
  if (chosen === undefined) return lacks(path)
  const meaning = meanings[chosen]
  return 'well' in meaning ? good(meaning.well) : { ...meaning, path }
}

/** The same for a yes or no. */
export const byYesNo = (
  path: PlanPath,
  said: boolean | undefined,
  meanings: Readonly<Record<'yes' | 'no', Meaning>>,
): Verdict | Good | CannotBeJudged => byChoice(path, said === undefined ? undefined : said ? 'yes' : 'no', meanings)
