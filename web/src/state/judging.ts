import type { Conversion, Finding, Plan, Remedy } from '@zesty/core'
import type { Measured } from '@zesty/core/measurements'
import { createAsyncThunk, createSlice } from '@reduxjs/toolkit'

/** Gives the conversion of the open plan and of what was read off the machine. */
export type Judge = (plan: Plan, measured: Measured) => Conversion
/** Whether a remedy mends: it is tried on the machine. */
export type TryRemedy = (of: Conversion, finding: Finding, remedy: Remedy) => boolean

type JudgeModule = typeof import('./judge')

/**
 * Who judges the open plan. The server has judged it as it was opened; from the first touch the page does, at every key.
 * A judge cannot be had where the server is gone or holds another release.
 */
export interface Judging {
  judge: Judge | undefined
  tryRemedy: TryRemedy | undefined
  makers: JudgeModule['shownParts'] | undefined
  lost: boolean
}

/** Brings the judge, once. Never fails: where it cannot be had, the state says so, and it may be asked for again. */
export const fetchJudge = createAsyncThunk(
  'judging/fetch',
  async (): Promise<Omit<Judging, 'lost'>> => {
    const { judge, isMended, shownParts } = await import('./judge')
    return { judge, tryRemedy: isMended, makers: shownParts }
  },
  {
    condition: (_, { getState }) => (getState() as { judging: Judging }).judging.judge === undefined,
  },
)

const initialState: Judging = { judge: undefined, tryRemedy: undefined, makers: undefined, lost: false }

const judgingSlice = createSlice({
  name: 'judging',
  initialState,
  reducers: {},
  extraReducers: (builder) =>
    builder
      .addCase(fetchJudge.fulfilled, (state, { payload }) =>
        state.judge === undefined ? { ...payload, lost: false } : undefined,
      )
      .addCase(fetchJudge.rejected, (state, { meta }) => {
        if (!meta.condition) state.lost = true
      }),
})

export const judgingReducer = judgingSlice.reducer

let coming: Promise<unknown> | undefined

/** Settled once it is there or cannot be had: the same promise for all who wait. */
export function awaitJudge(dispatch: (thunk: ReturnType<typeof fetchJudge>) => Promise<unknown>): Promise<unknown> {
  coming ??= dispatch(fetchJudge()).finally(() => (coming = undefined))
  return coming
}
