import { createSlice, type PayloadAction } from '@reduxjs/toolkit'
import type { StageId } from '@zesty/core'

/** Which dialog is over the page; one at a time. */
export type Overlay = 'palette' | 'keys' | 'revisions' | 'judged' | undefined

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
}

const initialState: Screen = {
  overlay: undefined,
  wantedStage: undefined,
  noticed: false,
  stranger: false,
  passed: [],
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
    noticed: (state) => {
      state.noticed = true
    },
  },
})

export const { overlayChanged, stageWanted, stageOpened, noticed, passedBy, passedForgotten, strangerSeen } =
  screenSlice.actions
export const screenReducer = screenSlice.reducer
