import type { Evaluation, PlanPath } from '@zesty/core'
import { selectEvaluation, useEvaluation } from '../state/evaluation'
import { goToField, openStage } from '../state/goToField'
import { passedBy, passedForgotten } from '../state/screenSlice'
import { useAppDispatch, useAppSelector, type store } from '../state/store'
import { focusFinding } from './focusFinding'

type Step = Evaluation['agenda'][number]

/** What is asked first of the agenda and was not passed by; its last step never is. */
export function stepAfter(
  agenda: readonly Step[],
  passed: readonly string[],
): { step: Step; path?: PlanPath } | undefined {
  for (const step of agenda) {
    const path = step.paths?.find((p) => !passed.includes(p))
    if (path !== undefined) return { step, path }
    if (step.paths === undefined && !passed.includes(step.findingId ?? '')) return { step }
  }
  return undefined
}

/**
 * Goes to the next thing to do. Whoever goes there and leaves it as it is goes on to the one after it: nobody knows
 * everything, and some stops nobody can mend from here.
 */
export const goNext = () => (dispatch: typeof store.dispatch, getState: typeof store.getState) => {
  const state = getState()
  const next = stepAfter(selectEvaluation(state).agenda, state.screen.passed)
  if (!next) return
  const { step, path } = next
  if (path !== undefined) goToField(path)
  else {
    openStage(step.stage)
    if (step.findingId !== undefined) focusFinding(step.findingId)
  }
  const key = path ?? step.findingId
  if (key !== undefined) dispatch(passedBy(key))
}

/** The next thing to do, and how much was shown and left as it is. */
export function useNext() {
  const dispatch = useAppDispatch()
  const { agenda } = useEvaluation()
  const passed = useAppSelector((state) => state.screen.passed)
  const isOpen = (key: string) => agenda.some((s) => s.findingId === key || s.paths?.some((p) => p === key))
  return {
    next: stepAfter(agenda, passed),
    leftOpen: passed.filter(isOpen).length,
    goNext: () => dispatch(goNext()),
    forget: () => void dispatch(passedForgotten()),
  }
}
