import { evaluator, type Evaluation, type Figure, type FigureId } from '@zesty/core'
import { createSelector } from '@reduxjs/toolkit'
import { useContext } from 'react'
import { EvaluationScope, type Scope } from './evaluationScope'
import { selectPlan } from './openPlan'
import { useAppSelector } from './store'

export const selectEvaluation = createSelector(selectPlan, evaluator())

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
