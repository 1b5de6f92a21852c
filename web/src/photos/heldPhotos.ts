import { newPhotoSchema, type NewPhoto } from '@zesty/core/http'
import { createStore, del, entries, set, type UseStore } from 'idb-keyval'
import { useSyncExternalStore } from 'react'
import { z } from 'zod'

/** A photo that the server has not got yet, kept in this browser's database until it has. */
export interface HeldPhoto {
  conversionId: string
  photo: NewPhoto
}

const heldSchema = z.strictObject({ conversionId: z.uuid(), photo: newPhotoSchema })

let store: UseStore | undefined

/** A browser may keep nothing, or have no such database at all: then what is asked of it is refused. */
const inStore = async <T>(ask: (held: UseStore) => Promise<T>): Promise<T> =>
  ask((store ??= createStore('zesty-photos', 'held')))

/** What is held, read once as the page begins and kept up to date here. */
let known: readonly HeldPhoto[] = []
const listeners = new Set<() => void>()

function told(next: readonly HeldPhoto[]): void {
  known = next
  listeners.forEach((listener) => listener())
}

/** Looks into the browser's database; one that has none holds nothing. */
export async function lookForHeld(): Promise<readonly HeldPhoto[]> {
  const all = await inStore((held) => entries<string, unknown>(held)).catch(() => [])
  told(
    all.flatMap(([, value]) => {
      const read = heldSchema.safeParse(value)
      return read.success ? [read.data] : []
    }),
  )
  return known
}

/** Whether it is held now: a browser may have no room, or keep nothing at all. */
export async function holdPhoto(one: HeldPhoto): Promise<boolean> {
  const kept = await inStore((held) => set(one.photo.id, one, held)).then(
    () => true,
    () => false,
  )
  // Where the browser keeps nothing it is still shown while it is sent.
  told([...known.filter(({ photo }) => photo.id !== one.photo.id), one])
  return kept
}

/** The server has it, or somebody took it away. */
export async function letGoPhoto(id: string): Promise<void> {
  await inStore((held) => del(id, held)).catch(() => undefined)
  told(known.filter(({ photo }) => photo.id !== id))
}

export const heldPhotos = (): readonly HeldPhoto[] => known

/** What is held, told anew as it changes. */
export const useHeldPhotos = (): readonly HeldPhoto[] => useSyncExternalStore(listen, heldPhotos)

function listen(listener: () => void): () => void {
  listeners.add(listener)
  return () => void listeners.delete(listener)
}
