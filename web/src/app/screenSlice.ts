import { createSlice, type PayloadAction } from '@reduxjs/toolkit'

/** Which dialog is over the page; one at a time. */
export type Overlay = 'palette' | 'keys' | 'revisions' | undefined

const screenSlice = createSlice({
  name: 'screen',
  initialState: { overlay: undefined as Overlay },
  reducers: {
    overlayChanged: (state, { payload }: PayloadAction<Overlay>) => {
      state.overlay = payload
    },
  },
})

export const { overlayChanged } = screenSlice.actions
export const screenReducer = screenSlice.reducer
