import type { FigureId } from '@zesty/core'
import type { ShownFigure } from '@zesty/core/run-in'
import { Popover } from 'radix-ui'
import type { RefObject } from 'react'
import { Working } from './Working'

/** The working of a figure beside its number; loaded when the first one is opened. */
export function WorkingPopover({
  of,
  anchor,
  onClose,
}: {
  of: FigureId | ShownFigure
  anchor: RefObject<HTMLButtonElement | null>
  onClose: () => void
}) {
  return (
    <Popover.Root open onOpenChange={(now) => !now && onClose()}>
      <Popover.Anchor virtualRef={anchor} />
      <Popover.Portal>
        <Popover.Content
          sideOffset={6}
          collisionPadding={10}
          className="z-40 max-h-[min(80vh,var(--radix-popover-content-available-height))] w-[380px] max-w-[calc(100vw-20px)] overflow-auto rounded-lg border border-edge bg-card p-4 shadow-xl"
          // Back to the number, unless the person went on to a field.
          onCloseAutoFocus={(e) => {
            e.preventDefault()
            if (document.activeElement === document.body) anchor.current?.focus()
          }}
          // The number itself closes it again by its own press.
          onInteractOutside={(e) => anchor.current?.contains(e.target as Node) && e.preventDefault()}
        >
          <Working of={of} />
          <Popover.Arrow className="fill-edge" />
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  )
}
