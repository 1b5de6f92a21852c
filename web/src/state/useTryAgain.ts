import { useEffect } from 'react'

/** Between two tries, ms. */
const RETRY_MS = 4000

/** Does some work now, every few seconds, and as soon as the network is back. It must stay the same function. */
export function useTryAgain(work: () => void): void {
  useEffect(() => {
    work()
    const timer = setInterval(work, RETRY_MS)
    window.addEventListener('online', work)
    return () => {
      clearInterval(timer)
      window.removeEventListener('online', work)
    }
  }, [work])
}
