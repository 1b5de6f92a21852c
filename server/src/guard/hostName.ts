/** What a `Host` header may be made of: a name, an IPv4 address or an IPv6 one in brackets, and a port. */
const host = /^(?<name>[a-z0-9]([a-z0-9.-]*[a-z0-9])?\.?|\[[0-9a-f:.]+\])(?<port>:\d{1,5})?$/i

interface Host {
  /** In lower case, without the dot that ends a full name. */
  name: string
  /** `:4747`, or nothing. */
  port: string
}

/** Reads a `Host` header, or the host of an origin; undefined for what is none. */
export function readHost(header: string | undefined): Host | undefined {
  const groups = host.exec(header ?? '')?.groups
  if (!groups?.['name']) return undefined
  return { name: groups['name'].toLowerCase().replace(/\.$/, ''), port: groups['port'] ?? '' }
}

/** Whether a name is one of this machine's own to itself. */
export const isLoopbackName = (name: string): boolean =>
  name === 'localhost' || name === '[::1]' || /^127(\.\d{1,3}){3}$/.test(name)
