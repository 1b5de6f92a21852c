import { lazy, Suspense } from 'react'
import { Outlet } from 'react-router'
import { useNoticed } from './notice'

const Toaster = lazy(() => import('sonner').then((m) => ({ default: m.Toaster })))

/** What every screen has: the place for brief messages. */
export function Frame() {
  const noticed = useNoticed()
  return (
    <>
      <Outlet />
      {noticed && (
        <Suspense>
          <Toaster position="bottom-center" toastOptions={{ classNames: { toast: '!bg-ink !text-paper !border-0 !font-sans !text-[15px]', actionButton: '!min-h-11 !bg-paper !px-4 !text-[15px] !text-ink' } }} />
        </Suspense>
      )}
    </>
  )
}
