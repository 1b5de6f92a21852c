import type { FigureId } from '@zesty/core'
import type { ShownFigure } from '@zesty/core/run-in'
import { lazy, memo, type ReactNode, Suspense, useRef, useState } from 'react'

const WorkingPopover = lazy(() => import('./WorkingPopover').then((m) => ({ default: m.WorkingPopover })))

/** A number that opens to its working: a figure of the plan by its id, or one that stands beside the plan. */
export const WorkingButton = memo(function WorkingButton({
  of,
  label,
  className = '',
  children,
}: {
  of: FigureId | ShownFigure
  label: string
  className?: string
  children: ReactNode
}) {
  const button = useRef<HTMLButtonElement>(null)
  const [open, setOpen] = useState(false)
  return (
    <>
      <button
        ref={button}
        type="button"
        data-figure={typeof of === 'string' ? of : ''}
        aria-haspopup="dialog"
        aria-expanded={open}
        aria-label={label}
        className={`inline-flex min-h-11 min-w-11 items-center rounded font-semibold decoration-edge decoration-dotted underline-offset-4 hover:underline ${className}`}
        onClick={() => setOpen(!open)}
      >
        {children}
      </button>
      {open && (
        <Suspense fallback={null}>
          <WorkingPopover of={of} anchor={button} onClose={() => setOpen(false)} />
        </Suspense>
      )}
    </>
  )
})
