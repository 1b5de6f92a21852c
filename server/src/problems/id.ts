import { z } from 'zod'
import { notFound } from './problem'

const uuid = z.uuid()

/** An id from an address; one that cannot exist is answered like one that does not. */
export function idOf(text: string, what: string): string {
  if (!uuid.safeParse(text).success) throw notFound(what)
  return text
}
