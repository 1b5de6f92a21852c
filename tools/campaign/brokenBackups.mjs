// @ts-check
import { readFileSync, rmSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { checkBackup } from '../backupFile.mjs'
import { keepIn } from '../backup.mjs'
import { throwAwayCluster } from '../cluster.mjs'
import { migrated } from '../migrations.mjs'
import { newData } from './running.mjs'

/** Backups that were cut, changed, joined or shuffled: each must be refused before anything is touched. @param {{times: number}} size */
export async function brokenBackups({ times }) {
  const folder = newData()
  const cluster = await throwAwayCluster()
  let lost = 0
  try {
    await migrated(cluster.urls.owner)
    const { default: pg } = await import('pg')
    const client = new pg.Client({ connectionString: cluster.urls.owner })
    await client.connect()
    await client.query("insert into shops (name) select 'Shop ' || n from generate_series(1, 60) n")
    await client.end()
    const whole = join(folder, 'whole.jsonl')
    await keepIn(cluster.urls.owner, whole)
    await checkBackup(whole)
    const text = readFileSync(whole, 'utf8')
    const lines = text.split('\n').slice(0, -1)
    const at = (/** @type {number} */ length) => Math.floor(Math.random() * length)
    /** @type {(() => string)[]} */
    const ways = [
      () => text.slice(0, at(text.length - 1)),
      () => `${lines.slice(0, at(lines.length - 1)).join('\n')}\n`,
      () => `${lines.toSpliced(at(lines.length), 1).join('\n')}\n`,
      () => `${lines.toSpliced(at(lines.length), 0, lines[at(lines.length)] ?? '').join('\n')}\n`,
      () => {
        const where = at(text.length - 1)
        return text.slice(0, where) + (text[where] === 'x' ? 'y' : 'x') + text.slice(where + 1)
      },
      () => text + text,
      () => `\\! touch /tmp/never\n${text}`,
    ]
    for (let n = 0; n < times; n += 1) {
      const file = join(folder, 'broken.jsonl')
      const broken = ways[n % ways.length]?.() ?? ''
      if (broken === text) continue
      writeFileSync(file, broken)
      const refused = await checkBackup(file).then(
        () => false,
        () => true,
      )
      if (!refused) {
        lost += 1
        console.error(`  a broken backup was taken (way ${n % ways.length})`)
      }
    }
  } finally {
    await cluster.remove()
    rmSync(folder, { recursive: true, force: true })
  }
  return { says: `${times} broken backups, ${times - lost} refused`, lost, faults: 0 }
}
