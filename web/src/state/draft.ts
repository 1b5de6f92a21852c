import { readPlan, type Plan } from '@zesty/core'
import { browserStorage } from './browserStorage'
import { draftKey, readDraftKey } from './draftKeys'
import type { TypedTexts } from './typedTexts'
import { tab } from './tab'

/** What is not on the server yet, kept in the browser so that a closed tab or a dead server loses nothing. */
export interface Draft {
  conversionId: string
  /** The tab that it was typed in. */
  tab: string
  /** When it was written, ISO 8601. */
  at: string
  baseRevision: number
  /** The plan of that revision, which the server may have thinned out by the time they come together. */
  base?: Plan
  plan: Plan
  typed: TypedTexts
}

const keyOf = ({ conversionId, tab: of }: Pick<Draft, 'conversionId' | 'tab'>) => draftKey(conversionId, of)

/** What is open, as far as it may be held in the browser. */
interface Held {
  id: string
  revision: number
  plan: Plan
  /** As the server has it. */
  keptPlan: Plan
  typed: TypedTexts
}

/** Whether the server has everything that was typed. */
export const isOnServer = ({ plan, keptPlan, typed }: Pick<Held, 'plan' | 'keptPlan' | 'typed'>): boolean =>
  plan === keptPlan && Object.keys(typed).length === 0

/** Whether everything that is not on the server is kept in this browser now. */
export function writeDraft(open: Held): boolean {
  const { id, revision, plan, keptPlan, typed } = open
  const own = { conversionId: id, tab }
  if (isOnServer(open)) {
    browserStorage.remove(keyOf(own))
    return true
  }
  const draft: Draft = { ...own, at: new Date().toISOString(), baseRevision: revision, base: keptPlan, plan, typed }
  return browserStorage.write(keyOf(own), JSON.stringify(draft))
}

export const removeDraft = (draft: Pick<Draft, 'conversionId' | 'tab'>): void => browserStorage.remove(keyOf(draft))

/** Every draft of this browser that can be read, the latest first. */
export const readDrafts = (): Draft[] =>
  browserStorage
    .keys()
    .flatMap((key) => readDraft(key) ?? [])
    .sort((a, b) => b.at.localeCompare(a.at))

function readDraft(key: string): Draft | undefined {
  const of = readDraftKey(key)
  if (!of) return undefined
  try {
    const { at, baseRevision, base, plan, typed } = JSON.parse(browserStorage.read(key) ?? '') as Partial<Draft>
    const read = readPlan(plan)
    if (typeof baseRevision !== 'number' || !read.ok) return undefined
    const readBase = readPlan(base)
    return {
      ...of,
      at: at ?? '',
      baseRevision,
      plan: read.value,
      typed: typed ?? {},
      ...(readBase.ok ? { base: readBase.value } : {}),
    }
  } catch {
    return undefined
  }
}
