import { evaluate, type Evaluation, type Figure, type Patch, type Plan, type UnitSystem } from '@zesty/core'
import { createSelector } from '@reduxjs/toolkit'
import { createContext, useCallback, useContext } from 'react'
import { api } from '../app/api'
import { useAppDispatch, useAppSelector, type RootState } from '../app/store'
import { EvaluationScope, type Scope } from './evaluationScope'
import { changed, type OpenPlan } from './planSlice'

const selectOpen = (state: RootState): OpenPlan => {
  const { open } = state.plan
  if (!open) throw new Error('no plan is open')
  return open
}

export const selectPlan = (state: RootState): Plan => selectOpen(state).plan
export const selectEvaluation = createSelector(selectPlan, (plan): Evaluation => evaluate(plan))

/** The open plan, inside a conversion's screen. */
export const usePlan = (): Plan => useAppSelector(selectPlan)
export const useOpen = (): OpenPlan => useAppSelector(selectOpen)

/** What the product says about the open plan. */
export const useEvaluation = (): Evaluation => useAppSelector(selectEvaluation)

/** Figures as they are known here: of the scope that is set around, else of the open plan. */
export function useFigures(): Scope {
  const own = useEvaluation()
  return useContext(EvaluationScope) ?? own
}

export function useFigure(id: string): Figure | undefined {
  const scope = useContext(EvaluationScope)
  const own = useAppSelector((state) => selectEvaluation(state).figures[id])
  return scope ? scope.figures[id] : own
}

/** A shop whose units rule below it, where no plan is open. */
export const ShopScope = createContext<string | undefined>(undefined)

/** Units as the shop prefers them: the open plan's, or the one set around. */
export function useUnits(): UnitSystem {
  const around = useContext(ShopScope)
  const own = useAppSelector((state) => state.plan.open?.shopId)
  const shopId = around ?? own
  const { data } = api.useShopQuery(shopId ?? '', { skip: shopId === undefined })
  return data?.units ?? 'metric'
}

/** Makes one undoable change to the plan. */
export function useChange(): (label: string, patch: Patch) => void {
  const dispatch = useAppDispatch()
  return useCallback((label, patch) => void dispatch(changed({ label, patch })), [dispatch])
}
