import { printQuantity } from '@zesty/core'
import { lazy, Suspense, useState } from 'react'
import { Popover } from 'radix-ui'
import { useFigure, useUnits } from '../conversion/openPlan'

const Working = lazy(() => import('./Working').then((m) => ({ default: m.Working })))

/** A figure's number, which opens to its working. Without one it says so. */
export function FigureValue({ id, className = '' }: { id: string; className?: string }) {
  const figure = useFigure(id)
  const units = useUnits()
  const [open, setOpen] = useState(false)
  return (
    <Popover.Root open={open} onOpenChange={setOpen}>
      <Popover.Trigger
        data-figure={id}
        aria-label={
          figure
            ? `${figure.label}: ${printQuantity(figure, units)}. Show the working`
            : 'Not known yet. Show what is missing'
        }
        className={`inline-flex min-h-11 min-w-11 items-center justify-end rounded px-1.5 text-right font-semibold decoration-edge decoration-dotted underline-offset-4 hover:underline ${figure ? '' : 'text-ink-2'} ${className}`}
      >
        {figure ? printQuantity(figure, units) : 'not known'}
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          sideOffset={6}
          collisionPadding={10}
          className="z-40 max-h-[80vh] w-[380px] max-w-[calc(100vw-20px)] overflow-auto rounded-lg border border-edge bg-card p-4 shadow-xl"
        >
          <Suspense fallback={<p className="lead">Opening the working</p>}>
            <Working id={id} />
          </Suspense>
          <Popover.Arrow className="fill-edge" />
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  )
}
