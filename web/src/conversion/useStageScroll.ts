import type { StageId } from '@zesty/core'
import { useEffect, useRef } from 'react'
import { isJumping } from '../state/goToField'

/** From this width on the stage scrolls by itself, beside card and findings; below, the page does. */
const BESIDE_PX = 1024
/** A stage that is fetched when it is first opened grows for a while, ms after it was opened. */
const TRIES = [0, 60, 200, 500]

const surface = () => document.getElementById('surface')
const isBeside = () => window.innerWidth >= BESIDE_PX
const position = () => (isBeside() ? (surface()?.scrollTop ?? 0) : window.scrollY)
const scrollTo = (top: number) => {
  const scroller = isBeside() ? surface() : document.documentElement
  if (scroller) scroller.scrollTop = top
}

/** Each stage opens at its top, and where it was left when it is come back to. A jump to a field goes before. */
export function useStageScroll(stage: StageId): void {
  const left = useRef<Partial<Record<StageId, number>>>({})
  useEffect(() => {
    const at = left.current
    const wanted = at[stage] ?? 0
    let settled = false
    // The top is there at once; only a place further down may have to wait for what stands above it.
    const tries = (wanted === 0 ? TRIES.slice(0, 1) : TRIES).map((ms) =>
      setTimeout(() => {
        if (!settled && !isJumping() && Math.abs(position() - wanted) > 1) scrollTo(wanted)
      }, ms),
    )
    const note = () => {
      at[stage] = position()
    }
    // Whoever scrolls is not scrolled back.
    const settle = () => {
      settled = true
    }
    const scroller = surface()
    for (const target of [scroller, window]) target?.addEventListener('scroll', note, { passive: true })
    for (const event of ['wheel', 'touchmove', 'keydown', 'pointerdown'] as const)
      window.addEventListener(event, settle, { passive: true, once: true })
    return () => {
      tries.forEach(clearTimeout)
      for (const target of [scroller, window]) target?.removeEventListener('scroll', note)
      for (const event of ['wheel', 'touchmove', 'keydown', 'pointerdown'] as const)
        window.removeEventListener(event, settle)
    }
  }, [stage])
}
