import type { KeptItem, LibraryLine, UnreadableItem } from '@zesty/core/http'
import type { LibraryKind } from '@zesty/core/library'
import { useMemo } from 'react'
import { api } from './api'

export type KeptOf<K extends LibraryKind> = Extract<KeptItem, { kind: K }>

const isUnreadable = (line: LibraryLine): line is UnreadableItem => 'unreadable' in line

/** Everything that a shop keeps and that can be read; undefined while it is fetched. */
export function useKept(shopId: string): KeptItem[] | undefined {
  const { data } = api.useLibraryQuery(shopId)
  return useMemo(() => data?.filter((line): line is KeptItem => !isUnreadable(line)), [data])
}

/** The items of one kind. */
export function useItems<K extends LibraryKind>(shopId: string, kind: K): KeptOf<K>[] | undefined {
  const kept = useKept(shopId)
  return useMemo(() => kept?.filter((item): item is KeptOf<K> => item.kind === kind), [kept, kind])
}

/** Those of one kind that are kept and cannot be read. */
export function useUnreadableItems(shopId: string, kind: LibraryKind): UnreadableItem[] {
  const { data } = api.useLibraryQuery(shopId)
  return useMemo(() => data?.filter(isUnreadable).filter((line) => line.kind === kind) ?? [], [data, kind])
}
