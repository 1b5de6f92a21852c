import type { PlanPath, StageId } from '@zesty/core'

/** Where a field is edited. */
export function stageOf(path: PlanPath): StageId {
  if (path.startsWith('route')) return 'route'
  if (/^(motor|oldMotor|checks|candidates\.motors)/.test(path)) return 'motor'
  if (/^(drive|mount|candidates\.drives|overrides)/.test(path) || path === 'survey.coastS') return 'drive'
  if (/^supply\.(cable|laying|ambient|region|joining|plug|extension)/.test(path)) return 'drive'
  if (
    path === 'survey.mainPositionId' ||
    /^settings\.chosen\.(minimumHz|maximumHz)/.test(path) ||
    path === 'controls.knobTopHz'
  )
    return 'speeds'
  if (path.startsWith('settings') || path.startsWith('controls')) return 'settings'
  return 'survey'
}

/** Set by the conversion screen: opens a stage without leaving the page. */
export const navigation: { openStage: (stage: StageId) => void } = { openStage: () => undefined }

/** Frames to wait for a stage that is loaded when first opened. */
const PATIENCE = 60

/** Opens the stage that holds a field and puts the caret in it. */
export function goToField(path: PlanPath): void {
  navigation.openStage(stageOf(path))
  focusWhenThere(path, PATIENCE)
}

function focusWhenThere(path: PlanPath, frames: number): void {
  const found = [...document.querySelectorAll<HTMLElement>('[data-path]')].find((el) =>
    el.dataset['path']?.split(' ').includes(path),
  )
  const parent = path.includes('.') ? path.slice(0, path.lastIndexOf('.')) : ''
  if (found) {
    found.scrollIntoView({ block: 'center' })
    ;(found.matches('input, select, textarea, button')
      ? found
      : (found.querySelector<HTMLElement>('input, button, select') ?? found)
    ).focus()
  } else if (frames > 0) requestAnimationFrame(() => focusWhenThere(path, frames - 1))
  else if (parent.split('.').length > 1) focusWhenThere(parent, 1)
}
