import { evaluate, type Evaluation, type Figure, type Patch, type Plan, type UnitSystem } from '@zesty/core'
import { createSelector } from '@reduxjs/toolkit'
import { useCallback } from 'react'
import { api } from '../app/api'
import { useAppDispatch, useAppSelector, type RootState } from '../app/store'
import { changed, type OpenPlan } from './planSlice'

const selectOpen = (state: RootState): OpenPlan => {
  const { open } = state.plan
  if (!open) throw new Error('no plan is open')
  return open
}

const selectPlan = (state: RootState): Plan => selectOpen(state).plan
export const selectEvaluation = createSelector(selectPlan, (plan): Evaluation => evaluate(plan))

/** The open plan, inside a conversion's screen. */
export const usePlan = (): Plan => useAppSelector(selectPlan)
export const useOpen = (): OpenPlan => useAppSelector(selectOpen)

/** What the product says about the open plan. */
export const useEvaluation = (): Evaluation => useAppSelector(selectEvaluation)

export const useFigure = (id: string): Figure | undefined =>
  useAppSelector((state) => selectEvaluation(state).figures[id])

/** Units as the open plan's shop prefers them. */
export function useUnits(): UnitSystem {
  const shopId = useAppSelector((state) => state.plan.open?.shopId)
  const { data } = api.useShopQuery(shopId ?? '', { skip: shopId === undefined })
  return data?.units ?? 'metric'
}

/** Makes one undoable change to the plan. */
export function useChange(): (label: string, patch: Patch) => void {
  const dispatch = useAppDispatch()
  return useCallback((label, patch) => void dispatch(changed({ label, patch })), [dispatch])
}
