import { readPlan, type Plan } from '@zesty/core'
import type { OpenPlan, TypedTexts } from './planSlice'

/** What is not on the server yet, kept in the browser so that a closed tab or a dead server loses nothing. */
export interface Draft {
  baseRevision: number
  plan: Plan
  typed: TypedTexts
}

const key = (id: string) => `zesty.draft.${id}`

export function writeDraft({ id, revision, plan, keptPlan, typed }: OpenPlan): void {
  if (plan === keptPlan && Object.keys(typed).length === 0) {
    localStorage.removeItem(key(id))
    return
  }
  const draft: Draft = { baseRevision: revision, plan, typed }
  try {
    localStorage.setItem(key(id), JSON.stringify(draft))
  } catch {
    // Storage full or forbidden: the page still holds everything, and the server will.
  }
}

export function readDraft(id: string): Draft | undefined {
  const text = localStorage.getItem(key(id))
  if (text === null) return undefined
  try {
    const { baseRevision, plan, typed } = JSON.parse(text) as Partial<Draft>
    const read = readPlan(plan)
    return typeof baseRevision === 'number' && read.ok
      ? { baseRevision, plan: read.value, typed: typed ?? {} }
      : undefined
  } catch {
    return undefined
  }
}
