import type { KeptItem } from '@zesty/core/http'
import type { LibraryKind } from '@zesty/core/library'
import { useMemo } from 'react'
import { api } from './api'

export type KeptOf<K extends LibraryKind> = Extract<KeptItem, { kind: K }>

/** The items of one kind that a shop keeps; undefined while they are fetched. */
export function useItems<K extends LibraryKind>(shopId: string, kind: K): KeptOf<K>[] | undefined {
  const { data } = api.useLibraryQuery(shopId)
  return useMemo(() => data?.filter((item): item is KeptOf<K> => item.kind === kind), [data, kind])
}
