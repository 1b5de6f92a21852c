import type { StageId } from '@zesty/core'
import { foldTurned, type Fold } from '../state/screenSlice'
import { useAppDispatch, useAppSelector } from '../state/store'

/** Stages that are drawings, which want the whole height and width of the screen. */
const drawings: readonly StageId[] = ['wiring']

/** Everything that folds. */
export const folds: readonly Fold[] = ['chain', 'card', 'findings']

/** What is folded away round a stage, on a screen wide enough that it stood there; and a way to turn each. */
export function useFolds(stage: StageId) {
  const dispatch = useAppDispatch()
  const unfolded = useAppSelector((state) => state.screen.unfolded)
  const isDrawing = drawings.includes(stage)
  return {
    isDrawing,
    isFolded: (fold: Fold): boolean => isDrawing && !unfolded.includes(fold),
    turn: (fold: Fold) => void dispatch(foldTurned(fold)),
  }
}
