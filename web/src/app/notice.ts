import { useSyncExternalStore } from 'react'

/** What a brief message may offer: one press, such as undo. */
interface Offer {
  label: string
  onClick: () => void
}

let wanted = false
const listeners = new Set<() => void>()

/** Says something briefly at the foot of the screen. What shows it is loaded with the first message. */
export function notice(text: string, offer?: Offer): void {
  wanted = true
  listeners.forEach((tell) => tell())
  void import('sonner').then(({ toast }) => toast(text, offer ? { action: offer } : {}))
}

/** Whether anything was said yet, so that there must be a place for it. */
export const useNoticed = (): boolean =>
  useSyncExternalStore(
    (tell) => {
      listeners.add(tell)
      return () => listeners.delete(tell)
    },
    () => wanted,
  )
