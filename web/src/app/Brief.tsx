import { lazy, Suspense } from 'react'
import { useNoticed } from '../state/notice'

const Toaster = lazy(() => import('sonner').then((m) => ({ default: m.Toaster })))

/** The place for brief messages, once there is one. */
export function Brief() {
  if (!useNoticed()) return null
  return (
    <Suspense>
      <Toaster
        position="bottom-center"
        toastOptions={{
          classNames: {
            toast: '!bg-ink !text-paper !border-0 !font-sans !text-[15px]',
            actionButton: '!min-h-11 !bg-paper !px-4 !text-[15px] !text-ink',
          },
        }}
      />
    </Suspense>
  )
}
