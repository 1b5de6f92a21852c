// @ts-check
import { spawnSync } from 'node:child_process'
import { existsSync } from 'node:fs'
import { join, resolve } from 'node:path'
import { startCluster } from './cluster.mjs'
import { ensurePostgres } from './setUp.mjs'
import { Trouble } from './trouble.mjs'

/** Runs `use` on the database, started for it where it does not run. @param {(url: string, programs: string) => void} use */
async function withDatabase(use) {
  const programs = ensurePostgres()
  const given = process.env.DATABASE_URL
  if (given) return use(given, programs)
  const cluster = await startCluster()
  try {
    use(cluster.url, programs)
  } finally {
    cluster.stop()
  }
}

/** @param {string} program @param {string[]} args @param {string} what */
function must(program, args, what) {
  const result = spawnSync(program, args, { encoding: 'utf8' })
  if (result.status !== 0)
    throw new Trouble(`${what} failed: ${result.stderr?.trim().split('\n')[0] ?? result.error?.message ?? ''}`)
}

/** @param {string[]} args */
export async function backup([file]) {
  const target = resolve(file ?? `zesty-lathe-${new Date().toISOString().slice(0, 10)}.sql`)
  await withDatabase((url, programs) =>
    must(
      join(programs, 'pg_dump'),
      ['--no-owner', '--no-privileges', '--clean', '--if-exists', '-f', target, url],
      'Backup',
    ),
  )
  console.log(`Kept in ${target}`)
}

/** @param {string[]} args */
export async function restore([file]) {
  if (!file) throw new Trouble('restore needs the file of a backup.', 2)
  if (!existsSync(file)) throw new Trouble(`There is no file ${file}.`, 2)
  await withDatabase((url, programs) =>
    must(
      join(programs, 'psql'),
      ['-Xq', '-v', 'ON_ERROR_STOP=1', '--single-transaction', '-f', resolve(file), url],
      'Restore',
    ),
  )
  console.log(`Restored from ${resolve(file)}`)
}
