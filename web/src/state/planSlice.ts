import {
  applyPatch,
  inversePatch,
  sameValue,
  valueAt,
  withPlannedDone,
  type Change,
  type Patch,
  type Evaluation,
  type Plan,
  type PlanPath,
} from '@zesty/core'
import { type KeptConversion, type SentParts } from '@zesty/core/http'
import type { Measured } from '@zesty/core/measurements'
import type { Draft } from './draft'
import type { TypedText, TypedTexts } from './typedTexts'
import { createSlice, original, type PayloadAction } from '@reduxjs/toolkit'

/** One press that can be taken back: what it did and what undoes it. */
export interface Step {
  label: string
  patch: Change[]
  inverse: Change[]
}

/** How the plan stands with the server. */
export type Keeping =
  | { state: 'kept'; at: string }
  | { state: 'keeping' }
  | { state: 'waiting'; why: string }
  | { state: 'refused'; why: string }

/** A field whose value the server does not take: what stands there, and why not. */
export interface RefusedField extends TypedText {
  path: PlanPath
}

export interface OpenPlan {
  id: string
  shopId: string
  revision: number
  plan: Plan
  /** The plan as the server has it. */
  keptPlan: Plan
  /** What was read off the machine comes to, as the server has it. */
  measured: Measured
  /** What the server said about the plan as it was opened. */
  first: { plan: Plan; measured: Measured; evaluation: Evaluation; parts?: SentParts | undefined }
  keeping: Keeping
  undo: Step[]
  redo: Step[]
  typed: TypedTexts
  /** Who has what the server does not: this browser, or only the page as it stands, gone when it goes. */
  heldBy: 'browser' | 'page' | 'server'
  /** When it was typed, where it was taken from a draft; ISO 8601. */
  draftedAt?: string
  /** Typed in tabs that are gone, and never sent: to take or to leave. */
  unsent: Draft[]
  /** How often changes of others came in beside ours. */
  merges: number
  /** The server's side of a refused save. */
  theirs?: KeptConversion
}

const LONGEST_HISTORY = 200

const planSlice = createSlice({
  name: 'plan',
  initialState: { open: undefined as OpenPlan | undefined },
  reducers: {
    opened: (
      _state,
      {
        payload: { conversion, measured, evaluation, parts, draft, unsent = [], theirs },
      }: PayloadAction<{
        conversion: KeptConversion
        measured: Measured
        evaluation: Evaluation
        parts?: SentParts | undefined
        draft?: Draft
        unsent?: Draft[]
        theirs?: KeptConversion
      }>,
    ) => {
      const { id, shopId, revision, plan, savedAt } = conversion
      const open: OpenPlan = {
        id,
        shopId,
        revision,
        plan: draft?.plan ?? plan,
        keptPlan: plan,
        measured,
        first: { plan, measured, evaluation, parts },
        keeping: { state: 'kept', at: savedAt },
        undo: [],
        redo: [],
        typed: draft?.typed ?? {},
        heldBy: draft ? 'browser' : 'server',
        unsent,
        merges: 0,
      }
      if (draft) open.draftedAt = draft.at
      if (theirs) open.theirs = theirs
      return { open }
    },
    closed: () => ({ open: undefined }),
    /** What could be taken back before the page was loaded anew can be again. */
    historyFound: ({ open }, { payload }: PayloadAction<Pick<OpenPlan, 'undo' | 'redo'>>) => {
      if (open) Object.assign(open, payload)
    },
    changed: ({ open }, { payload }: PayloadAction<{ label: string; patch: Patch }>) => {
      if (!open) return
      const { label } = payload
      // The plain data, not its draft: a draft of a whole plan costs more than judging it.
      const { plan } = original(open)
      const patch = withPlannedDone(plan, payload.patch)
      const inverse = inversePatch(plan, patch)
      const next = applyPatch(plan, patch)
      if (sameValue(next, plan)) return
      open.plan = next
      open.undo = [...open.undo.slice(1 - LONGEST_HISTORY), { label, patch: [...patch], inverse: [...inverse] }]
      open.redo = []
    },
    undone: ({ open }) => {
      const step = open?.undo.pop()
      if (!open || !step) return
      open.plan = applyPatch(open.plan, step.inverse)
      open.redo.push(step)
    },
    redone: ({ open }) => {
      const step = open?.redo.pop()
      if (!open || !step) return
      open.plan = applyPatch(open.plan, step.patch)
      open.undo.push(step)
    },
    typedUnread: ({ open }, { payload: { path, text, message } }: PayloadAction<TypedText & { path: PlanPath }>) => {
      if (open) open.typed[path] = { text, message }
    },
    typedRead: ({ open }, { payload: path }: PayloadAction<PlanPath>) => {
      if (open) open.typed = Object.fromEntries(Object.entries(open.typed).filter(([key]) => key !== path))
    },
    heldChanged: ({ open }, { payload }: PayloadAction<OpenPlan['heldBy']>) => {
      if (open) open.heldBy = payload
    },
    /** One of the unsent was left or taken. */
    unsentSettled: ({ open }, { payload }: PayloadAction<Draft>) => {
      if (open) open.unsent = open.unsent.filter(({ tab }) => tab !== payload.tab)
    },
    /** The server refuses what stands in these fields: each goes back to what it kept, the text stays to be mended. */
    fieldsRefused: ({ open }, { payload }: PayloadAction<RefusedField[]>) => {
      if (!open) return
      for (const { path, text, message } of payload) open.typed[path] = { text, message }
      const { keptPlan } = open
      open.plan = applyPatch(
        open.plan,
        payload.map(({ path }): Change => ({ path, value: valueAt(keptPlan, path) })),
      )
    },
    keepingChanged: ({ open }, { payload }: PayloadAction<Keeping>) => {
      if (open) open.keeping = payload
    },
    kept: ({ open }, { payload: { id, revision, plan, savedAt } }: PayloadAction<KeptConversion>) => {
      if (open?.id !== id) return
      open.revision = revision
      open.keptPlan = plan
      // What was edited while the save was under way still waits.
      open.keeping = original(open).plan === plan ? { state: 'kept', at: savedAt } : { state: 'keeping' }
    },
    /** Readings came or went: what they come to now. */
    measuredChanged: ({ open }, { payload: { id, measured } }: PayloadAction<{ id: string; measured: Measured }>) => {
      if (open?.id === id) open.measured = measured
    },
    /** Somebody else changed other things: theirs is kept, ours goes on top of it. */
    mergedIn: ({ open }, { payload: { theirs, plan } }: PayloadAction<{ theirs: KeptConversion; plan: Plan }>) => {
      if (open?.id !== theirs.id) return
      open.revision = theirs.revision
      open.keptPlan = theirs.plan
      open.plan = plan
      open.merges += 1
      open.keeping = { state: 'keeping' }
    },
    conflicted: ({ open }, { payload }: PayloadAction<KeptConversion>) => {
      if (open?.id !== payload.id) return
      open.theirs = payload
      open.keeping = { state: 'refused', why: 'Changed elsewhere' }
    },
    /** The person chose: theirs replaces what is here, or ours is kept on top of theirs. */
    settled: ({ open }, { payload }: PayloadAction<'mine' | 'theirs'>) => {
      if (!open?.theirs) return
      const { revision, plan, savedAt } = open.theirs
      open.revision = revision
      open.keptPlan = plan
      if (payload === 'theirs') {
        open.plan = plan
        open.undo = []
        open.redo = []
        open.typed = {}
      }
      open.keeping = { state: 'kept', at: savedAt }
      delete open.theirs
      delete open.draftedAt
    },
  },
})

export const {
  opened,
  closed,
  historyFound,
  changed,
  undone,
  redone,
  typedUnread,
  typedRead,
  heldChanged,
  unsentSettled,
  fieldsRefused,
  keepingChanged,
  kept,
  measuredChanged,
  mergedIn,
  conflicted,
  settled,
} = planSlice.actions
export const planReducer = planSlice.reducer
