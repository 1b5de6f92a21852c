import { Outlet } from 'react-router'
import { Toaster } from 'sonner'

/** What every screen has: the place for brief messages. */
export function Frame() {
  return (
    <>
      <Outlet />
      <Toaster position="bottom-center" toastOptions={{ classNames: { toast: '!bg-ink !text-paper !border-0 !font-sans !text-[15px]' } }} />
    </>
  )
}
