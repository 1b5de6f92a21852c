import { useCallback } from 'react'
import { api } from './api'
import { conversionsHeld, heldOf, letGo } from './heldReadings'
import { measuredChanged } from './planSlice'
import { useAppDispatch, type store } from './store'
import { useTryAgain } from './useTryAgain'

/** What a later try may change: no answer at all, or a server that says so. */
export const isPassing = (error: unknown): boolean => {
  const status: unknown = typeof error === 'object' && error !== null ? Reflect.get(error, 'status') : undefined
  return status === 'FETCH_ERROR' || status === 'TIMEOUT_ERROR' || status === 429 || status === 503
}

/** Sends what is held of one conversion; the server keeps one that it has already once. Gives what went wrong, if anything did. */
export const sendHeld = (conversionId: string) => async (dispatch: typeof store.dispatch) => {
  const held = heldOf(conversionId)
  if (held.length === 0) return undefined
  const answer = await dispatch(api.endpoints.addMeasurements.initiate({ id: conversionId, measurements: [...held] }))
  if (!answer.data) return answer.error
  letGo(conversionId, new Set(held.map(({ id }) => id)))
  dispatch(measuredChanged({ id: conversionId, measured: answer.data.measured }))
  return undefined
}

/** Tries again, of whatever conversion, until the server has everything that this browser holds. */
export function useSendHeld(): void {
  const dispatch = useAppDispatch()
  useTryAgain(useCallback(() => conversionsHeld().forEach((id) => void dispatch(sendHeld(id))), [dispatch]))
}
