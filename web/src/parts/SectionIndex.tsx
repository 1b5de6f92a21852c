import { useEffect, useRef, useState } from 'react'
import { goToSection } from './goToSection'

/** A part of a stage that can be jumped to. */
export interface Section {
  /** Of its heading. */
  id: string
  name: string
}

/** Under the index, px: a heading that near to it is the one that one reads under. */
const NEAR = 48
/** For so long after a press, ms, the part that was pressed is the one that is marked, wherever the page can scroll to. */
const PRESSED_MS = 1000

/** The parts of a long stage, in view wherever one is, the one that one reads marked. */
export function SectionIndex({ of, sections }: { of: string; sections: readonly Section[] }) {
  const nav = useRef<HTMLElement>(null)
  const pressedAt = useRef(-Infinity)
  const [current, setCurrent] = useState<string>()
  useEffect(() => {
    let frame = 0
    const look = () => {
      frame = 0
      if (!nav.current || performance.now() - pressedAt.current < PRESSED_MS) return
      const line = nav.current.getBoundingClientRect().bottom + NEAR
      const above = sections.filter(({ id }) => {
        const heading = document.getElementById(id)
        return heading !== null && heading.getBoundingClientRect().top <= line
      })
      setCurrent(above[above.length - 1]?.id)
    }
    const soon = () => {
      if (frame === 0) frame = requestAnimationFrame(look)
    }
    look()
    // Scrolling does not bubble: whichever part of the page scrolls is heard on its way down.
    window.addEventListener('scroll', soon, { capture: true, passive: true })
    window.addEventListener('resize', soon)
    return () => {
      cancelAnimationFrame(frame)
      window.removeEventListener('scroll', soon, { capture: true })
      window.removeEventListener('resize', soon)
    }
  }, [sections])
  useEffect(() => {
    const marked = nav.current?.querySelector<HTMLElement>('[aria-current]')
    // Only within the index, which may be wider than its place; the page stays where it is.
    if (marked && nav.current) nav.current.scrollLeft = marked.offsetLeft - nav.current.clientWidth / 3
  }, [current])
  const go = (id: string) => {
    pressedAt.current = performance.now()
    setCurrent(id)
    goToSection(id)
  }
  return (
    <nav
      ref={nav}
      aria-label={`Parts of ${of}`}
      className="sticky top-11 z-10 -mx-3 mb-3 flex overflow-x-auto border-b border-rule bg-paper px-1 [scrollbar-width:none] sm:-mx-[18px] sm:px-2 lg:-top-3.5 print:hidden"
    >
      {sections.map(({ id, name }) => (
        <button
          key={id}
          type="button"
          aria-current={id === current ? 'true' : undefined}
          className={`min-h-11 shrink-0 border-b-[3px] px-2.5 text-[15px] font-semibold ${id === current ? 'border-blue text-ink' : 'border-transparent text-blue underline underline-offset-4'}`}
          onClick={() => go(id)}
        >
          {name}
        </button>
      ))}
    </nav>
  )
}
