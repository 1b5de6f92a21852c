// @ts-check
import { Trouble } from './trouble.mjs'

/**
 * Installs a Debian package from the index that is there; where that fails, from a fresh one. What is wrong with the
 * index (a foreign repository, a clock) is no matter while the package itself can be had.
 * @param {string} name @param {(args: string[]) => unknown} apt runs apt-get, and throws where it fails
 */
export function installPackageBy(name, apt) {
  const install = () => void apt(['install', '-y', '-qq', '--no-install-recommends', name])
  if (works(install) === undefined) return
  const updating = works(() => void apt(['update', '-qq']))
  const installing = works(install)
  if (installing === undefined) return
  const stale = updating === undefined ? '' : ` The list of packages could not be fetched anew either: ${updating}`
  throw new Trouble(`${installing}${stale}`)
}

/** Why it does not work; undefined where it does. @param {() => void} work */
function works(work) {
  try {
    work()
    return undefined
  } catch (error) {
    return error instanceof Error ? error.message : String(error)
  }
}
