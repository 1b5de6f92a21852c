import { planDifference } from '@zesty/core'
import { conflictSchema, conversionSchema, problemSchema, type Conversion } from '@zesty/core/http'
import { createListenerMiddleware, isAnyOf, type Dispatch } from '@reduxjs/toolkit'
import {
  changed,
  conflicted,
  keepingChanged,
  kept,
  opened,
  redone,
  settled,
  typedRead,
  typedUnread,
  undone,
  type OpenPlan,
} from './planSlice'
import { writeDraft } from './draft'

/** Quiet time after an edit before it is sent. */
const PAUSE_MS = 350
const RETRY_MS = 2000

type State = { plan: { open: OpenPlan | undefined } }

const edits = isAnyOf(changed, undone, redone, settled, opened)

/** The middleware that keeps the open plan: in this browser at once, on the server after a pause. One for each store. */
export function autosaving() {
  const autosave = createListenerMiddleware<State>()
  const keep = keeper()
  /**
   * The save under way, settled when its answer is in the store. No save starts before it is: a second one to the
   * same revision would come back as a conflict with oneself.
   */
  let underWay: Promise<Answer['kind']> = Promise.resolve('kept')

  autosave.startListening({
    matcher: isAnyOf(changed, undone, redone, settled, typedRead, typedUnread, kept),
    effect: (_action, store) => {
      const { open } = store.getState().plan
      if (open) writeDraft(open)
    },
  })

  // Each edit restarts the pause; then the newest plan is sent, again and again until the server has it.
  autosave.startListening({
    matcher: edits,
    effect: async (_action, store) => {
      const { dispatch } = store
      store.cancelActiveListeners()
      const needed = () => {
        const { open } = store.getState().plan
        return open && open.plan !== open.keptPlan && !open.theirs ? open : undefined
      }
      if (!needed()) return
      dispatch(keepingChanged({ state: 'keeping' }))
      await store.delay(PAUSE_MS)
      await store.pause(underWay)
      for (let open = needed(); open; open = needed()) {
        underWay = keep(open, dispatch)
        const answer = await store.pause(underWay)
        if (answer === 'refused') return
        if (answer === 'waiting') await store.delay(RETRY_MS)
      }
    },
  })
  return autosave.middleware
}

type Answer =
  | { kind: 'kept'; conversion: Conversion }
  | { kind: 'conflict'; theirs: Conversion }
  | { kind: 'waiting' | 'refused'; why: string }

/** Sends a plan and puts the answer into the store; remembers the saves that got none, for the server may have them. */
function keeper() {
  let unanswered: OpenPlan[] = []
  return async (open: OpenPlan, dispatch: Dispatch): Promise<Answer['kind']> => {
    const answer = await send(open)
    if (answer.kind === 'waiting') unanswered.push(open)
    const ours = answer.kind === 'conflict' ? unanswered.find((sent) => isSame(sent, answer.theirs)) : undefined
    if (answer.kind !== 'waiting') unanswered = []
    if (ours && answer.kind === 'conflict') {
      dispatch(kept({ ...answer.theirs, plan: ours.plan }))
      return 'kept'
    }
    if (answer.kind === 'kept') dispatch(kept({ ...answer.conversion, plan: open.plan }))
    else if (answer.kind === 'conflict') dispatch(conflicted(answer.theirs))
    else dispatch(keepingChanged({ state: answer.kind, why: answer.why }))
    return answer.kind
  }
}

/** Whether theirs is a save of ours whose answer was lost. */
const isSame = ({ id, revision, plan }: OpenPlan, theirs: Conversion) =>
  id === theirs.id && theirs.revision === revision + 1 && planDifference(plan, theirs.plan).length === 0

async function send({ id, revision, plan }: OpenPlan): Promise<Answer> {
  try {
    const response = await fetch(`/api/conversions/${id}`, {
      method: 'PUT',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ baseRevision: revision, plan }),
    })
    const body: unknown = await response.json()
    if (response.ok) return { kind: 'kept', conversion: conversionSchema.parse(body) }
    if (response.status === 409) {
      const conflict = conflictSchema.safeParse(body)
      return conflict.success
        ? { kind: 'conflict', theirs: conflict.data.theirs }
        : { kind: 'refused', why: 'It was changed elsewhere, in a form this page does not know. Reload the page.' }
    }
    const { detail } = problemSchema.parse(body)
    return response.status >= 500 ? { kind: 'waiting', why: detail } : { kind: 'refused', why: detail }
  } catch {
    return { kind: 'waiting', why: 'The server does not answer.' }
  }
}
