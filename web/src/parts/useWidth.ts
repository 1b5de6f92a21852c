import { useCallback, useState } from 'react'

/** Narrower than this a drawing scrolls rather than shrinks. */
const narrowest = 280

/** Room inside an element's padding, px. */
function contentWidth(element: HTMLElement): number {
  const { paddingLeft, paddingRight } = getComputedStyle(element)
  return element.clientWidth - parseFloat(paddingLeft) - parseFloat(paddingRight)
}

/**
 * Width of an element as it is laid out, for drawings that fill it. It is measured as the element enters the page,
 * before anything is painted, so that no drawing is ever seen wider than the screen; `initial` counts only for what
 * is not laid out at all.
 */
export function useWidth(initial: number): [(element: HTMLElement | null) => (() => void) | undefined, number] {
  const [width, setWidth] = useState(initial)
  const ref = useCallback((element: HTMLElement | null) => {
    if (!element) return undefined
    const take = (room: number) => room > 0 && setWidth(Math.max(narrowest, Math.floor(room)))
    take(contentWidth(element))
    const observer = new ResizeObserver(([entry]) => entry && take(entry.contentRect.width))
    observer.observe(element)
    return () => observer.disconnect()
  }, [])
  return [ref, width]
}
