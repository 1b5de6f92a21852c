import { changesBetween, mergePlans, planDifference, type Patch } from '@zesty/core'
import {
  conflictSchema,
  problemSchema,
  savedSchema,
  type KeptConversion,
  type Problem,
  type Saved,
} from '@zesty/core/http'
import { createListenerMiddleware, isAction, isAnyOf, type Dispatch } from '@reduxjs/toolkit'
import {
  changed,
  conflicted,
  fieldsRefused,
  heldChanged,
  historyFound,
  keepingChanged,
  kept,
  mergedIn,
  opened,
  redone,
  settled,
  typedRead,
  typedUnread,
  undone,
  type OpenPlan,
  type RefusedField,
} from './planSlice'
import { isOnServer, writeDraft } from './draft'
import { readHistory, writeHistory } from './keptHistory'
import { refusedFields } from './refusedFields'

/** Quiet time after an edit before it is sent. */
const PAUSE_MS = 350
const RETRY_MS = 2000
/** Of more the whole plan is sent. */
const MOST_CHANGES = 400

type State = { plan: { open: OpenPlan | undefined } }

const edits = isAnyOf(changed, undone, redone, settled, opened)

/** After these the browser is given what the server lacks; while it waits for the server too, for a browser may be told to forget. */
const toHold = isAnyOf(
  changed,
  undone,
  redone,
  settled,
  typedRead,
  typedUnread,
  fieldsRefused,
  mergedIn,
  kept,
  (action: unknown): action is ReturnType<typeof keepingChanged> =>
    isAction(action) && keepingChanged.match(action) && action.payload.state === 'waiting',
)

/** The middleware that keeps the open plan: in this browser at once, on the server after a pause. One for each store. */
export function autosaving() {
  const autosave = createListenerMiddleware<State>()
  const keep = keeper()
  /**
   * The save under way, settled when its answer is in the store. No save starts before it is: a second one to the
   * same revision would come back as a conflict with oneself.
   */
  let underWay: Promise<Then> = Promise.resolve('go on')

  autosave.startListening({
    matcher: toHold,
    effect: (_action, store) => {
      const { open } = store.getState().plan
      if (!open) return
      writeHistory(open)
      const held = !writeDraft(open) ? 'page' : isOnServer(open) ? 'server' : 'browser'
      if (held !== open.heldBy) store.dispatch(heldChanged(held))
    },
  })

  autosave.startListening({
    actionCreator: opened,
    effect: (_action, store) => {
      const { open } = store.getState().plan
      const history = open && readHistory(open)
      if (history) store.dispatch(historyFound(history))
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
        underWay = keep(open, () => store.getState().plan.open, dispatch)
        const answer = await store.pause(underWay)
        if (answer === 'refused') return
        if (typeof answer === 'number') await store.delay(answer)
      }
    },
  })
  return autosave.middleware
}

type Answer =
  | { kind: 'kept'; saved: Saved }
  | { kind: 'conflict'; theirs: KeptConversion }
  | { kind: 'waiting'; why: string; retryMs: number }
  | { kind: 'refused'; why: string; fields: RefusedField[] }

/** What is to be done after a save: look whether more is to be sent, now or in so many milliseconds, or nothing. */
type Then = 'go on' | 'refused' | number

/** Sends a plan and puts the answer into the store; remembers the saves that got none, for the server may have them. */
function keeper() {
  let unanswered: OpenPlan[] = []
  return async (open: OpenPlan, now: () => OpenPlan | undefined, dispatch: Dispatch): Promise<Then> => {
    const answer = await send(open)
    const settle = (theirs: KeptConversion) => {
      // Of what is here now: somebody may have typed on while the save was under way.
      const mine = now()
      const plan = mine?.id === theirs.id ? mergePlans(open.keptPlan, mine.plan, theirs.plan) : undefined
      dispatch(plan ? mergedIn({ theirs, plan }) : conflicted(theirs))
    }
    if (answer.kind === 'waiting') unanswered.push(open)
    const ours = answer.kind === 'conflict' ? unanswered.find((sent) => isSame(sent, answer.theirs)) : undefined
    if (answer.kind !== 'waiting') unanswered = []
    if (ours && answer.kind === 'conflict') {
      dispatch(kept({ ...answer.theirs, plan: ours.plan }))
      return 'go on'
    }
    if (answer.kind === 'kept') dispatch(kept({ ...answer.saved, plan: open.plan }))
    else if (answer.kind === 'conflict') settle(answer.theirs)
    else if (answer.kind === 'waiting') {
      dispatch(keepingChanged({ state: 'waiting', why: answer.why }))
      return answer.retryMs
    } else if (answer.fields.length > 0) {
      // The rest of the plan need not wait until these are mended.
      dispatch(fieldsRefused(answer.fields))
    } else {
      dispatch(keepingChanged({ state: 'refused', why: answer.why }))
      return 'refused'
    }
    return 'go on'
  }
}

/** Whether theirs is a save of ours whose answer was lost. */
const isSame = ({ id, revision, plan }: OpenPlan, theirs: KeptConversion) =>
  id === theirs.id && theirs.revision === revision + 1 && planDifference(plan, theirs.plan).length === 0

/** Sends what is another than in the plan that the server has; everything where that is too much to be told one by one. */
function put({ id, revision, plan, keptPlan }: OpenPlan, keepalive: boolean): Promise<Response> {
  const changes: Patch = changesBetween(keptPlan, plan)
  const isFew = changes.length > 0 && changes.length <= MOST_CHANGES
  return fetch(`/api/conversions/${id}`, {
    method: isFew ? 'PATCH' : 'PUT',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ baseRevision: revision, ...(isFew ? { changes } : { plan }) }),
    keepalive,
  })
}

/** Sends a plan although its page goes, and waits for nothing. */
export const sendAtOnce = (open: OpenPlan): void => void put(open, true).catch(() => undefined)

/** Answers that another moment may change; every other stays as it is however often it is asked for. */
const passing = new Set([429, 503])

const waitOf = (response: Response): number => 1000 * Number(response.headers.get('retry-after')) || RETRY_MS

async function send(open: OpenPlan): Promise<Answer> {
  try {
    const response = await put(open, false)
    const body: unknown = await response.json()
    if (response.ok) return { kind: 'kept', saved: savedSchema.parse(body) }
    if (response.status === 409) {
      const conflict = conflictSchema.safeParse(body)
      return conflict.success
        ? { kind: 'conflict', theirs: conflict.data.theirs }
        : {
            kind: 'refused',
            why: 'It was changed elsewhere, in a form this page does not know. Reload the page.',
            fields: [],
          }
    }
    const problem: Problem = problemSchema.parse(body)
    return passing.has(response.status)
      ? { kind: 'waiting', why: problem.detail, retryMs: waitOf(response) }
      : { kind: 'refused', why: problem.detail, fields: refusedFields(open, problem.faults ?? []) }
  } catch {
    return { kind: 'waiting', why: 'The server does not answer.', retryMs: RETRY_MS }
  }
}
