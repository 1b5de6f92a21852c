// @ts-check
import assert from 'node:assert/strict'
import { existsSync, mkdtempSync, readFileSync, readdirSync, rmSync, statSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { after, before, describe, test } from 'node:test'
import { connected, dropReplaced, keepIn, NOT_KEPT, restoreInto, TABLES } from '../backup.mjs'
import { checkBackup, rowsOf, writeBackup } from '../backupFile.mjs'
import { listBackups, outlived } from '../backupFolder.mjs'
import { throwAwayCluster } from '../cluster.mjs'
import { allMigrations, appliedMigration, migrated } from '../migrations.mjs'

const scratch = mkdtempSync(join(tmpdir(), 'backup-'))
after(() => rmSync(scratch, { recursive: true }))

let files = 0
const fileOf = (/** @type {string} */ text) => {
  const file = join(scratch, `${(files += 1)}.jsonl`)
  writeFileSync(file, text)
  return file
}
/** @param {string} text @param {RegExp} why */
const refused = (text, why) => assert.rejects(checkBackup(fileOf(text)), why)

async function* twoShops() {
  yield { table: 'shops', row: '{"id":"a","name":"One\\nline"}' }
  yield { table: 'shops', row: '{"id":"b","name":"\\\\! touch x"}' }
  yield { table: 'marks', row: '{"name":"demo","value":1.50}' }
}

describe('the file of a backup', () => {
  const target = join(scratch, 'kept.jsonl')
  before(() => writeBackup(target, { migration: '0001_library_versions' }, twoShops()))
  const lines = () => readFileSync(target, 'utf8').split('\n').slice(0, -1)

  test('is its owner’s alone, and holds every row as it was written', async () => {
    assert.equal(statSync(target).mode & 0o777, 0o600)
    const { head, counts } = await checkBackup(target)
    assert.deepEqual([head.migration, counts], ['0001_library_versions', { shops: 2, marks: 1 }])
    const rows = []
    for await (const row of rowsOf(target)) rows.push(row)
    const written = []
    for await (const row of twoShops()) written.push(row)
    assert.deepEqual(rows, written)
  })
  test('cut off at any line is refused', async () => {
    for (let kept = 1; kept < lines().length; kept += 1)
      await refused(
        `${lines().slice(0, kept).join('\n')}\n`,
        /was cut off: its last line is missing\. Nothing was changed/,
      )
  })
  test('cut off in the middle of a line is refused', async () => {
    const whole = readFileSync(target, 'utf8')
    for (const share of [0.1, 0.3, 0.5, 0.7, 0.9])
      await refused(
        whole.slice(0, Math.floor(whole.length * share)),
        /is broken at line|was cut off|is not a backup|was changed/,
      )
  })
  test('with a letter changed is refused', () =>
    refused(readFileSync(target, 'utf8').replace('One', 'Ono'), /was changed after/))
  test('with a row taken out is refused', async () => {
    const [head, , ...rest] = lines()
    await refused(`${[head, ...rest].join('\n')}\n`, /was changed after/)
  })
  test('with something after its end is refused', async () =>
    refused(`${readFileSync(target, 'utf8')}{"table":"shops","row":{}}\n`, /goes on after its last line/))
  test('that is empty, a dump of SQL, or of another program is refused', async () => {
    await refused('', /is empty/)
    await refused(
      "-- PostgreSQL database dump\n\\! touch x\nCOPY t FROM PROGRAM 'id';\n",
      /is not a backup of Zesty Lathe/,
    )
    await refused('{"format":"another/backup"}\n', /is not a backup of Zesty Lathe/)
    await refused('{"format":"zesty-lathe/backup","version":9}\n', /is of form 9; this release reads form 1/)
  })
  test('that cannot be written whole leaves the one there was', async () => {
    async function* torn() {
      yield { table: 'shops', row: '{"id":"a"}' }
      throw new Error('the disk is gone')
    }
    const kept = readFileSync(target, 'utf8')
    await assert.rejects(writeBackup(target, { migration: 'x' }, torn()), /the disk is gone/)
    assert.equal(readFileSync(target, 'utf8'), kept)
    assert.deepEqual(
      readdirSync(scratch).filter((name) => name.endsWith('.part')),
      [],
    )
  })
})

describe('a database', () => {
  /** @type {Awaited<ReturnType<typeof throwAwayCluster>>} */
  let cluster
  const kept = join(scratch, 'database.jsonl')
  before(async () => {
    cluster = await throwAwayCluster()
    await migrated(cluster.urls.owner)
    await connected(cluster.urls.owner, async (client) => {
      await client.query("insert into shops (name) select 'Shop ' || n from generate_series(1, 450) n")
      await client.query(
        `insert into conversions (shop_id, plan) select id, json_build_object('name', name || e'\\u0001\\n\\\\!', 'long', 1234567890.123456789) from shops`,
      )
      await client.query(
        "insert into revisions (conversion_id, revision, plan, origin) select id, 1, plan, 'begun' from conversions",
      )
      await client.query(
        "insert into library_items (shop_id, kind, name, version, item) select id, 'motor', name, 3, '{}' from shops",
      )
      // More than are fetched at once, each half a megabyte of bytes that are no text.
      await client.query(
        `insert into photos (shop_id, conversion_id, "of", width_px, height_px, jpeg, taken_at)
          select shop_id, id, 'step', 1600, 1200, decode('ffd8ff' || repeat(md5(id::text), 30000), 'hex'), now()
          from conversions limit 20`,
      )
    })
    await keepIn(cluster.urls.owner, kept)
  })
  after(() => cluster.remove())

  /** Everything in it, as text. */
  const all = () =>
    connected(cluster.urls.owner, async (client) => {
      const text = []
      for (const table of TABLES)
        text.push(
          ...(await client.query(`select row_to_json(t)::text as row from "${table}" t order by 1`)).rows.map(
            (r) => r.row,
          ),
        )
      return text.join('\n')
    })
  const databases = () =>
    connected(cluster.urls.owner, async (client) =>
      (await client.query('select datname from pg_database')).rows
        .map((r) => r.datname)
        .filter((n) => /zesty_/.test(n)),
    )

  test('has no table that a backup leaves out', () =>
    connected(cluster.urls.owner, async (client) => {
      const { rows } = await client.query("select tablename from pg_tables where schemaname = 'public'")
      assert.deepEqual(rows.map((r) => r.tablename).sort(), [...TABLES, ...NOT_KEPT].sort())
    }))
  test('comes back to the last digit, and what it replaced stays until a start has served', async () => {
    const before = await all()
    await connected(cluster.urls.owner, (client) => client.query('delete from shops'))
    assert.equal(await all(), '')
    const { head, counts } = await checkBackup(kept)
    await restoreInto(cluster.urls, kept, head.migration, counts, scratch)
    assert.equal(await all(), before)
    assert.equal((await databases()).length, 1)
    await dropReplaced(cluster.urls.owner)
    assert.deepEqual(await databases(), [])
  })
  test('somebody is using is left alone', async () => {
    const before = await all()
    const { head, counts } = await checkBackup(kept)
    await connected(cluster.urls.owner, async () => {
      await assert.rejects(
        restoreInto(cluster.urls, kept, head.migration, counts, scratch),
        /is in use: stop \.\/zesty start/,
      )
    })
    assert.equal(await all(), before)
    assert.deepEqual(await databases(), [])
  })
  test('is left alone where rows do not go in', async () => {
    const before = await all()
    const file = join(scratch, 'odd.jsonl')
    await writeBackup(
      file,
      { migration: '0001_library_versions' },
      (async function* () {
        yield {
          table: 'conversions',
          row: '{"id":"00000000-0000-4000-8000-000000000001","shop_id":"00000000-0000-4000-8000-000000000002"}',
        }
      })(),
    )
    const { head, counts } = await checkBackup(file)
    await assert.rejects(restoreInto(cluster.urls, file, head.migration, counts, scratch))
    assert.equal(await all(), before)
    assert.deepEqual(await databases(), [])
  })
  test('kept by an older release is brought up to date as it comes back', async () => {
    const old = cluster.urls.owner.replace(/\/[^/]*$/, '/older')
    await connected(cluster.urls.admin, (client) => client.query('create database older owner zesty_owner'))
    await migrated(old, '0000_first_tables')
    await connected(old, (client) =>
      client.query(`with shop as (insert into shops (name) values ('Old') returning id)
        insert into library_items (shop_id, kind, name, item) select id, 'motor', 'Elm', '{}' from shop`),
    )
    const file = join(scratch, 'older.jsonl')
    await keepIn(old, file)
    const { head, counts } = await checkBackup(file)
    assert.equal(head.migration, '0000_first_tables')
    await restoreInto(cluster.urls, file, head.migration, counts, scratch)
    await connected(cluster.urls.owner, async (client) => {
      assert.deepEqual((await client.query('select name, version from library_items')).rows, [
        { name: 'Elm', version: 2 },
      ])
      assert.equal((await appliedMigration(client))?.tag, allMigrations().at(-1)?.tag)
    })
  })
  test('is kept by itself before it is replaced', () => {
    assert.ok(
      listBackups(scratch).some(({ why, made }) => why === 'before-restore' && Date.now() - made.getTime() < 120_000),
    )
  })
})

describe('backups that are made by themselves', () => {
  const now = new Date('2026-03-31T12:00:00Z')
  const daily = Array.from({ length: 60 }, (_, days) => ({ made: new Date(now.getTime() - days * 86_400_000) }))
  test('stay for seven days, and one a week for four weeks', () => {
    const gone = new Set(outlived(daily, now))
    const left = daily
      .filter((kept) => !gone.has(kept))
      .map(({ made }) => (now.getTime() - made.getTime()) / 86_400_000)
    assert.deepEqual(left, [0, 1, 2, 3, 4, 5, 6, 7, 14, 21, 28])
  })
  test('never go while there are few of them', () => assert.deepEqual(outlived(daily.slice(0, 7), now), []))
})

test('help makes no file', async () => {
  const { spawnSync } = await import('node:child_process')
  const { root } = await import('../paths.mjs')
  const at = mkdtempSync(join(tmpdir(), 'help-'))
  for (const verb of ['backup', 'restore'])
    for (const flag of ['--help', '-h']) {
      const { status, stdout } = spawnSync(join(root, 'zesty'), [verb, flag], { cwd: at, encoding: 'utf8' })
      assert.deepEqual([status, stdout.startsWith(`./zesty ${verb}`)], [0, true])
    }
  const { status, stderr } = spawnSync(join(root, 'zesty'), ['backup', '--lost'], { cwd: at, encoding: 'utf8' })
  assert.deepEqual([status, /backup does not know --lost/.test(stderr)], [2, true])
  assert.deepEqual(readdirSync(at), [])
  assert.equal(existsSync(join(root, '--help')), false)
  rmSync(at, { recursive: true })
})
