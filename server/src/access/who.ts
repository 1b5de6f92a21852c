import type { DeviceRights } from '@zesty/core/http'
import type { IncomingMessage } from 'node:http'
import type { FastifyRequest } from 'fastify'

/** Who asks, as far as the server knows them. */
export interface Asker {
  at: 'computer' | 'network'
  /** As it stands on a revision: a device, and who signed in on it. */
  name: string
  rights: DeviceRights
  deviceId?: string
  conversionId?: string | undefined
  shopId?: string | undefined
}

/** Somebody who sits at the computer itself: nobody signs in there. */
export const atComputer: Asker = { at: 'computer', name: 'this computer', rights: 'all' }

/**
 * Who is named for what was sent: the device and who signed in on it, whatever the body says. At the computer itself,
 * where nobody signs in, whom it names.
 */
export const namedFor = ({ at, name }: Asker, said: string | undefined): string =>
  at === 'computer' ? (said ?? name) : name

const ASKER = Symbol('asker')
const NETWORK = Symbol('network')

/** What the listener and the guard have found out stays with the request. */
type Marked = IncomingMessage & { [ASKER]?: Asker; [NETWORK]?: true }

/** Marks what came in from another machine. */
export const markNetwork = (req: IncomingMessage): void => void ((req as Marked)[NETWORK] = true)
export const isFromNetwork = (req: IncomingMessage): boolean => (req as Marked)[NETWORK] === true

export const setAsker = ({ raw }: FastifyRequest, asker: Asker): void => void ((raw as Marked)[ASKER] = asker)
/** Who asks; at the computer unless the request came from elsewhere. */
export function askerOf({ raw }: FastifyRequest): Asker {
  const asker = (raw as Marked)[ASKER]
  if (asker) return asker
  if (isFromNetwork(raw)) throw new Error('a request from the network went past the guard')
  return atComputer
}
