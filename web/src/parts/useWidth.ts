import { useCallback, useState } from 'react'

/** Width of an element as it is laid out, for drawings that fill it. */
export function useWidth(initial: number): [(element: HTMLElement | null) => (() => void) | undefined, number] {
  const [width, setWidth] = useState(initial)
  const ref = useCallback((element: HTMLElement | null) => {
    if (!element) return undefined
    const observer = new ResizeObserver(
      ([entry]) => entry && setWidth(Math.max(280, Math.floor(entry.contentRect.width))),
    )
    observer.observe(element)
    return () => observer.disconnect()
  }, [])
  return [ref, width]
}
