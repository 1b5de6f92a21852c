import type { PhotoSubject } from '@zesty/core/http'
import { useMemo } from 'react'
import { v4 } from 'uuid'
import { api, problemText } from '../state/api'
import { notice } from '../state/notice'
import { useConversionId } from '../state/openPlan'
import { isPassing } from '../state/sendHeld'
import { useAppDispatch } from '../state/store'
import { holdPhoto, letGoPhoto, useHeldPhotos } from './heldPhotos'
import { sendPhoto } from './sendPhotos'
import { shrink } from './shrink'

/** A photo as it is shown: of the server, or held here until the server has it. */
export interface ShownPhoto {
  id: string
  src: string
  note?: string | undefined
  takenAt: string
  widthPx: number
  heightPx: number
  isHeld: boolean
}

/** Photos of one thing at the open machine, and ways to take more, say what is seen, and take one away. */
export function usePhotos(of: PhotoSubject, subject?: string) {
  const id = useConversionId()
  const dispatch = useAppDispatch()
  const { data } = api.usePhotosQuery(id)
  const held = useHeldPhotos()
  const [writeNote] = api.useNotePhotoMutation()
  const [takeAway] = api.useRemovePhotoMutation()
  const photos = useMemo(() => {
    const isIt = (photo: { of: PhotoSubject; subject?: string | undefined }) =>
      photo.of === of && photo.subject === subject
    const kept = (data ?? []).filter(isIt)
    const there = new Set(kept.map((photo) => photo.id))
    const waiting = held.filter(({ conversionId, photo }) => conversionId === id && isIt(photo) && !there.has(photo.id))
    return [
      ...kept.map(({ id: photoId, note, takenAt, widthPx, heightPx }): ShownPhoto => {
        const src = `/api/conversions/${id}/photos/${photoId}`
        return { id: photoId, src, note, takenAt, widthPx, heightPx, isHeld: false }
      }),
      ...waiting.map(({ photo: { id: photoId, jpeg, note, takenAt, widthPx, heightPx } }): ShownPhoto => {
        const src = `data:image/jpeg;base64,${jpeg}`
        return { id: photoId, src, note, takenAt, widthPx, heightPx, isHeld: true }
      }),
    ]
  }, [data, held, id, of, subject])

  /** Shrinks and keeps them one after the other; what cannot be kept is said and the others go on. */
  const add = async (files: readonly File[]): Promise<void> => {
    for (const file of files) {
      const shrunk = await shrink(file).catch((error: unknown) => {
        notice(`${file.name}: ${error instanceof Error ? error.message : 'it could not be read.'}`)
      })
      if (!shrunk) continue
      const photo = {
        ...shrunk,
        id: v4(),
        of,
        ...(subject === undefined ? {} : { subject }),
        takenAt: new Date().toISOString(),
      }
      const one = { conversionId: id, photo }
      const isHeld = await holdPhoto(one)
      const trouble = await dispatch(sendPhoto(one))
      if (!trouble) continue
      if (isPassing(trouble) && isHeld) {
        notice('The photo is held in this browser: the server does not answer. It is sent when it is back.')
        continue
      }
      await letGoPhoto(photo.id)
      notice(`The photo was not kept: ${problemText(trouble)}`)
    }
  }
  const note = async (photo: ShownPhoto, text: string): Promise<void> => {
    const waiting = held.find((one) => one.photo.id === photo.id)
    if (waiting) {
      await holdPhoto({ ...waiting, photo: { ...waiting.photo, note: text } })
      return
    }
    const { error } = await writeNote({ id, photoId: photo.id, note: text })
    if (error) notice(`The note was not kept: ${problemText(error)}`)
  }
  const remove = async (photo: ShownPhoto): Promise<void> => {
    if (photo.isHeld) {
      await letGoPhoto(photo.id)
      return
    }
    const { error } = await takeAway({ id, photoId: photo.id })
    if (error) notice(`Not taken away: ${problemText(error)}`)
  }
  return { photos, add, note, remove }
}
