// @ts-check
import { createHash } from 'node:crypto'
import { existsSync, readFileSync, readdirSync, rmSync, statSync, writeFileSync } from 'node:fs'
import { join, relative } from 'node:path'
import { localPath, root } from './paths.mjs'

/** Every file below a path, in a fixed order. @param {string} path @returns {string[]} */
function filesBelow(path) {
  if (!existsSync(path)) return []
  if (statSync(path).isFile()) return [path]
  return readdirSync(path)
    .filter((name) => name !== 'node_modules' && name !== 'dist')
    .sort()
    .flatMap((name) => filesBelow(join(path, name)))
}

/** One hash over the contents of files and folders of the project. @param {string[]} paths */
export function fingerprint(paths) {
  const hash = createHash('sha256').update(process.version)
  for (const file of paths.flatMap((p) => filesBelow(join(root, p))))
    hash.update(relative(root, file)).update('\0').update(readFileSync(file)).update('\0')
  return hash.digest('hex')
}

/**
 * Does `work` unless it was done for the same inputs before and `product` is still there.
 * @param {string} name @param {string[]} inputs @param {string} product @param {() => void} work
 */
export function once(name, inputs, product, work) {
  const now = fingerprint(inputs)
  const stamp = localPath('stamps', name)
  if (existsSync(product) && existsSync(stamp) && readFileSync(stamp, 'utf8') === now) return
  // Work that is cut off must not pass for what was done for these inputs before.
  rmSync(stamp, { force: true })
  work()
  writeFileSync(stamp, now)
}
