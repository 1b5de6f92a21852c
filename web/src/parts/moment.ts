const moment = new Intl.DateTimeFormat('en-GB', {
  weekday: 'short',
  hour: '2-digit',
  minute: '2-digit',
  day: 'numeric',
  month: 'short',
})

/** `Fri 27 Nov, 14:05` of an ISO 8601 time, as the clock on the wall shows it; in words where there is none. */
export const momentOf = (iso: string): string => (iso === '' ? 'at a time not known' : moment.format(new Date(iso)))
