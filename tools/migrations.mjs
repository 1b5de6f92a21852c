// @ts-check
import { cpSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { pathToFileURL } from 'node:url'
import { root } from './paths.mjs'
import { ensureApplication } from './setUp.mjs'

export const migrationsFolder = join(root, 'server', 'migrations')
const journalOf = (/** @type {string} */ folder) => join(folder, 'meta', '_journal.json')

/** @typedef {{tag: string, when: number}} Migration */

/** Every migration of this release, in order. @returns {Migration[]} */
export const allMigrations = () => JSON.parse(readFileSync(journalOf(migrationsFolder), 'utf8')).entries

/** The newest migration that a database has; undefined where it has none. @param {import('pg').Client} client @returns {Promise<Migration | undefined>} */
export async function appliedMigration(client) {
  const { rows: there } = await client.query("select to_regclass('drizzle.__drizzle_migrations') is not null as there")
  if (!there[0].there) return undefined
  const { rows } = await client.query('select max(created_at)::float8 as "when" from drizzle.__drizzle_migrations')
  const { when } = rows[0]
  if (when === null) return undefined
  return allMigrations().find((m) => m.when === when) ?? { tag: `of ${new Date(when).toISOString()}`, when }
}

/** Brings a database to a migration, the newest unless said. @param {string} url @param {string} [tag] */
export async function migrated(url, tag) {
  const { server } = ensureApplication()
  const { openDatabase } = await import(pathToFileURL(server).href)
  if (tag === undefined) return (await openDatabase(url, migrationsFolder)).close()
  const folder = mkdtempSync(join(tmpdir(), 'zesty-migrations-'))
  try {
    cpSync(migrationsFolder, folder, { recursive: true })
    const journal = JSON.parse(readFileSync(journalOf(folder), 'utf8'))
    const last = journal.entries.findIndex((/** @type {Migration} */ m) => m.tag === tag)
    writeFileSync(journalOf(folder), JSON.stringify({ ...journal, entries: journal.entries.slice(0, last + 1) }))
    await (await openDatabase(url, folder)).close()
  } finally {
    rmSync(folder, { recursive: true })
  }
}
