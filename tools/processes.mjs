// @ts-check
import { readFileSync, readdirSync, readlinkSync } from 'node:fs'

/** Name, state and start of a process, as the kernel tells it; undefined where there is none. @param {string | number} pid */
function processAt(pid) {
  try {
    const stat = readFileSync(`/proc/${pid}/stat`, 'utf8')
    const [, name = '', rest = ''] = /^\d+ \((.*)\) (.*)/s.exec(stat) ?? []
    const fields = rest.split(' ')
    // Fields 3 and 22 of proc(5); those before stand in front of the name's closing bracket.
    return { name, state: fields[0] ?? '', startedAt: fields[19] ?? '' }
  } catch {
    return undefined
  }
}

/** What tells a process from every other that had or will have its id. @param {string | number} pid */
export const startOf = (pid) => processAt(pid)?.startedAt

/** Whether a process is one of PostgreSQL's and alive: a killed one may linger as a zombie. @param {string} pid */
export function isLivePostgres(pid) {
  const found = processAt(pid)
  return found?.name === 'postgres' && found.state !== 'Z' && found.state !== 'X'
}

/** Live processes of PostgreSQL that work in a data folder. @param {string} data */
export const workingIn = (data) =>
  readdirSync('/proc').filter((pid) => {
    if (!/^\d+$/.test(pid) || !isLivePostgres(pid)) return false
    try {
      return readlinkSync(`/proc/${pid}/cwd`) === data
    } catch {
      return false
    }
  })
