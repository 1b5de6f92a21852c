import { Suspense, useEffect, useRef, useState, type ReactNode } from 'react'
import { SHOW_ALL } from '../state/printing'

/** Holds the place of a heavy section, under its id so that it can be jumped to, until it is about to be seen. */
export function WhenSeen({ id, height, children }: { id: string; height: number; children: ReactNode }) {
  const place = useRef<HTMLDivElement>(null)
  const [seen, setSeen] = useState(false)
  useEffect(() => {
    if (!place.current) return undefined
    const observer = new IntersectionObserver(([entry]) => entry?.isIntersecting && setSeen(true), {
      rootMargin: '120px',
    })
    observer.observe(place.current)
    const show = () => setSeen(true)
    for (const event of [SHOW_ALL, 'beforeprint']) window.addEventListener(event, show)
    return () => {
      observer.disconnect()
      for (const event of [SHOW_ALL, 'beforeprint']) window.removeEventListener(event, show)
    }
  }, [])
  const placeHolder = <div id={id} tabIndex={-1} data-waiting="" className="sheet mt-4" style={{ height }} />
  return <div ref={place}>{seen ? <Suspense fallback={placeHolder}>{children}</Suspense> : placeHolder}</div>
}
