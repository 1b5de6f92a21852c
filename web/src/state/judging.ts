import type { Evaluation, Plan } from '@zesty/core'
import type { Measured } from '@zesty/core/measurements'
import { createAsyncThunk, createSlice } from '@reduxjs/toolkit'

/** Says what the product says about a plan and what was read off the machine. */
export type Judge = (plan: Plan, measured: Measured) => Evaluation
/** Leaves of an evaluation's remedies those that mend: each is tried, so it takes as many times as long as there are. */
export type TryRemedies = (plan: Plan, evaluation: Evaluation, measured: Measured) => Evaluation

/**
 * Who judges the open plan. The server has judged it as it was opened; from the first touch the page does, at every key.
 * A judge cannot be had where the server is gone or holds another release.
 */
interface Judging {
  judge: Judge | undefined
  tryRemedies: TryRemedies | undefined
  lost: boolean
}

/** Brings the judge, once. Never fails: where it cannot be had, the state says so, and it may be asked for again. */
export const fetchJudge = createAsyncThunk(
  'judging/fetch',
  async (): Promise<{ judge: Judge; tryRemedies: TryRemedies }> => {
    const { newJudge, withTriedRemedies } = await import('./judge')
    const judge = newJudge()
    return {
      judge,
      tryRemedies: (plan, evaluation, measured) =>
        withTriedRemedies(plan, evaluation, (tried) => judge(tried, measured)),
    }
  },
  {
    condition: (_, { getState }) => (getState() as { judging: Judging }).judging.judge === undefined,
  },
)

const initialState: Judging = { judge: undefined, tryRemedies: undefined, lost: false }

const judgingSlice = createSlice({
  name: 'judging',
  initialState,
  reducers: {},
  extraReducers: (builder) =>
    builder
      .addCase(fetchJudge.fulfilled, (state, { payload }) => {
        state.judge ??= payload.judge
        state.tryRemedies ??= payload.tryRemedies
        state.lost = false
      })
      .addCase(fetchJudge.rejected, (state, { meta }) => {
        if (!meta.condition) state.lost = true
      }),
})

export const judgingReducer = judgingSlice.reducer
