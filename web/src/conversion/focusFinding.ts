import { unfoldedTo } from '../state/screenSlice'
import { store } from '../state/store'
import { folds } from './useFolds'

/** Round a drawing they may be folded away. */
function unfold(): void {
  if (document.getElementById('findings')?.getClientRects().length === 0) {
    const { unfolded } = store.getState().screen
    store.dispatch(unfoldedTo(folds.filter((fold) => fold === 'findings' || unfolded.includes(fold))))
  }
}

const cards = (): HTMLElement[] => [...document.querySelectorAll<HTMLElement>('[data-finding]')]

function show(card: HTMLElement | undefined): void {
  card?.scrollIntoView({ block: 'nearest' })
  card?.focus()
}

export const focusFinding = (id: string): void =>
  requestFrame(() => {
    unfold()
    show(cards().find((c) => c.dataset['finding'] === id))
  })

/** From the finding in focus to the one after it, and round again. What follows from another lies within its card. */
export function focusNextFinding(): void {
  unfold()
  const all = cards()
  const at = all.findLastIndex((c) => c.contains(document.activeElement))
  show(all[(at + 1) % all.length])
}

const requestFrame = (work: () => void) => void requestAnimationFrame(work)
