import { Suspense, useEffect, useRef, useState, type ReactNode } from 'react'

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
    return () => observer.disconnect()
  }, [])
  const placeHolder = <div id={id} tabIndex={-1} className="sheet mt-4" style={{ height }} />
  return <div ref={place}>{seen ? <Suspense fallback={placeHolder}>{children}</Suspense> : placeHolder}</div>
}
