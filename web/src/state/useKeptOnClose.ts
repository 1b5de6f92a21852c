import { useEffect } from 'react'
import { sendAtOnce } from './autosave'
import { selectOpen } from './openPlan'
import { store } from './store'

/** When the page goes: what stands in a field that was not left yet counts, and what nobody else keeps is asked about. */
export function useKeptOnClose(): void {
  useEffect(() => {
    const leaveField = () => {
      if (document.activeElement instanceof HTMLElement) document.activeElement.blur()
    }
    const ask = (event: BeforeUnloadEvent) => {
      leaveField()
      if (selectOpen(store.getState()).heldBy === 'page') event.preventDefault()
    }
    const send = () => {
      leaveField()
      const open = selectOpen(store.getState())
      // The browser keeps it for the next visit, unless it cannot: then this is the last chance.
      if (open.heldBy === 'page') sendAtOnce(open)
    }
    window.addEventListener('beforeunload', ask)
    window.addEventListener('pagehide', send)
    return () => {
      window.removeEventListener('beforeunload', ask)
      window.removeEventListener('pagehide', send)
    }
  }, [])
}
