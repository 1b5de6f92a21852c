// @ts-check
import { readFileSync, readdirSync, rmSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { handOver, ownFolder } from './serviceUser.mjs'
import { startOf } from './processes.mjs'

/**
 * Notes that this process uses the database. What it returns signs out again, and says whether
 * nobody else is left who does.
 * @param {string} home
 */
export function signIn(home) {
  const folder = join(home, 'users')
  ownFolder(folder)
  const own = join(folder, String(process.pid))
  writeFileSync(own, startOf(process.pid) ?? '', { mode: 0o600 })
  handOver(own)
  return () => {
    rmSync(own, { force: true })
    return readdirSync(folder).every((pid) => {
      // Ids are used again: it is the same process only where it began at the same moment.
      const gone = startOf(pid) !== readFileSync(join(folder, pid), 'utf8')
      if (gone) rmSync(join(folder, pid), { force: true })
      return gone
    })
  }
}
