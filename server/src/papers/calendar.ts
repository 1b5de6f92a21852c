import type { Task } from '@zesty/core/wiring'
import { taskKinds } from '@zesty/core/wiring'
import { createEvents, type DateArray, type EventAttributes } from 'ics'

/** The days of a machine's tasks as iCalendar (RFC 5545): those that have a day. */
export function calendarOf(machine: string, tasks: readonly Task[]): string {
  const events = tasks.flatMap(({ id, kind, what, on }): EventAttributes[] => {
    const [, year, month, day] = /^(\d{4})-(\d\d)-(\d\d)$/.exec(on ?? '') ?? []
    if (year === undefined || month === undefined || day === undefined) return []
    const start: DateArray = [Number(year), Number(month), Number(day)]
    return [
      {
        // The same task keeps its place in a calendar when the file is read again.
        uid: `${id}@${encodeURIComponent(machine)}.zesty-lathe`,
        title: `${machine}: ${taskKinds[kind].toLowerCase()} ${what.charAt(0).toLowerCase()}${what.slice(1)}`,
        start,
        duration: { days: 1 },
        productId: 'zesty-lathe',
        calName: machine,
        transp: 'TRANSPARENT',
      },
    ]
  })
  if (events.length === 0)
    return ['BEGIN:VCALENDAR', 'VERSION:2.0', 'PRODID:zesty-lathe', 'CALSCALE:GREGORIAN', 'END:VCALENDAR', ''].join(
      '\r\n',
    )
  const { error, value } = createEvents(events)
  if (error || typeof value !== 'string') throw error ?? new Error('no calendar was made')
  return value
}
