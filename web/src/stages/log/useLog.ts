import { logKinds, type LogEntry } from '@zesty/core/record'
import { useMemo } from 'react'
import { v4 } from 'uuid'
import { api, problemText } from '../../state/api'
import { heldLog } from '../../state/heldLog'
import { notice } from '../../state/notice'
import { useConversionId } from '../../state/openPlan'
import { isPassing, sendHeldLog } from '../../state/sendHeld'
import { useAppDispatch } from '../../state/store'

const NONE: LogEntry[] = []

/**
 * The machine's log, and ways to add and take away. Without a server what is added is held in this browser and sent when
 * it is back; an id makes each line one, however often it is sent.
 */
export function useLog() {
  const id = useConversionId()
  const dispatch = useAppDispatch()
  const { data = NONE, error } = api.useLogQuery(id)
  const held = heldLog.useHeld(id)
  const [takeAway] = api.useRemoveFromLogMutation()
  const entries = useMemo(() => {
    const kept = new Set(data.map((entry) => entry.id))
    return [...data, ...held.filter((entry) => !kept.has(entry.id))].sort((a, b) => b.at.localeCompare(a.at))
  }, [data, held])

  const add = async (entry: Omit<LogEntry, 'id'>): Promise<boolean> => {
    const named: LogEntry = { ...entry, id: v4() }
    const isHeld = heldLog.hold(id, [named])
    const trouble = await dispatch(sendHeldLog(id))
    if (!trouble) return true
    if (isPassing(trouble) && isHeld) {
      notice('Held in this browser: the server does not answer. It is sent when it is back.')
      return true
    }
    heldLog.letGo(id, new Set([named.id]))
    notice(`Not kept: ${problemText(trouble)}`)
    return false
  }
  const remove = async (entry: LogEntry): Promise<void> => {
    const { id: entryId, ...rest } = entry
    const putBack = { label: 'Put it back', onClick: () => void add(rest) }
    const what = `${logKinds[entry.kind]}: taken out of the log`
    if (held.some((one) => one.id === entryId)) {
      heldLog.letGo(id, new Set([entryId]))
      notice(what, putBack)
      return
    }
    const answer = await takeAway({ id, entryId })
    if ('error' in answer) notice(`Not taken away: ${problemText(answer.error)}`)
    else notice(what, putBack)
  }
  return {
    entries,
    held: useMemo(() => new Set(held.map((entry) => entry.id)), [held]),
    problem: error && held.length === 0 ? problemText(error) : undefined,
    add,
    remove,
  }
}
