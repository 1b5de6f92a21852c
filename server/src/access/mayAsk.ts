import type { DeviceRights } from '@zesty/core/http'
import type { Words } from '../openapi/said'

export interface Permission {
  at: 'computer' | 'network'
  rights: DeviceRights
  /** The one machine that may be looked at, and the shop it stands in. */
  conversionId?: string | undefined
  shopId?: string | undefined
}

const ranks: Readonly<Record<DeviceRights, number>> = { look: 0, measure: 1, all: 2 }

/**
 * Whether somebody may ask an operation, by what it declares of itself and by what its route's parameters name. What a
 * save may change is looked at where it is kept.
 */
export function mayAsk(
  { at, rights, conversionId, shopId }: Permission,
  { may, one }: Pick<Words, 'may' | 'one'>,
  params: Readonly<Record<string, string>>,
): boolean {
  if (at === 'computer' || may === 'a stranger' || may === 'whoever is let in') return true
  if (may === 'the computer') return false
  if (conversionId === undefined) return ranks[rights] >= ranks[may]
  const own = { machine: params['id'] === conversionId, shop: params['id'] === shopId, anything: true }
  return one !== undefined && own[one]
}
