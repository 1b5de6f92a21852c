// @ts-check
import { existsSync, statSync } from 'node:fs'
import { resolve } from 'node:path'
import { setInterval } from 'node:timers'
import { setTimeout as sleep } from 'node:timers/promises'
import { checkBackup, rowsOf, writeBackup } from './backupFile.mjs'
import { clearOutlived, listBackups, nameNow } from './backupFolder.mjs'
import { startCluster } from './cluster.mjs'
import { allMigrations, appliedMigration, migrated } from './migrations.mjs'
import { ensureApplication } from './setUp.mjs'
import { Trouble } from './trouble.mjs'

/** Every table with rows of people, each after those that it refers to. A test holds it against the database. */
export const TABLES = [
  'shops',
  'conversions',
  'revisions',
  'entries',
  'measurements',
  'photos',
  'log_entries',
  'library_items',
  'people',
  'marks',
]

/** Who was let in, and who may be: after a restore devices are paired anew, also those that were withdrawn since. */
export const NOT_KEPT = ['attempts', 'devices', 'invitations', 'verdicts']

/** Rows that are fetched at once: a plan is some kilobytes, a photo up to two megabytes as text. */
const AT_ONCE = 200
const PHOTOS_AT_ONCE = 8
/** @param {string} table */
const atOnce = (table) => (table === 'photos' ? PHOTOS_AT_ONCE : AT_ONCE)

const USAGE = {
  backup: `./zesty backup [FILE]     keeps the whole database in FILE, for its owner alone
./zesty backup --list     the backups that were made by themselves`,
  restore:
    './zesty restore FILE      puts a backup in place of the database, which is kept until the next start has served',
}

/** @param {string[]} args @param {keyof typeof USAGE} verb */
function helped(args, verb) {
  const asked = args.some((a) => a === '--help' || a === '-h')
  if (asked) console.log(USAGE[verb])
  const strange = args.find((a) => a.startsWith('-') && a !== '--list')
  if (!asked && strange) throw new Trouble(`${verb} does not know ${strange}.\n${USAGE[verb]}`, 2)
  return asked
}

/** @typedef {{admin: string, owner: string}} Urls The database, as who may make others and as who owns its tables. */

/** Runs `use` on the database, started for it where it does not run. @template T @param {(urls: Urls) => Promise<T>} use */
async function withDatabase(use) {
  const given = process.env.DATABASE_URL
  if (given) return use({ admin: given, owner: given })
  const cluster = await startCluster()
  try {
    return await use(cluster.urls)
  } finally {
    await cluster.stop()
  }
}

/** @template T @param {string} url @param {(client: import('pg').Client) => Promise<T>} use @returns {Promise<T>} */
export async function connected(url, use) {
  const { default: pg } = await import('pg')
  const client = new pg.Client({ connectionString: url, connectionTimeoutMillis: 10_000 })
  // What breaks the connection also fails the query that waits; without a listener it would end the process.
  client.on('error', () => undefined)
  try {
    await client.connect()
  } catch (error) {
    throw new Trouble(`The database does not answer: ${error instanceof Error ? error.message : error}`)
  }
  try {
    return await use(client)
  } finally {
    await client.end()
  }
}

/** @param {string} url @param {string} name */
const beside = (url, name) => {
  const other = new URL(url)
  other.pathname = `/${name}`
  return other.toString()
}
/** @param {string} url */
const nameOf = (url) => decodeURIComponent(new URL(url).pathname.slice(1))

/** Every row, as it stood at one moment, as JSON text of PostgreSQL's own making. @param {import('pg').Client} client */
async function* everyRow(client) {
  for (const table of TABLES) {
    // One that is kept before it is migrated lacks what is new.
    const { rows: there } = await client.query('select to_regclass($1) is not null as there', [`public.${table}`])
    if (!there[0].there) continue
    await client.query(`declare every_row no scroll cursor for select row_to_json(t)::text as row from "${table}" t`)
    for (;;) {
      const { rows } = await client.query(`fetch ${atOnce(table)} from every_row`)
      for (const { row } of rows) yield { table, row: /** @type {string} */ (row) }
      if (rows.length < atOnce(table)) break
    }
    await client.query('close every_row')
  }
}

/** Keeps a database in a file, which is read back before it gets its name. @param {string} url @param {string} target */
export const keepIn = (url, target) =>
  connected(url, async (client) => {
    const migration = await appliedMigration(client)
    if (migration === undefined) throw new Trouble('There is nothing to keep yet: the database is empty.')
    await client.query('begin transaction isolation level repeatable read, read only')
    const counts = await writeBackup(target, { migration: migration.tag }, everyRow(client))
    await client.query('commit')
    return counts
  })

/** @param {Record<string, number>} counts */
const told = (counts) =>
  `${counts.shops ?? 0} shops, ${counts.conversions ?? 0} machines, ${counts.revisions ?? 0} revisions`

/** @param {string[]} args */
export async function backup(args) {
  if (helped(args, 'backup')) return
  if (args.includes('--list')) {
    const kept = listBackups()
    if (kept.length === 0) console.log('None was made by itself yet.')
    for (const { file, made, why, bytes } of kept)
      console.log(`${made.toISOString()}  ${why.padEnd(17)} ${String(Math.ceil(bytes / 1000)).padStart(6)} kB  ${file}`)
    return
  }
  ensureApplication()
  const target = resolve(args[0] ?? `zesty-lathe-${new Date().toISOString().slice(0, 10)}.jsonl`)
  const counts = await withDatabase(({ owner }) => keepIn(owner, target))
  console.log(`Kept in ${target}: ${told(counts)}`)
}

/**
 * Puts what a backup holds into a database of its own, made as it was when the backup was, then brought up to date.
 * @param {string} url of the new database @param {string} file @param {string} migration
 */
async function fill(url, file, migration) {
  await migrated(url, migration)
  await connected(url, async (client) => {
    await client.query('begin')
    /** @type {Record<string, string[]>} */
    const waiting = {}
    const put = async (/** @type {string} */ table) => {
      const rows = waiting[table] ?? []
      if (rows.length === 0) return
      waiting[table] = []
      await client.query(
        `insert into "${table}" select r.* from unnest($1::text[]) as t(line), json_populate_record(null::"${table}", t.line::json) as r`,
        [rows],
      )
    }
    for await (const { table, row } of rowsOf(file)) {
      if (!TABLES.includes(table)) throw new Trouble(`${file} has rows of ${table}, which this release does not know.`)
      ;(waiting[table] ??= []).push(row)
      if ((waiting[table]?.length ?? 0) >= atOnce(table)) for (const before of TABLES) await put(before)
    }
    for (const table of TABLES) await put(table)
    await client.query('commit')
  })
  await migrated(url)
}

/** @param {string} url @returns {Promise<Record<string, number>>} */
const counted = (url) =>
  connected(url, async (client) => {
    /** @type {Record<string, number>} */
    const counts = {}
    for (const table of TABLES) {
      const { rows } = await client.query(`select count(*)::int as n from "${table}"`)
      if (rows[0].n > 0) counts[table] = rows[0].n
    }
    return counts
  })

const REPLACED = '_replaced_'
const SWAP_TRIES = 15

/**
 * Puts one database in the place of another, which stays beside it under a name of its own. Nobody may be in either.
 * @param {string} url of the one to be replaced @param {string} by
 */
async function swap(url, by) {
  const name = nameOf(url)
  const old = `${name}${REPLACED}${Date.now()}`
  await connected(beside(url, 'postgres'), async (client) => {
    // A session that has just ended is seen for a moment still.
    const busy = async () =>
      (await client.query('select count(*)::int as n from pg_stat_activity where datname = any($1)', [[name, by]]))
        .rows[0].n > 0
    for (let tries = 0; tries < SWAP_TRIES && (await busy()); tries += 1) await sleep(100)
    if (await busy())
      throw new Trouble(
        'The database is in use: stop ./zesty start with Ctrl-C, then restore again. Nothing was changed.',
      )
    await client.query(`alter database "${name}" rename to "${old}"`)
    try {
      await client.query(`alter database "${by}" rename to "${name}"`)
    } catch (error) {
      await client.query(`alter database "${old}" rename to "${name}"`)
      throw error
    }
  })
}

/** Takes away what restores have replaced, once a start has served. @param {string} url */
export const dropReplaced = (url) =>
  connected(beside(url, 'postgres'), async (client) => {
    const { rows } = await client.query('select datname from pg_database where starts_with(datname, $1)', [
      `${nameOf(url)}${REPLACED}`,
    ])
    for (const { datname } of rows) await client.query(`drop database if exists "${datname}"`)
  })

/** @param {string[]} args */
export async function restore(args) {
  if (helped(args, 'restore')) return
  const [file] = args
  if (!file) throw new Trouble(`restore needs the file of a backup.\n${USAGE.restore}`, 2)
  if (!existsSync(file) || !statSync(file).isFile()) throw new Trouble(`There is no file ${file}.`, 2)
  const { head, counts } = await checkBackup(file)
  if (!allMigrations().some(({ tag }) => tag === head.migration))
    throw new Trouble(`${file} was made by a newer release (${head.migration}). Nothing was changed.`)
  ensureApplication()
  await withDatabase((urls) => restoreInto(urls, file, head.migration, counts))
  console.log(`Restored from ${resolve(file)}: ${told(counts)}`)
}

/** @param {Urls} urls @param {string} file @param {string} migration @param {Record<string, number>} counts @param {string} [folder] for what is kept before */
export async function restoreInto({ admin: adminUrl, owner: url }, file, migration, counts, folder) {
  const fresh = `${nameOf(url)}_restored_${Date.now()}`
  if ((await connected(url, appliedMigration)) !== undefined)
    await keepIn(url, nameNow('before-restore', new Date(), folder))
  const admin = beside(adminUrl, 'postgres')
  const owner = decodeURIComponent(new URL(url).username)
  await connected(admin, (client) =>
    client.query(`create database "${fresh}" owner ${owner === '' ? 'current_user' : client.escapeIdentifier(owner)}`),
  )
  try {
    await fill(beside(url, fresh), file, migration)
    const there = await counted(beside(url, fresh))
    for (const table of TABLES)
      if ((there[table] ?? 0) !== (counts[table] ?? 0))
        throw new Trouble(
          `Of ${counts[table] ?? 0} rows of ${table} ${there[table] ?? 0} came back. Nothing was changed.`,
        )
    await swap(adminUrl, fresh)
  } catch (error) {
    await connected(admin, (client) => client.query(`drop database if exists "${fresh}"`))
    throw error
  }
}

const HOUR_MS = 3_600_000
const DAILY_MS = 23 * HOUR_MS

/** Keeps the database once a day while it is served. @param {string} url @param {(error: unknown) => void} tell */
export function keepDaily(url, tell) {
  const look = async () => {
    const [newest] = listBackups().filter(({ why }) => why === 'daily')
    if (newest && Date.now() - newest.made.getTime() < DAILY_MS) return
    await keepIn(url, nameNow('daily'))
    clearOutlived()
  }
  const run = () => void look().catch(tell)
  setInterval(run, HOUR_MS).unref()
  run()
}

/** Keeps a database that this release is about to change, before it does. @param {string} url */
export async function keepBeforeMigration(url) {
  const applied = await connected(url, appliedMigration)
  const newest = allMigrations().at(-1)
  if (applied !== undefined && applied.tag !== newest?.tag) await keepIn(url, nameNow('before-migration'))
}
