import { format } from 'date-fns'

/** `Fri 27 Nov, 14:05` of an ISO 8601 time, as the clock on the wall shows it; in words where there is none. */
export const momentOf = (iso: string): string =>
  iso === '' ? 'at a time not known' : format(new Date(iso), 'EEE d MMM, HH:mm')
