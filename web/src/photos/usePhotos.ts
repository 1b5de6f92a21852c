import type { NewPhoto, PhotoSubject } from '@zesty/core/http'
import { useMemo } from 'react'
import { v4 } from 'uuid'
import { api, problemText } from '../state/api'
import { notice } from '../state/notice'
import { useConversionId } from '../state/openPlan'
import { isPassing } from '../state/sendHeld'
import { useAppDispatch } from '../state/store'
import { holdPhoto, letGoPhoto, useHeldPhotos } from './heldPhotos'
import { sendPhoto } from './sendPhotos'
import { base64Of, shrink } from './shrink'

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
  const { data, error } = api.usePhotosQuery(id)
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

  /** Keeps one here until the server has it. */
  const keep = async (photo: NewPhoto): Promise<void> => {
    const one = { conversionId: id, photo }
    const isHeld = await holdPhoto(one)
    const trouble = await dispatch(sendPhoto(one))
    if (!trouble) return
    if (isPassing(trouble) && isHeld) {
      notice('The photo is held in this browser: the server does not answer. It is sent when it is back.')
      return
    }
    await letGoPhoto(photo.id)
    notice(`The photo was not kept: ${problemText(trouble)}`)
  }
  /** Shrinks and keeps them one after the other; what cannot be kept is said and the others go on. */
  const add = async (files: readonly File[]): Promise<void> => {
    for (const file of files) {
      const shrunk = await shrink(file).catch((error: unknown) => {
        notice(`${file.name}: ${error instanceof Error ? error.message : 'it could not be read.'}`)
      })
      if (!shrunk) continue
      const about = { of, ...(subject === undefined ? {} : { subject }), takenAt: new Date().toISOString() }
      await keep({ ...shrunk, ...about, id: v4() })
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
  /** Takes one away; its content is fetched before, so that it can be put back. */
  const remove = async ({ id: photoId, src, note, takenAt, widthPx, heightPx, isHeld }: ShownPhoto): Promise<void> => {
    const content = isHeld ? src.slice(src.indexOf(',') + 1) : await fetched(src)
    if (isHeld) await letGoPhoto(photoId)
    else {
      const { error } = await takeAway({ id, photoId })
      if (error) {
        notice(`Not taken away: ${problemText(error)}`)
        return
      }
    }
    const about = { of, ...(subject === undefined ? {} : { subject }), ...(note === undefined ? {} : { note }) }
    notice(
      'A photo was taken away',
      content === undefined
        ? undefined
        : {
            label: 'Put it back',
            onClick: () => void keep({ ...about, takenAt, widthPx, heightPx, jpeg: content, id: v4() }),
          },
    )
  }
  return { photos, problem: error && data === undefined ? problemText(error) : undefined, add, note, remove }
}

/** The content of a photo that the server has; nothing where it does not answer. */
const fetched = (src: string): Promise<string | undefined> =>
  fetch(src)
    .then(async (answer) => (answer.ok ? base64Of(await answer.blob()) : undefined))
    .catch(() => undefined)
