import { readDrafts, type Draft } from './draft'
import { otherOpenTabs, tab } from './tab'

/** What was typed in this browser and never sent, in tabs that are gone, the latest first. */
export async function unsentDrafts(): Promise<Draft[]> {
  const open = await otherOpenTabs()
  return readDrafts().filter((draft) => draft.tab !== tab && !open.has(draft.tab))
}
