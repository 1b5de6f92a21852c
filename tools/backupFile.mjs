// @ts-check
import { createHash } from 'node:crypto'
import { chmodSync, closeSync, createReadStream, fsyncSync, openSync, renameSync, rmSync, writeSync } from 'node:fs'
import { createInterface } from 'node:readline'
import { Trouble } from './trouble.mjs'

/**
 * A backup is a text file of one JSON document a line: what it is, then a line for each row, then how many there were
 * and the fingerprint of all that went before. No line of it is ever run: rows are put in as values, so that nothing in
 * a file can do anything. One that was cut off has no last line, one that was changed another fingerprint.
 */
export const FORMAT = 'zesty-lathe/backup'
const VERSION = 1

/** @typedef {{format: string, version: number, made: string, migration: string}} Head */
/** @typedef {Record<string, number>} Counts rows by table */

/** @param {string} table */
const opening = (table) => `{"table":${JSON.stringify(table)},"row":`

/**
 * Writes a backup beside its name, for its owner alone, reads it back, and only then gives it the name.
 * @param {string} target @param {{migration: string}} of
 * @param {AsyncIterable<{table: string, row: string}>} rows each row as JSON text
 * @returns {Promise<Counts>}
 */
export async function writeBackup(target, { migration }, rows) {
  const part = `${target}.part`
  const file = openSync(part, 'w', 0o600)
  try {
    chmodSync(part, 0o600)
    const hash = createHash('sha256')
    /** @type {Counts} */
    const counts = {}
    const write = (/** @type {string} */ line) => {
      hash.update(`${line}\n`)
      writeSync(file, `${line}\n`)
    }
    write(JSON.stringify({ format: FORMAT, version: VERSION, made: new Date().toISOString(), migration }))
    for await (const { table, row } of rows) {
      write(`${opening(table)}${row}}`)
      counts[table] = (counts[table] ?? 0) + 1
    }
    writeSync(file, `${JSON.stringify({ end: FORMAT, counts, sha256: hash.digest('hex') })}\n`)
    fsyncSync(file)
    closeSync(file)
    await checkBackup(part)
    renameSync(part, target)
    return counts
  } catch (error) {
    rmSync(part, { force: true })
    throw error
  }
}

/** @param {string} file @returns {AsyncIterable<string>} */
const linesOf = (file) => createInterface({ input: createReadStream(file, 'utf8'), crlfDelay: Infinity })

/** @param {string} line @returns {any} */
function parsed(line) {
  try {
    return JSON.parse(line)
  } catch {
    return undefined
  }
}

/** Reads a backup whole and refuses it for whatever is wrong with it. @param {string} file @returns {Promise<{head: Head, counts: Counts}>} */
export async function checkBackup(file) {
  const refused = (/** @type {string} */ why) => new Trouble(`${file} ${why} Nothing was changed.`)
  const hash = createHash('sha256')
  /** @type {Head | undefined} */
  let head
  /** @type {{counts: Counts, sha256: string} | undefined} */
  let end
  /** @type {Counts} */
  const counts = {}
  let number = 0
  for await (const line of linesOf(file)) {
    number += 1
    if (end) throw refused('goes on after its last line.')
    const read = parsed(line)
    if (number === 1) {
      if (read?.format !== FORMAT) throw refused('is not a backup of Zesty Lathe.')
      if (read.version !== VERSION) throw refused(`is of form ${read.version}; this release reads form ${VERSION}.`)
      head = read
    } else if (read?.end === FORMAT) {
      end = read
      continue
    } else if (typeof read?.table !== 'string' || typeof read.row !== 'object' || read.row === null)
      throw refused(`is broken at line ${number}.`)
    else counts[read.table] = (counts[read.table] ?? 0) + 1
    hash.update(`${line}\n`)
  }
  if (!head) throw refused('is empty.')
  if (!end) throw refused('was cut off: its last line is missing.')
  if (end.sha256 !== hash.digest('hex')) throw refused('was changed after it was made.')
  for (const table of new Set([...Object.keys(counts), ...Object.keys(end.counts)]))
    if (counts[table] !== end.counts[table])
      throw refused(`has ${counts[table] ?? 0} rows of ${table}; its last line says ${end.counts[table] ?? 0}.`)
  return { head, counts }
}

/** The rows of a backup that was checked, each as the JSON text that was written. @param {string} file */
export async function* rowsOf(file) {
  for await (const line of linesOf(file)) {
    const { table } = parsed(line)
    if (typeof table === 'string') yield { table, row: line.slice(opening(table).length, -1) }
  }
}
