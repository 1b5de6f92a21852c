import type { Measurement, Reading } from '@zesty/core/measurements'
import { api, problemText } from '../state/api'
import { notice } from '../state/notice'
import { useConversionId } from '../state/openPlan'
import { measuredChanged } from '../state/planSlice'
import { useAppDispatch } from '../state/store'

const NONE: Measurement[] = []

/** What was read off the open machine, and ways to keep more and take some away. The verdicts follow at once. */
export function useReadings() {
  const id = useConversionId()
  const dispatch = useAppDispatch()
  const { data = NONE, error } = api.useMeasurementsQuery(id)
  const [keep, { isLoading }] = api.useAddMeasurementsMutation()
  const [takeAway] = api.useRemoveMeasurementMutation()

  /** Whether they were kept; where not, why is said. */
  const add = async (measurements: readonly Reading[]): Promise<boolean> => {
    const answer = await keep({ id, measurements: [...measurements] })
    if (!answer.data) {
      notice(`Not kept: ${problemText(answer.error)}`)
      return false
    }
    dispatch(measuredChanged({ id, measured: answer.data.measured }))
    return true
  }
  const remove = async ({ id: measurementId, ...reading }: Measurement): Promise<void> => {
    const answer = await takeAway({ id, measurementId })
    if (!answer.data) {
      notice(`Not taken away: ${problemText(answer.error)}`)
      return
    }
    dispatch(measuredChanged({ id, measured: answer.data }))
    notice('A reading was taken away', { label: 'Put it back', onClick: () => void add([reading]) })
  }
  return { readings: data, problem: error && problemText(error), isKeeping: isLoading, add, remove }
}
