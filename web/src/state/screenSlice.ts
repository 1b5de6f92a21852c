import { createSlice, type PayloadAction } from '@reduxjs/toolkit'
import type { StageId } from '@zesty/core'

/** Which dialog is over the page; one at a time. */
export type Overlay = 'palette' | 'keys' | 'revisions' | 'judged' | undefined

/** What stands round a stage and folds away where the stage is a drawing. */
export type Fold = 'chain' | 'card' | 'findings'

interface Screen {
  overlay: Overlay
  /** A stage that something on the page asks for; the conversion's screen opens it and clears it. */
  wantedStage: StageId | undefined
  /** Whether anything was said briefly yet, so that there must be a place for it. */
  noticed: boolean
  /** Whether this device is not let in. */
  stranger: boolean
  /** Fields and findings of the open conversion that Next has led to already. */
  passed: string[]
  /** What is folded out again round a drawing. */
  unfolded: Fold[]
}

const initialState: Screen = {
  overlay: undefined,
  wantedStage: undefined,
  noticed: false,
  stranger: false,
  passed: [],
  unfolded: [],
}

const screenSlice = createSlice({
  name: 'screen',
  initialState,
  reducers: {
    overlayChanged: (state, { payload }: PayloadAction<Overlay>) => {
      state.overlay = payload
    },
    stageWanted: (state, { payload }: PayloadAction<StageId>) => {
      state.wantedStage = payload
    },
    stageOpened: (state) => {
      state.wantedStage = undefined
    },
    strangerSeen: (state) => {
      state.stranger = true
    },
    passedBy: (state, { payload }: PayloadAction<string>) => {
      state.passed.push(payload)
    },
    passedForgotten: (state) => {
      state.passed = []
    },
    foldTurned: (state, { payload }: PayloadAction<Fold>) => {
      state.unfolded = state.unfolded.includes(payload)
        ? state.unfolded.filter((fold) => fold !== payload)
        : [...state.unfolded, payload]
    },
    unfoldedTo: (state, { payload }: PayloadAction<Fold[]>) => {
      state.unfolded = payload
    },
    noticed: (state) => {
      state.noticed = true
    },
  },
})

export const {
  foldTurned,
  overlayChanged,
  stageWanted,
  stageOpened,
  noticed,
  passedBy,
  passedForgotten,
  strangerSeen,
  unfoldedTo,
} = screenSlice.actions
export const screenReducer = screenSlice.reducer
