import type { Evaluation, Figure, FigureId } from '@zesty/core'
import { createSelector } from '@reduxjs/toolkit'
import { useContext } from 'react'
import { EvaluationScope, type Scope } from './evaluationScope'
import { selectMeasured, selectOpen, selectPlan } from './openPlan'
import { useAppSelector, type RootState } from './store'

const selectJudge = (state: RootState) => state.judging.judge
const selectFirst = (state: RootState) => selectOpen(state).first

export const selectEvaluation = createSelector(
  [selectPlan, selectMeasured, selectJudge, selectFirst],
  (plan, measured, judge, first): Evaluation => judge?.(plan, measured).evaluation ?? first.evaluation,
)

/** Whether what is shown was said of plan and readings as they were opened, and they have changed since. */
export const selectIsBehind = createSelector(
  [selectPlan, selectMeasured, selectJudge, selectFirst],
  (plan, measured, judge, first) => judge === undefined && (plan !== first.plan || measured !== first.measured),
)

/** What the product says about the open plan. */
export const useEvaluation = (): Evaluation => useAppSelector(selectEvaluation)

/** Figures as they are known here: of the scope that is set around, else of the open plan. */
export function useFigures(): Scope {
  const own = useEvaluation()
  return useContext(EvaluationScope) ?? own
}

export function useFigure(id: FigureId): Figure | undefined {
  const scope = useContext(EvaluationScope)
  const own = useAppSelector((state) => selectEvaluation(state).figures[id])
  return scope ? scope.figures[id] : own
}
