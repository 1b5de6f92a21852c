import type { SerializedError } from '@reduxjs/toolkit'
import type { FetchBaseQueryError } from '@reduxjs/toolkit/query'
import { useEffect } from 'react'

/** Milliseconds until a question that met a server at work on something else is asked anew. */
const AGAIN_MS = 3000

/** A server that is starting, or whose database is busy, answers in a moment; nobody should have to press for it. */
const passes = (error: FetchBaseQueryError | SerializedError): boolean =>
  'status' in error && (error.status === 503 || error.status === 'FETCH_ERROR' || error.status === 'TIMEOUT_ERROR')

/** Asks again by itself what failed for a reason that passes, until it is answered. */
export function useAskAgain(error: FetchBaseQueryError | SerializedError | undefined, ask: () => unknown): void {
  useEffect(() => {
    if (!error || !passes(error)) return
    const later = setTimeout(ask, AGAIN_MS)
    return () => clearTimeout(later)
    // A new error is a new object: each one is followed by one more question.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [error])
}
