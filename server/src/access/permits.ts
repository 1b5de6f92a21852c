import type { DeviceRights } from '@zesty/core/http'

/** What is asked of the API: the method, and the path without what follows a question mark. */
export interface Asked {
  method: string
  path: string
}

export interface Permission {
  at: 'computer' | 'network'
  rights: DeviceRights
  /** The one machine that may be looked at, and the shop it stands in. */
  conversionId?: string | undefined
  shopId?: string | undefined
}

const isRead = (method: string): boolean => method === 'GET' || method === 'HEAD'

/** What nobody needs leave for: to be let in, and to hear why not. */
export const isOpen = ({ method, path }: Asked): boolean =>
  method === 'POST' && (path === '/api/access/pair' || path === '/api/access/sign-in')

/** Whether somebody may ask this. What a save may change is looked at where it is kept. */
export function permits({ at, rights, conversionId, shopId }: Permission, { method, path }: Asked): boolean {
  if (at === 'computer') return true
  if (path === '/api/access/me') return true
  // Who comes in is decided at the computer alone.
  if (path.startsWith('/api/access/')) return false
  if (conversionId !== undefined)
    return (
      isRead(method) &&
      (isWithin(path, `/api/conversions/${conversionId}`) ||
        path === `/api/shops/${shopId ?? ''}` ||
        isWithin(path, '/api/rules'))
    )
  if (rights === 'all' || isRead(method)) return true
  if (rights !== 'measure') return false
  return (
    ((method === 'PUT' || method === 'PATCH') && /^\/api\/conversions\/[^/]+$/.test(path)) ||
    ((method === 'POST' || method === 'DELETE') &&
      /^\/api\/conversions\/[^/]+\/(measurements|photos|log)(\/[^/]+)?$/.test(path)) ||
    (method === 'PUT' && /^\/api\/conversions\/[^/]+\/photos\/[^/]+\/note$/.test(path))
  )
}

const isWithin = (path: string, place: string): boolean => path === place || path.startsWith(`${place}/`)
