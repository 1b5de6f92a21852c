// @ts-check
import { readFileSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import { pathToFileURL } from 'node:url'
import { root } from './paths.mjs'
import { ensureApplication } from './setUp.mjs'

const migrationsFolder = join(root, 'server', 'migrations')

/** @typedef {{tag: string, when: number}} Migration */

/** @type {Migration[] | undefined} */
let journal

/** Every migration of this release, in order; read once, for a server that has dropped root may not be able to later. @returns {Migration[]} */
export const allMigrations = () =>
  (journal ??= JSON.parse(readFileSync(join(migrationsFolder, 'meta', '_journal.json'), 'utf8')).entries)

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
  const { migrationsUpTo, openDatabase } = await import(pathToFileURL(server).href)
  const folder = tag === undefined ? migrationsFolder : migrationsUpTo(migrationsFolder, tag)
  try {
    await (await openDatabase(url, folder)).close()
  } finally {
    if (folder !== migrationsFolder) rmSync(folder, { recursive: true })
  }
}
