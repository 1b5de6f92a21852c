import { isPlanPath, planDifference, type Plan } from '@zesty/core'
import { showField } from './goToField'
import { redone, undone, type Step } from './planSlice'
import { store } from './store'

const planNow = (): Plan | undefined => store.getState().plan.open?.plan

/** Takes the last step back and shows where. */
export function takeBack(): void {
  const before = planNow()
  const step = store.getState().plan.open?.undo.at(-1)
  store.dispatch(undone())
  if (step && before) show(step, before)
}

/** Makes the step again that was taken back last, and shows where. */
export function makeAgain(): void {
  const before = planNow()
  const step = store.getState().plan.open?.redo.at(-1)
  store.dispatch(redone())
  if (step && before) show(step, before)
}

/** A step that writes whole parts anew, as a restore does, is shown at the first field that it makes another. */
function show({ patch }: Step, before: Plan): void {
  const after = planNow()
  if (!after) return
  const differ = planDifference(before, after).map(({ path }) => path)
  const isWithin = (path: string, whole: string) => path === whole || path.startsWith(`${whole}.`)
  const [first] = patch.flatMap(({ path: whole }) => differ.filter((path) => isWithin(path, whole)))
  const changed = first ?? differ[0] ?? patch[0]?.path
  if (changed !== undefined && isPlanPath(changed)) showField(changed)
}
