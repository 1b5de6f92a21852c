import { z } from 'zod'

const FIRST = Date.UTC(1900, 0, 1)
const LAST = Date.UTC(9999, 11, 31, 23, 59, 59, 999)

/** Whether a moment is of the years that every database, calendar and file can hold: 1900 to 9999, in universal time. */
export const isKeptMoment = (text: string): boolean => {
  const at = Date.parse(text)
  return at >= FIRST && at <= LAST
}

/** A moment as files and requests tell it, in universal time. */
export const moment = () => z.iso.datetime().refine(isKeptMoment, 'must be of the years 1900 to 9999')
