import type { Patch, Plan } from '@zesty/core'
import type { Measured } from '@zesty/core/measurements'
import { useCallback } from 'react'
import { useAppDispatch, useAppSelector, type RootState } from './store'
import { changed, type OpenPlan } from './planSlice'

export const selectOpen = (state: RootState): OpenPlan => {
  const { open } = state.plan
  if (!open) throw new Error('no plan is open')
  return open
}

export const selectPlan = (state: RootState): Plan => selectOpen(state).plan

export const selectMeasured = (state: RootState): Measured => selectOpen(state).measured

/** The open plan, inside a conversion's screen. */
export const usePlan = (): Plan => useAppSelector(selectPlan)

/** One part of what is open; what asks for it is shown anew only when that part changes, not at every save. */
export const useOpen = <T>(part: (open: OpenPlan) => T): T => useAppSelector((state) => part(selectOpen(state)))
/** What was read off the machine comes to. */
export const useMeasured = (): Measured => useAppSelector(selectMeasured)
export const useShopId = (): string => useOpen((open) => open.shopId)
export const useConversionId = (): string => useOpen((open) => open.id)

/** Makes one undoable change to the plan. */
export function useChange(): (label: string, patch: Patch) => void {
  const dispatch = useAppDispatch()
  return useCallback((label, patch) => void dispatch(changed({ label, patch })), [dispatch])
}
