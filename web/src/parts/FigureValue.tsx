import { printQuantity, type FigureId } from '@zesty/core'
import { lazy, Suspense, useRef, useState } from 'react'
import { useFigure } from '../state/evaluation'
import { useUnits } from '../state/units'

const WorkingPopover = lazy(() => import('./WorkingPopover').then((m) => ({ default: m.WorkingPopover })))

/** A figure's number, which opens to its working. Without one it says so. */
export function FigureValue({ id, className = '' }: { id: FigureId; className?: string }) {
  const figure = useFigure(id)
  const units = useUnits()
  const button = useRef<HTMLButtonElement>(null)
  const [open, setOpen] = useState(false)
  return (
    <>
      <button
        ref={button}
        type="button"
        data-figure={id}
        aria-haspopup="dialog"
        aria-expanded={open}
        aria-label={
          figure
            ? `${figure.label}: ${printQuantity(figure, units)}. Show the working`
            : 'Not known yet. Show what is missing'
        }
        className={`inline-flex min-h-11 min-w-11 items-center justify-end rounded px-1.5 text-right font-semibold decoration-edge decoration-dotted underline-offset-4 hover:underline ${figure ? '' : 'text-ink-2'} ${className}`}
        onClick={() => setOpen(!open)}
      >
        {figure ? printQuantity(figure, units) : 'not known'}
      </button>
      {open && (
        <Suspense fallback={null}>
          <WorkingPopover id={id} anchor={button} onClose={() => setOpen(false)} />
        </Suspense>
      )}
    </>
  )
}
