import { causes, databaseCodes } from './databaseErrors'

/** Why the database cannot do now what it may do in a moment, by its codes (PostgreSQL, appendix A) and the socket's. */
const troubles: readonly { codes: RegExp; says: string }[] = [
  { codes: /^(53100|ENOSPC|EDQUOT)$/, says: 'The disk of the database is full; free some space there.' },
  { codes: /^(53200|53400)$/, says: 'The database has no memory free.' },
  { codes: /^53300$/, says: 'The database has no connection free.' },
  { codes: /^(57014|55P03|40P01|40001|25P03|25P04)$/, says: 'The database is too busy to answer in time.' },
  { codes: /^25006$/, says: 'The database takes no changes now.' },
  { codes: /^(57P0\d|08\w{3}|ECONN\w+|EPIPE|ETIMEDOUT|EHOSTUNREACH)$/, says: 'The database does not answer.' },
]

/** What the driver says without a code. */
const sayings = [
  { words: /timeout exceeded when trying to connect|too many clients/i, says: 'The database has no connection free.' },
  { words: /query read timeout|timeout expired/i, says: 'The database does not answer in time.' },
  { words: /terminated|not queryable|connection (was )?(ended|closed)/i, says: 'The database does not answer.' },
]

/** In a sentence, why it is the database's state and not the request that failed; undefined where it is not. */
export function databaseTrouble(error: unknown): string | undefined {
  const codes = databaseCodes(error)
  const known = troubles.find((trouble) => codes.some((code) => trouble.codes.test(code)))
  return known?.says ?? sayings.find(({ words }) => causes(error).some(({ message }) => words.test(message)))?.says
}
