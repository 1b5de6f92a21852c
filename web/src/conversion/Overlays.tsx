import { lazy, Suspense, useEffect } from 'react'
import { overlayChanged } from '../state/screenSlice'
import { useAppDispatch, useAppSelector } from '../state/store'

const loadPalette = () => import('./Palette').then((m) => ({ default: m.Palette }))
const Palette = lazy(loadPalette)
const ConflictDialog = lazy(() => import('./ConflictDialog').then((m) => ({ default: m.ConflictDialog })))
const UnsentDialog = lazy(() => import('./UnsentDialog').then((m) => ({ default: m.UnsentDialog })))
const KeysDialog = lazy(() => import('./KeysDialog').then((m) => ({ default: m.KeysDialog })))
const JudgedDialog = lazy(() => import('./JudgedDialog').then((m) => ({ default: m.JudgedDialog })))
const Revisions = lazy(() => import('./Revisions').then((m) => ({ default: m.Revisions })))

/** After this the first load is over. */
const QUIET_MS = 2000

/** The dialogs of the conversion screen, one at a time. */
export function Overlays() {
  const overlay = useAppSelector((state) => state.screen.overlay)
  const conflicted = useAppSelector((state) => state.plan.open?.theirs !== undefined)
  const unsent = useAppSelector((state) => (state.plan.open?.unsent.length ?? 0) > 0)
  const dispatch = useAppDispatch()
  const close = () => dispatch(overlayChanged(undefined))
  // Fetched once the page stands and is quiet, so that it opens at once at its key.
  useEffect(() => {
    const soon = setTimeout(() => void loadPalette().catch(() => undefined), QUIET_MS)
    return () => clearTimeout(soon)
  }, [])
  return (
    <Suspense fallback={null}>
      {conflicted ? <ConflictDialog /> : unsent && <UnsentDialog />}
      {overlay === 'palette' && <Palette onClose={close} />}
      {overlay === 'revisions' && <Revisions onClose={close} />}
      {overlay === 'judged' && <JudgedDialog onClose={close} />}
      {overlay === 'keys' && <KeysDialog onClose={close} />}
    </Suspense>
  )
}
