import { X } from 'lucide-react'
import { Dialog } from 'radix-ui'
import type { ReactNode } from 'react'

/** A dialog over the page, with its name and a way out. */
export function Overlay({
  title,
  says,
  open,
  onClose,
  wide = false,
  widest = false,
  full = false,
  children,
}: {
  title: string
  says?: string
  open: boolean
  onClose: () => void
  wide?: boolean
  /** For tables. */
  widest?: boolean
  /** For drawings: all of the window. */
  full?: boolean
  children: ReactNode
}) {
  return (
    <Dialog.Root open={open} onOpenChange={(now) => !now && onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-black/45" />
        <Dialog.Content
          {...(says === undefined ? { 'aria-describedby': undefined } : {})}
          // On what is to be filled in or pressed, not on the way out.
          onOpenAutoFocus={(event) => {
            const first = (event.currentTarget as HTMLElement).querySelector<HTMLElement>(
              '[data-body] :is(input, select, textarea, button, a):not([disabled])',
            )
            if (!first) return
            event.preventDefault()
            first.focus()
          }}
          className={`fixed top-[6vh] left-1/2 z-50 flex max-h-[88vh] w-[calc(100vw-24px)] -translate-x-1/2 flex-col gap-3 overflow-auto rounded-lg border border-edge bg-paper p-5 shadow-2xl ${full ? 'max-w-[98vw]' : widest ? 'max-w-[1240px]' : wide ? 'max-w-[860px]' : 'max-w-[520px]'}`}
        >
          <div className="flex items-start justify-between gap-3">
            <Dialog.Title className="h-stage">{title}</Dialog.Title>
            <Dialog.Close className="btn btn-quiet w-11 px-0" aria-label="Close">
              <X size={20} aria-hidden="true" />
            </Dialog.Close>
          </div>
          {says !== undefined && <Dialog.Description className="lead">{says}</Dialog.Description>}
          <div data-body="" className="@container flex flex-col gap-3">
            {children}
          </div>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  )
}
