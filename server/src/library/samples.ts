import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { readLibraryCsv, type LibraryItem } from '@zesty/core/library'

/** Injection token of the motors and drives that ship, all of them made up. */
export const SAMPLES = Symbol('samples')

/** The motors and drives that ship: `motors.csv` and `drives.csv`, in the form that the library itself gives out. */
export function readSamples(folder: string): LibraryItem[] {
  return (['motor', 'drive'] as const).flatMap((kind) => {
    const path = join(folder, `${kind}s.csv`)
    const read = readLibraryCsv(kind, readFileSync(path, 'utf8'))
    if (!read.ok) throw new Error(`${path}: ${JSON.stringify(read.faults)}`)
    return read.value
  })
}
