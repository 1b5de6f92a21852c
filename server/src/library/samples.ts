import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { readLibraryCsv, type LibraryItem } from '@zesty/core/library'
import { readManual } from '@zesty/core/manual'

/** Injection token of the motors, drives and manuals that ship, all of them made up. */
export const SAMPLES = Symbol('samples')

/** What ships: `motors.csv` and `drives.csv` in the form that the library itself gives out, and the drives' manuals. */
export const readSamples = (folder: string): LibraryItem[] => [
  ...readTables(folder),
  ...readManuals(join(folder, 'manuals')),
]

function readManuals(folder: string): LibraryItem[] {
  return readdirSync(folder)
    .filter((file) => file.endsWith('.json'))
    .sort()
    .map((file) => {
      const read = readManual(JSON.parse(readFileSync(join(folder, file), 'utf8')))
      if (!read.ok) throw new Error(`${file}: ${JSON.stringify(read.faults)}`)
      return { kind: 'manual', name: read.value.name, item: read.value }
    })
}

function readTables(folder: string): LibraryItem[] {
  return (['motor', 'drive'] as const).flatMap((kind) => {
    const path = join(folder, `${kind}s.csv`)
    const read = readLibraryCsv(kind, readFileSync(path, 'utf8'))
    if (!read.ok) throw new Error(`${path}: ${JSON.stringify(read.faults)}`)
    return read.value
  })
}
