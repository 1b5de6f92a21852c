// @ts-check
import assert from 'node:assert/strict'
import { spawn } from 'node:child_process'
import { existsSync, mkdirSync, mkdtempSync, readFileSync, readdirSync, rmSync, statSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { after, describe, test } from 'node:test'
import { setTimeout as sleep } from 'node:timers/promises'
import { connected } from '../backup.mjs'
import { startCluster } from '../cluster.mjs'
import { migrated } from '../migrations.mjs'
import { oneAtATime } from '../oneAtATime.mjs'
import { isLivePostgres, startOf, workingIn } from '../processes.mjs'
import { handOver } from '../serviceUser.mjs'
import { root } from '../paths.mjs'
import { Trouble } from '../trouble.mjs'

const scratch = mkdtempSync(join(tmpdir(), 'cluster-'))
// The service user must be able to enter it.
mkdirSync(join(scratch, 'homes'))
handOver(scratch)
handOver(join(scratch, 'homes'))
after(() => rmSync(scratch, { recursive: true }))

let homes = 0
const newHome = () => join(scratch, 'homes', String((homes += 1)))
/** @param {string} home */
const postmaster = (home) => readFileSync(join(home, 'data', 'postmaster.pid'), 'utf8').split('\n')[0] ?? ''
/** @param {string} url @param {string} sql */
const ask = (url, sql) => connected(url, async (client) => (await client.query(sql)).rows)

describe('the folder of the data', () => {
  test('that holds files but no database is left as it is', async () => {
    const home = newHome()
    mkdirSync(join(home, 'data'), { recursive: true })
    writeFileSync(join(home, 'data', 'precious'), 'mine')
    handOver(home)
    await assert.rejects(
      startCluster({ home }),
      (error) => error instanceof Trouble && /Nothing was deleted/.test(error.message),
    )
    assert.equal(readFileSync(join(home, 'data', 'precious'), 'utf8'), 'mine')
  })
  test('that is empty, beside what a start that was cut off left, becomes a database', async () => {
    const home = newHome()
    mkdirSync(join(home, 'data'), { recursive: true })
    mkdirSync(join(home, 'data.making-0bad'))
    writeFileSync(join(home, 'secret.making'), '')
    for (const path of ['', 'data', 'data.making-0bad', 'secret.making']) handOver(join(home, path))
    const cluster = await startCluster({ home, throwAway: true })
    assert.deepEqual(
      readdirSync(home).filter((name) => /making/.test(name)),
      [],
    )
    assert.deepEqual(await ask(cluster.urls.admin, 'show data_checksums'), [{ data_checksums: 'on' }])
    await cluster.stop()
  })
})

describe('a cluster', () => {
  const home = newHome()
  test('is its owner’s alone', async () => {
    const cluster = await startCluster({ home, throwAway: true })
    for (const name of readdirSync(home)) {
      const mode = statSync(join(home, name)).mode & 0o077
      if (!name.endsWith('.log')) assert.equal(mode, 0, name)
    }
    assert.equal(statSync(home).mode & 0o777, 0o700)
    await cluster.stop()
  })
  test('is served by a role that reads and writes rows and can do nothing else', async () => {
    const cluster = await startCluster({ home, throwAway: true })
    const { admin, owner, serving } = cluster.urls
    await migrated(owner)
    const { openDatabase } = await import(join(root, '.local', 'build', 'server', 'main.mjs'))
    await (await openDatabase(serving, join(root, 'server', 'migrations'), owner)).close()
    const roles = await ask(
      admin,
      "select rolname, rolsuper, rolcreatedb, rolcreaterole from pg_roles where rolname like 'zesty\\_%' order by 1",
    )
    assert.deepEqual(
      roles.map((role) => Object.values(role)),
      [
        ['zesty_owner', false, false, false],
        ['zesty_serving', false, false, false],
      ],
    )
    const owners = await ask(
      admin,
      "select distinct tableowner from pg_tables where schemaname in ('public', 'drizzle')",
    )
    assert.deepEqual(owners, [{ tableowner: 'zesty_owner' }])
    await ask(serving, "insert into shops (name) values ('Served')")
    assert.equal((await ask(serving, 'select * from shops')).length, 1)
    for (const sql of [
      'create table more (id int)',
      'drop table shops',
      'truncate shops',
      'alter table shops add column x int',
      "copy shops to program 'id'",
      "select pg_read_file('/etc/passwd')",
      'create role other superuser',
    ])
      await assert.rejects(ask(serving, sql), /permission denied|must be (owner|superuser)/, sql)
    await cluster.stop()
  })
  test('of an earlier release, whose superuser owned the tables, is handed over', async () => {
    const cluster = await startCluster({ home, throwAway: true })
    await ask(cluster.urls.admin, 'alter database zesty owner to zesty')
    await ask(cluster.urls.admin, 'alter table shops owner to zesty')
    await cluster.stop()
    const again = await startCluster({ home, throwAway: true })
    await migrated(again.urls.owner)
    const owners = await ask(again.urls.admin, "select distinct tableowner from pg_tables where schemaname = 'public'")
    assert.deepEqual(owners, [{ tableowner: 'zesty_owner' }])
    assert.equal((await ask(again.urls.owner, 'select * from shops')).length, 1)
    await again.stop()
  })
  test('ends with the last who uses it, whoever else’s id a stale entry names', async () => {
    const cluster = await startCluster({ home, throwAway: true })
    const pid = postmaster(home)
    // This process’s parent is alive, and began at another moment than the entry says.
    writeFileSync(join(home, 'users', String(process.ppid)), 'another moment')
    await cluster.stop()
    assert.equal(isLivePostgres(pid), false)
    assert.deepEqual(readdirSync(join(home, 'users')), [])
  })
  test('stays for another who still uses it', async () => {
    const cluster = await startCluster({ home, throwAway: true })
    const other = join(home, 'users', String(process.ppid))
    writeFileSync(other, startOf(process.ppid) ?? '')
    await cluster.stop()
    assert.equal(isLivePostgres(postmaster(home)), true)
    rmSync(other)
    const last = await startCluster({ home, throwAway: true })
    await last.stop({ now: true })
    assert.equal(existsSync(join(home, 'data', 'postmaster.pid')), false)
  })
  test('is started again, on the same port, when something has ended it', async () => {
    const cluster = await startCluster({ home, throwAway: true })
    /** @type {string[]} */
    const told = []
    cluster.keepRunning((what) => told.push(what))
    for (const pid of workingIn(join(home, 'data'))) process.kill(Number(pid), 'SIGKILL')
    for (let tries = 0; tries < 200; tries += 1) {
      await sleep(100)
      const rows = await ask(cluster.urls.owner, 'select count(*)::int as n from shops').catch(() => [])
      if (rows.length === 1) break
    }
    assert.deepEqual(await ask(cluster.urls.owner, 'select count(*)::int as n from shops'), [{ n: 1 }])
    assert.deepEqual(told, ['The database has ended; it is started again.'])
    await cluster.stop()
  })
})

describe('a lock', () => {
  const file = join(scratch, 'lock')
  test('is one’s alone, and the next one’s when it is given back', async () => {
    const release = await oneAtATime(file, 1)
    assert.ok(release)
    assert.equal(await oneAtATime(file, 0), undefined)
    release()
    const next = await oneAtATime(file, 5)
    assert.ok(next)
    next()
  })
  test('ends with whoever held it, however that ended', async () => {
    const code = `import { oneAtATime } from ${JSON.stringify(join(root, 'tools', 'oneAtATime.mjs'))}
await oneAtATime(${JSON.stringify(file)}, 5); console.log('held'); setInterval(() => {}, 1000)`
    const child = spawn(process.execPath, ['--input-type=module', '--eval', code], {
      stdio: ['ignore', 'pipe', 'inherit'],
    })
    await new Promise((resolve) => child.stdout.once('data', resolve))
    assert.equal(await oneAtATime(file, 0), undefined)
    child.kill('SIGKILL')
    const release = await oneAtATime(file, 5)
    assert.ok(release)
    release()
  })
})
