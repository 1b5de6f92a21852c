import { Suspense, useEffect, useRef, useState, type ReactNode } from 'react'

/** Holds the place of something heavy until it is about to be scrolled into view. */
export function WhenSeen({ placeHolder, children }: { placeHolder: ReactNode; children: ReactNode }) {
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
  return <div ref={place}>{seen ? <Suspense fallback={placeHolder}>{children}</Suspense> : placeHolder}</div>
}
