import { isPlanPath } from '@zesty/core'
import { showField } from './goToField'
import { redone, undone, type Step } from './planSlice'
import { store } from './store'

/** Takes the last step back and shows where. */
export function takeBack(): void {
  const step = store.getState().plan.open?.undo.at(-1)
  store.dispatch(undone())
  if (step) show(step)
}

/** Makes the step again that was taken back last, and shows where. */
export function makeAgain(): void {
  const step = store.getState().plan.open?.redo.at(-1)
  store.dispatch(redone())
  if (step) show(step)
}

function show({ patch: [first] }: Step): void {
  if (first && isPlanPath(first.path)) showField(first.path)
}
