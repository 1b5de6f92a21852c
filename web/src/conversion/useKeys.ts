import { stageIds, type StageId } from '@zesty/core'
import { useEffect } from 'react'
import { overlayChanged, unfoldedTo } from '../state/screenSlice'
import { store, useAppDispatch } from '../state/store'
import { useSwitchUnits } from '../state/useSwitchUnits'
import { openStage } from '../state/goToField'
import { focusNextFinding } from './focusFinding'
import { folds } from './useFolds'
import { goNext } from './useNext'
import { useShopId } from '../state/openPlan'
import { useUnits } from '../state/units'
import { makeAgain, takeBack } from '../state/takeBack'

/** Keys and what they do, for the list as well as for the handler below. */
export const keyList: readonly { keys: string; does: string }[] = [
  { keys: '1 to 9, 0', does: 'Open a stage: 0 the tenth' },
  { keys: '[  ]', does: 'Stage before, stage after' },
  { keys: 'n', does: 'Next: what is to be done first' },
  { keys: 'f', does: 'Next finding' },
  { keys: 'h', does: 'Round a drawing: fold chain, card and findings, or unfold them' },
  { keys: 'w', does: 'Working of the figure in focus' },
  { keys: '/', does: 'Find: go anywhere, do anything' },
  { keys: 'u', does: 'Metric or imperial' },
  { keys: '?', does: 'This list' },
  { keys: 'Ctrl Z, Cmd Z', does: 'Undo' },
  { keys: 'Ctrl Y, Shift Cmd Z', does: 'Redo' },
]

const isTyping = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement && (target.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName))

/** Keys of the conversion screen; none fires while typing or under a dialog. */
export function useKeys(stage: StageId): void {
  const dispatch = useAppDispatch()
  const shopId = useShopId()
  const units = useUnits()
  const switchUnits = useSwitchUnits(shopId, units)
  useEffect(() => {
    const step = (by: number) => {
      const next = stageIds[stageIds.indexOf(stage) + by]
      if (next) openStage(next)
    }
    const plain: Record<string, () => void> = {
      '[': () => step(-1),
      ']': () => step(1),
      n: () => dispatch(goNext()),
      f: focusNextFinding,
      h: () => dispatch(unfoldedTo(store.getState().screen.unfolded.length > 0 ? [] : [...folds])),
      w: () =>
        document.activeElement instanceof HTMLElement &&
        document.activeElement.dataset['figure'] !== undefined &&
        document.activeElement.click(),
      '/': () => dispatch(overlayChanged('palette')),
      u: switchUnits,
      '?': () => dispatch(overlayChanged('keys')),
    }
    const onKey = (event: KeyboardEvent) => {
      if (event.defaultPrevented || isTyping(event.target) || document.querySelector('[role=dialog]')) return
      const command = event.ctrlKey || event.metaKey
      const key = event.key.toLowerCase()
      if (command && (key === 'z' || key === 'y')) {
        if (key === 'y' || event.shiftKey) makeAgain()
        else takeBack()
        event.preventDefault()
        return
      }
      if (command || event.altKey) return
      // The tenth stage is the key behind nine.
      const digit = stageIds[event.key === '0' ? 9 : Number(event.key) - 1]
      const act = digit ? () => openStage(digit) : plain[event.key]
      if (!act) return
      event.preventDefault()
      act()
    }
    window.addEventListener('keydown', onKey)
    return () => window.removeEventListener('keydown', onKey)
  }, [stage, dispatch, switchUnits])
}
