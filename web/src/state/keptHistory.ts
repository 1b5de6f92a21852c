import { planDifference, readPlan } from '@zesty/core'
import { z } from 'zod'
import { tabStorage } from './browserStorage'
import type { OpenPlan, Step } from './planSlice'

const keyOf = (conversionId: string): string => `zesty.history.${conversionId}`

// JSON has no word for a field that is cleared.
const change = z.object({ path: z.string(), value: z.unknown().optional() })
const step = z.object({ label: z.string(), patch: z.array(change), inverse: z.array(change) })
const historySchema = z.object({ plan: z.unknown(), undo: z.array(step), redo: z.array(step) })

/** What can be taken back and made again. */
export type History = Pick<OpenPlan, 'undo' | 'redo'>

/** Keeps for this tab what can be taken back, and the plan that it can be taken back from. */
export function writeHistory({ id, plan, undo, redo }: OpenPlan): void {
  if (undo.length + redo.length === 0) tabStorage.remove(keyOf(id))
  // With no room for it a reload forgets what could be taken back, and nothing else.
  else if (!tabStorage.write(keyOf(id), JSON.stringify({ plan, undo, redo }))) tabStorage.remove(keyOf(id))
}

/** What could be taken back before this tab was loaded anew; nothing where the plan is another by now: it would not fit. */
export function readHistory({ id, plan }: OpenPlan): History | undefined {
  const text = tabStorage.read(keyOf(id))
  if (text === undefined) return undefined
  const read = historySchema.safeParse(parsed(text))
  const of = read.success ? readPlan(read.data.plan) : undefined
  if (!read.success || !of?.ok || planDifference(of.value, plan).length > 0) return undefined
  return { undo: read.data.undo as Step[], redo: read.data.redo as Step[] }
}

function parsed(text: string): unknown {
  try {
    return JSON.parse(text)
  } catch {
    return undefined
  }
}
