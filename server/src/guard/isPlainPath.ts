/** What an address may be made of (RFC 3986), each octet that is encoded by two digits. */
const characters = /^\/(?:[\w.~!$&'()*+,;=:@/-]|%[0-9a-f]{2})*$/i
/** Steps that are nothing, that lead elsewhere, or that end in a dot. */
const steps = /\/\/|\.(?:\/|$)/
/** What is never encoded, since it need not be. */
const unreserved = /^[A-Za-z0-9._~-]$/
/** What would be a step, or a mark, for whoever decodes it. */
const marks = new Set(['/', '\\', '#', '?', '%'])

/**
 * Whether an address is written in the one way in which everybody reads it alike: a router, a proxy and a guard may
 * each read another path out of any other.
 *
 * @example isPlainPath('/api/%61ccess/devices') // false
 */
export function isPlainPath(url: string): boolean {
  const [path = ''] = url.split('?', 1)
  if (url.includes('#') || !characters.test(path) || steps.test(path)) return false
  for (const [octet] of path.matchAll(/%[0-9a-f]{2}/gi)) {
    const code = parseInt(octet.slice(1), 16)
    const letter = String.fromCharCode(code)
    if (code < 0x20 || code === 0x7f || unreserved.test(letter) || marks.has(letter)) return false
  }
  return isText(path)
}

function isText(path: string): boolean {
  try {
    decodeURIComponent(path)
    return true
  } catch {
    return false
  }
}
