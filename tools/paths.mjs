// @ts-check
import { mkdirSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'

/** The project's own folder. */
export const root = dirname(dirname(fileURLToPath(import.meta.url)))

/** Everything made on this machine: build, stamps, database. Never in git. */
export const local = join(root, '.local')

/** A place under .local, whose folder is made on the way. @param {...string} parts */
export function localPath(...parts) {
  const path = join(local, ...parts)
  mkdirSync(dirname(path), { recursive: true })
  return path
}
