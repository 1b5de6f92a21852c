import { fitMeasurements, type Measurement, type Reading } from '@zesty/core/measurements'
import { useEffect, useMemo } from 'react'
import { v4 } from 'uuid'
import { api, problemText } from '../state/api'
import { heldReadings } from '../state/heldReadings'
import { notice } from '../state/notice'
import { useConversionId } from '../state/openPlan'
import { measuredChanged } from '../state/planSlice'
import { isPassing, sendHeld } from '../state/sendHeld'
import { useAppDispatch } from '../state/store'

const NONE: Measurement[] = []

/**
 * What was read off the open machine, and ways to keep more and take some away. The verdicts follow at once; without a
 * server what is added is held in this browser, judged all the same, and sent when it is back.
 */
export function useReadings() {
  const id = useConversionId()
  const dispatch = useAppDispatch()
  const { data = NONE, error } = api.useMeasurementsQuery(id)
  const held = heldReadings.useHeld(id)
  const [takeAway, { isLoading }] = api.useRemoveMeasurementMutation()
  const readings = useMemo(() => {
    const kept = new Set(data.map((reading) => reading.id))
    return [...data, ...held.filter((reading) => !kept.has(reading.id))]
  }, [data, held])
  useEffect(() => {
    if (held.length > 0) dispatch(measuredChanged({ id, measured: fitMeasurements(readings) }))
  }, [held, readings, id, dispatch])

  /** Whether they are kept or held; where neither, why is said. */
  const add = async (added: readonly Reading[]): Promise<boolean> => {
    const named = added.map((reading): Measurement => ({ ...reading, id: v4() }))
    const isHeld = heldReadings.hold(id, named)
    const trouble = await dispatch(sendHeld(id))
    if (!trouble) return true
    if (isPassing(trouble) && isHeld) {
      notice('Held in this browser: the server does not answer. It is sent when it is back.')
      return true
    }
    heldReadings.letGo(id, new Set(named.map((reading) => reading.id)))
    notice(`Not kept: ${problemText(trouble)}`)
    return false
  }
  const remove = async ({ id: measurementId, ...reading }: Measurement): Promise<void> => {
    const putBack = { label: 'Put it back', onClick: () => void add([reading]) }
    if (held.some((one) => one.id === measurementId)) {
      heldReadings.letGo(id, new Set([measurementId]))
      notice('A reading was taken away', putBack)
      return
    }
    const answer = await takeAway({ id, measurementId })
    if (!answer.data) {
      notice(`Not taken away: ${problemText(answer.error)}`)
      return
    }
    dispatch(measuredChanged({ id, measured: answer.data }))
    notice('A reading was taken away', putBack)
  }
  return {
    readings,
    /** Those of them that the server has not got yet, by their ids. */
    held: useMemo(() => new Set(held.map((reading) => reading.id)), [held]),
    problem: error && held.length === 0 ? problemText(error) : undefined,
    isKeeping: isLoading,
    add,
    remove,
  }
}
