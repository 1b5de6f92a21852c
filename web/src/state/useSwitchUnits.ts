import type { UnitSystem } from '@zesty/core'
import { useCallback } from 'react'
import { api } from './api'

/** Turns a shop from metric to imperial and back. */
export function useSwitchUnits(shopId: string, units: UnitSystem): () => void {
  const [change] = api.useChangeShopMutation()
  return useCallback(
    () => void change({ id: shopId, units: units === 'metric' ? 'imperial' : 'metric' }),
    [change, shopId, units],
  )
}
