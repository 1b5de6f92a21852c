import { DrizzleQueryError } from 'drizzle-orm'
import { causes } from '../db/databaseErrors'

/**
 * An unforeseen error for the log: what it was and where, and never what people typed. A query that failed carries its
 * values, a whole plan among them, in its message, and that message stands again at the head of its stack.
 */
export function faultInWords(error: unknown): string {
  const chain = causes(error)
  if (chain.length === 0) return `a ${typeof error} was thrown`
  return chain
    .map((e) => {
      const says = e instanceof DrizzleQueryError ? `A query failed: ${e.query}` : `${e.name}: ${e.message}`
      const code = 'code' in e && typeof e.code === 'string' ? ` (${e.code})` : ''
      return `${says}${code}\n${placesOf(e)}`
    })
    .join('\ncaused by ')
}

/** The lines of a stack that say where, without the message before them. */
const placesOf = ({ stack = '' }: Error): string =>
  stack
    .split('\n')
    .filter((line) => /^\s+at \S/.test(line))
    .join('\n')
