import { fieldAt, isPlanPath, type PlanPath, type StageId } from '@zesty/core'
import { isWaiting, SHOW_ALL } from './printing'
import { stageWanted } from './screenSlice'
import { store } from './store'

/** Opens a stage of the open conversion without leaving the page. */
export const openStage = (stage: StageId): void => void store.dispatch(stageWanted(stage))

/** Frames to wait for a stage that is loaded when first opened. */
const PATIENCE = 60
/** Frames that a stage which is open already takes to show what it shows at once. */
const FRAMES_TO_OPEN = 12
/** What a frame counts while a part is on its way. */
const WHILE_COMING = 0.1

/** How long after a jump the place it went to is left alone, ms. */
const JUMP_MS = 1500
let jumpedAt = -Infinity

/** Whether something was just gone to, so that nothing else should scroll. */
export const isJumping = (): boolean => performance.now() - jumpedAt < JUMP_MS

/** Opens the stage that holds a field and puts the caret in it. */
export function goToField(path: PlanPath): void {
  jumpedAt = performance.now()
  openStage(fieldAt(path).stage)
  focusWhenThere(path, PATIENCE)
}

/** Opens the stage that holds a field and brings it into sight, leaving the focus where it is. */
export function showField(path: PlanPath): void {
  jumpedAt = performance.now()
  openStage(fieldAt(path).stage)
  showWhenThere(path, PATIENCE)
}

function showWhenThere(path: PlanPath, frames: number): void {
  const found = fieldOnPage(path)
  if (found) found.scrollIntoView({ block: 'nearest' })
  else if (frames > 0) requestAnimationFrame(() => showWhenThere(path, frames - 1))
}

const fieldOnPage = (path: PlanPath): HTMLElement | undefined =>
  [...document.querySelectorAll<HTMLElement>('[data-path]')].find((el) => el.dataset['path']?.split(' ').includes(path))

function focusWhenThere(path: PlanPath, frames: number): void {
  const found = fieldOnPage(path)
  const parent = path.slice(0, Math.max(path.lastIndexOf('.'), 0))
  if (found) {
    // Nothing in a closed part takes the focus.
    for (let part = found.closest('details'); part; part = part.parentElement?.closest('details') ?? null)
      part.open = true
    found.scrollIntoView({ block: 'center' })
    ;(found.matches('input, select, textarea, button')
      ? found
      : (found.querySelector<HTMLElement>('input, button, select') ?? found)
    ).focus()
  } else if (frames > 0) {
    // It may lie in a part that comes only when it is seen: a stage that has had its time to open shows them all.
    const isComing = frames <= PATIENCE - FRAMES_TO_OPEN && isWaiting()
    if (isComing) window.dispatchEvent(new Event(SHOW_ALL))
    // It may lie within something closed; the narrowest that holds it is opened.
    const closed = [...document.querySelectorAll<HTMLElement>('[data-holds][aria-expanded=false]')]
      .filter((el) => path.startsWith(`${el.dataset['holds'] ?? ''}.`))
      .sort((a, b) => (b.dataset['holds'] ?? '').length - (a.dataset['holds'] ?? '').length)
    closed[0]?.click()
    // What is on its way is waited for longer: a part of a stage is loaded when it is first seen.
    requestAnimationFrame(() => focusWhenThere(path, frames - (isComing ? WHILE_COMING : 1)))
  } else if (parent.includes('.') && isPlanPath(parent)) focusWhenThere(parent, 1)
}
