import { lazy, Suspense } from 'react'
import { overlayChanged } from '../app/screenSlice'
import { useAppDispatch, useAppSelector } from '../app/store'

import { Overlay } from '../parts/Overlay'
import { Palette } from './Palette'
import { keyList } from './useKeys'

const Revisions = lazy(() => import('./Revisions').then((m) => ({ default: m.Revisions })))

/** The dialogs of the conversion screen, one at a time. */
export function Overlays() {
  const overlay = useAppSelector((state) => state.screen.overlay)
  const dispatch = useAppDispatch()
  const close = () => dispatch(overlayChanged(undefined))
  return (
    <Suspense fallback={null}>
      {overlay === 'palette' && <Palette onClose={close} />}
      {overlay === 'revisions' && <Revisions onClose={close} />}
      <Overlay
        title="Keys"
        says="None of them fires while you type in a field."
        open={overlay === 'keys'}
        onClose={close}
      >
        <table className="w-full">
          <tbody>
            {keyList.map(({ keys, does }) => (
              <tr key={keys} className="border-b border-rule">
                <th scope="row" className="py-2 pr-4 text-left font-cond text-[18px] font-semibold whitespace-nowrap">
                  {keys}
                </th>
                <td>{does}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </Overlay>
    </Suspense>
  )
}
