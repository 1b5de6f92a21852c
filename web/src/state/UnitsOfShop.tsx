import type { ReactNode } from 'react'
import { api } from './api'
import { UnitsScope } from './units'

/** The one place where a shop's units are read; everything below shows amounts in them. */
export function UnitsOfShop({ shopId, children }: { shopId: string | undefined; children: ReactNode }) {
  const { units } = api.useShopQuery(shopId ?? '', {
    skip: shopId === undefined,
    selectFromResult: ({ data }) => ({ units: data?.units ?? 'metric' }),
  })
  return <UnitsScope value={units}>{children}</UnitsScope>
}
