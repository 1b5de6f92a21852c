// @ts-check

/** Trouble that a person can do something about: printed as one line, without a stack. */
export class Trouble extends Error {
  /** @param {string} message @param {number} [exitCode] */
  constructor(message, exitCode = 1) {
    super(message)
    this.exitCode = exitCode
  }
}

/** @type {Record<string, string>} */
const plain = {
  ENOSPC: 'The disk is full. Free some space and try again; nothing that was kept is lost.',
  EDQUOT: 'The disk quota is used up. Free some space and try again; nothing that was kept is lost.',
  EACCES: 'A file may not be read or written',
  EROFS: 'The disk is read-only',
  ECONNREFUSED: 'The database does not answer. Where DATABASE_URL is set, is that server running?',
}

/** Ends the process with one clear line. @param {unknown} error @returns {never} */
export function end(error) {
  if (error instanceof Trouble) {
    console.error(`zesty: ${error.message}`)
    process.exit(error.exitCode)
  }
  const code = error instanceof Error && 'code' in error ? String(error.code) : ''
  const path = error instanceof Error && 'path' in error ? `: ${String(error.path)}` : ''
  const known = plain[code]
  console.error(
    `zesty: ${known ? `${known}${known.endsWith('.') ? '' : path}` : error instanceof Error ? error.message : String(error)}`,
  )
  if (!known && process.env.ZESTY_TRACE && error instanceof Error) console.error(error.stack)
  process.exit(1)
}
