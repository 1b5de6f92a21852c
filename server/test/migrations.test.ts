import { afterAll, beforeAll, describe, expect, test } from '@jest/globals'
import { rmSync } from 'node:fs'
import pg from 'pg'
import { openDatabase } from '../src/db/database'
import { migrationsUpTo } from '../src/db/migrationsUpTo'
import { freshDatabase, migrations } from './harness'

describe('items kept before one name stood for one item', () => {
  const long = 'x'.repeat(80)
  let folder: string
  let client: pg.Client
  let shops: string[]

  const keep = async (shop: string | undefined, kind: string, name: string, createdAt: string) => {
    const { rows } = await client.query<{ id: string }>(
      'insert into library_items (shop_id, kind, name, item, created_at) values ($1, $2, $3, $4, $5) returning id',
      [shop, kind, name, { powerW: 750 }, createdAt],
    )
    return rows[0]?.id ?? ''
  }
  let first: string
  let second: string
  let third: string
  let longSecond: string

  beforeAll(async () => {
    folder = migrationsUpTo(migrations, '0000_first_tables')
    const url = await freshDatabase()
    await (await openDatabase(url, folder)).close()
    client = new pg.Client({ connectionString: url })
    await client.connect()
    const made = await client.query<{ id: string }>("insert into shops (name) values ('One'), ('Other') returning id")
    shops = made.rows.map((row) => row.id)
    second = await keep(shops[0], 'motor', 'Spare', '2026-02-02')
    first = await keep(shops[0], 'motor', 'Spare', '2026-01-01')
    third = await keep(shops[0], 'motor', 'Spare', '2026-03-03')
    await keep(shops[0], 'drive', 'Spare', '2026-04-04')
    await keep(shops[1], 'motor', 'Spare', '2026-04-04')
    await keep(shops[0], 'motor', long, '2026-01-01')
    longSecond = await keep(shops[0], 'motor', long, '2026-01-02')
    await (await openDatabase(url, migrations)).close()
  })
  afterAll(async () => {
    await client.end()
    rmSync(folder, { recursive: true })
  })

  const names = async () =>
    new Map(
      (await client.query<{ id: string; name: string }>('select id, name from library_items')).rows.map((row) => [
        row.id,
        row.name,
      ]),
    )

  test('are all still there, the oldest under the name, the others told apart by their id', async () => {
    const now = await names()
    expect(now.size).toBe(7)
    expect(now.get(first)).toBe('Spare')
    expect(now.get(second)).toBe(`Spare (${second.slice(0, 8)})`)
    expect(now.get(third)).toBe(`Spare (${third.slice(0, 8)})`)
  })
  test('of another kind or another shop keep theirs', async () => {
    expect([...(await names()).values()].filter((name) => name === 'Spare')).toHaveLength(3)
  })
  test('stay within the longest name there may be', async () => {
    const name = (await names()).get(longSecond) ?? ''
    expect([name.length, name.endsWith(`(${longSecond.slice(0, 8)})`)]).toEqual([80, true])
  })
  test('say that they have the fields of the plan of that time', async () => {
    const { rows } = await client.query<{ version: number }>('select distinct version from library_items')
    expect(rows).toEqual([{ version: 2 }])
  })
  test('cannot come to share a name again', async () => {
    await expect(
      client.query(
        "insert into library_items (shop_id, kind, name, item, version) values ($1, 'motor', 'Spare', '{}', 3)",
        [shops[0]],
      ),
    ).rejects.toThrow(/unique/)
  })
})
