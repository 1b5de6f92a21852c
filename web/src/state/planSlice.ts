import {
  applyPatch,
  inversePatch,
  type Change,
  type Patch,
  type Evaluation,
  type Plan,
  type PlanPath,
} from '@zesty/core'
import { type Conversion } from '@zesty/core/http'
import { createSlice, original, type PayloadAction } from '@reduxjs/toolkit'

/** One press that can be taken back: what it did and what undoes it. */
interface Step {
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

/** Text typed into a field that does not read yet; it stays until it does. */
export interface TypedText {
  text: string
  message: string
}

/** By the field they were typed in. */
export type TypedTexts = Partial<Record<PlanPath, TypedText>>

export interface OpenPlan {
  id: string
  shopId: string
  revision: number
  plan: Plan
  /** The plan as the server has it. */
  keptPlan: Plan
  /** What the server said about the plan as it was opened. */
  first: { plan: Plan; evaluation: Evaluation }
  keeping: Keeping
  undo: Step[]
  redo: Step[]
  typed: TypedTexts
  /** The server's side of a refused save. */
  theirs?: Conversion
}

const LONGEST_HISTORY = 200

const planSlice = createSlice({
  name: 'plan',
  initialState: { open: undefined as OpenPlan | undefined },
  reducers: {
    opened: (
      _state,
      {
        payload: { conversion, evaluation, draft, typed, theirs },
      }: PayloadAction<{
        conversion: Conversion
        evaluation: Evaluation
        draft?: Plan
        typed?: TypedTexts
        theirs?: Conversion
      }>,
    ) => {
      const { id, shopId, revision, plan, savedAt } = conversion
      const open: OpenPlan = {
        id,
        shopId,
        revision,
        plan: draft ?? plan,
        keptPlan: plan,
        first: { plan, evaluation },
        keeping: { state: 'kept', at: savedAt },
        undo: [],
        redo: [],
        typed: typed ?? {},
      }
      if (theirs) open.theirs = theirs
      return { open }
    },
    closed: () => ({ open: undefined }),
    changed: ({ open }, { payload: { label, patch } }: PayloadAction<{ label: string; patch: Patch }>) => {
      if (!open) return
      const inverse = inversePatch(open.plan, patch)
      const next = applyPatch(open.plan, patch)
      if (JSON.stringify(next) === JSON.stringify(open.plan)) return
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
    keepingChanged: ({ open }, { payload }: PayloadAction<Keeping>) => {
      if (open) open.keeping = payload
    },
    kept: ({ open }, { payload: { id, revision, plan, savedAt } }: PayloadAction<Conversion>) => {
      if (open?.id !== id) return
      open.revision = revision
      open.keptPlan = plan
      // What was edited while the save was under way still waits.
      open.keeping = original(open).plan === plan ? { state: 'kept', at: savedAt } : { state: 'keeping' }
    },
    conflicted: ({ open }, { payload }: PayloadAction<Conversion>) => {
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
    },
  },
})

export const {
  opened,
  closed,
  changed,
  undone,
  redone,
  typedUnread,
  typedRead,
  keepingChanged,
  kept,
  conflicted,
  settled,
} = planSlice.actions
export const planReducer = planSlice.reducer
