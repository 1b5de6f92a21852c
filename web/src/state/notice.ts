import { noticed } from './screenSlice'
import { store, useAppSelector } from './store'

/** What a brief message may offer: one press, such as undo. */
interface Offer {
  label: string
  onClick: () => void
  /** Whether it is offered until it is taken, and not only for a moment. */
  stays?: boolean
}

/** Says something briefly at the foot of the screen. What shows it is loaded with the first message. */
export function notice(text: string, offer?: Offer): void {
  store.dispatch(noticed())
  void import('sonner').then(({ toast }) =>
    toast(text, offer ? { action: offer, ...(offer.stays ? { duration: Infinity } : {}) } : {}),
  )
}

/** Whether anything was said yet, so that there must be a place for it. */
export const useNoticed = (): boolean => useAppSelector((state) => state.screen.noticed)
