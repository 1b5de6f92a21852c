import { useCallback, useMemo } from 'react'
import { api } from '../state/api'
import { notice } from '../state/notice'
import { isPassing } from '../state/sendHeld'
import { useAppDispatch, type store } from '../state/store'
import { useTryAgain } from '../state/useTryAgain'
import { heldPhotos, letGoPhoto, lookForHeld, type HeldPhoto } from './heldPhotos'

const underWay = new Set<string>()

/** Sends one photo; the server keeps one that it has already once. Gives what went wrong, if anything did. */
export const sendPhoto =
  ({ conversionId, photo }: HeldPhoto) =>
  async (dispatch: typeof store.dispatch) => {
    if (underWay.has(photo.id)) return undefined
    underWay.add(photo.id)
    try {
      const answer = await dispatch(api.endpoints.addPhoto.initiate({ id: conversionId, photo }))
      if (answer.data) await letGoPhoto(photo.id)
      // One that no later try would get in is let go by who took it, and told.
      return answer.error
    } finally {
      underWay.delete(photo.id)
    }
  }

/** Tries again, of whatever machine, until the server has every photo that this browser holds. */
export function useSendPhotos(): void {
  const dispatch = useAppDispatch()
  const tryAll = useMemo(() => {
    const refused = new Set<string>()
    let looked: Promise<unknown> | undefined
    return async () => {
      await (looked ??= lookForHeld())
      for (const one of heldPhotos()) {
        if (refused.has(one.photo.id)) continue
        const trouble = await dispatch(sendPhoto(one))
        if (trouble && isPassing(trouble)) break
        if (!trouble) continue
        refused.add(one.photo.id)
        // Its machine is gone, and no page shows it any more.
        if ('status' in trouble && trouble.status === 404) {
          await letGoPhoto(one.photo.id)
          notice('A photo that was held here was of a machine that is gone.')
        }
      }
    }
  }, [dispatch])
  useTryAgain(useCallback(() => void tryAll(), [tryAll]))
}
