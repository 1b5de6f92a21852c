import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { readManual, type Manual } from '../src/manual'

const folder = join(import.meta.dirname, '..', '..', 'samples', 'manuals')

/** Every made-up manual that ships, by its file name. */
export const shippedManuals: ReadonlyMap<string, Manual> = new Map(
  readdirSync(folder).map((file): [string, Manual] => {
    const read = readManual(JSON.parse(readFileSync(join(folder, file), 'utf8')))
    if (!read.ok) throw new Error(`${file}: ${JSON.stringify(read.faults)}`)
    return [file.replace('.json', ''), read.value]
  }),
)

export function shippedManual(name: string): Manual {
  const manual = shippedManuals.get(name)
  if (!manual) throw new Error(`no manual ${name}`)
  return structuredClone(manual)
}
