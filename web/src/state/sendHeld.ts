import { useCallback } from 'react'
import { api } from './api'
import { heldLog } from './heldLog'
import { heldReadings } from './heldReadings'
import { measuredChanged } from './planSlice'
import { useAppDispatch, type store } from './store'
import { useTryAgain } from './useTryAgain'

/** What a later try may change: no answer at all, or a server that says so. */
export const isPassing = (error: unknown): boolean => {
  const status: unknown = typeof error === 'object' && error !== null ? Reflect.get(error, 'status') : undefined
  return status === 'FETCH_ERROR' || status === 'TIMEOUT_ERROR' || status === 429 || status === 503
}

const idsOf = (rows: readonly { id: string }[]): ReadonlySet<string> => new Set(rows.map(({ id }) => id))

/** Sends what is held of one conversion; the server keeps one that it has already once. Gives what went wrong, if anything did. */
export const sendHeld = (conversionId: string) => async (dispatch: typeof store.dispatch) => {
  const held = heldReadings.of(conversionId)
  if (held.length === 0) return undefined
  const answer = await dispatch(api.endpoints.addMeasurements.initiate({ id: conversionId, measurements: [...held] }))
  if (!answer.data) return answer.error
  heldReadings.letGo(conversionId, idsOf(held))
  dispatch(measuredChanged({ id: conversionId, measured: answer.data.measured }))
  return undefined
}

/** The same of the lines of its log. */
export const sendHeldLog = (conversionId: string) => async (dispatch: typeof store.dispatch) => {
  const held = heldLog.of(conversionId)
  if (held.length === 0) return undefined
  const answer = await dispatch(api.endpoints.addToLog.initiate({ id: conversionId, entries: [...held] }))
  if (!answer.data) return answer.error
  heldLog.letGo(conversionId, idsOf(held))
  return undefined
}

/** Tries again, of whatever conversion, until the server has everything that this browser holds. */
export function useSendHeld(): void {
  const dispatch = useAppDispatch()
  useTryAgain(
    useCallback(() => {
      heldReadings.conversions().forEach((id) => void dispatch(sendHeld(id)))
      heldLog.conversions().forEach((id) => void dispatch(sendHeldLog(id)))
    }, [dispatch]),
  )
}
