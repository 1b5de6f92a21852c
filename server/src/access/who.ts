import type { DeviceRights } from '@zesty/core/http'
import type { Request } from 'express'

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

const ASKER = Symbol('asker')
const NETWORK = Symbol('network')

/** What the listener and the guard have found out stays with the request. */
type Marked = Request & { [ASKER]?: Asker; [NETWORK]?: true }

/** Marks what came in from another machine. */
export const markNetwork = (req: object): void => void ((req as Marked)[NETWORK] = true)
export const isFromNetwork = (req: object): boolean => (req as Marked)[NETWORK] === true

export const setAsker = (req: object, asker: Asker): void => void ((req as Marked)[ASKER] = asker)
/** Who asks; at the computer unless the request came from elsewhere. */
export function askerOf(req: object): Asker {
  const asker = (req as Marked)[ASKER]
  if (asker) return asker
  if (isFromNetwork(req)) throw new Error('a request from the network went past the guard')
  return atComputer
}
