import { cpSync, mkdtempSync, readFileSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'

interface Journal {
  entries: { tag: string }[]
}

/** A copy of the migrations as they were when one of them was the newest; whoever asks for it takes it away. */
export function migrationsUpTo(folder: string, tag: string): string {
  const copy = mkdtempSync(join(tmpdir(), 'zesty-migrations-'))
  cpSync(folder, copy, { recursive: true })
  const path = join(copy, 'meta', '_journal.json')
  const journal = JSON.parse(readFileSync(path, 'utf8')) as Journal
  const last = journal.entries.findIndex((entry) => entry.tag === tag)
  if (last === -1) throw new Error(`there is no migration ${tag}`)
  writeFileSync(path, JSON.stringify({ ...journal, entries: journal.entries.slice(0, last + 1) }))
  return copy
}
