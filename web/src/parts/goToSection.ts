/** Frames for which a section is held in place while what stands above it is loaded and grows. */
const FRAMES = 45

/** What a person does that ends the holding: from then on the page is theirs, and nothing scrolls or takes the focus. */
const ACTS = ['pointerdown', 'keydown', 'wheel', 'touchstart', 'input'] as const

/** Ends the holding that is under way, if any. */
let letGo = (): void => undefined

/** Brings a section's heading to the top and puts the focus there, until the person does something else. */
export function goToSection(id: string): void {
  letGo()
  const heading = document.getElementById(id)
  if (!heading) return
  heading.focus({ preventScroll: true })
  const held = new AbortController()
  letGo = () => held.abort()
  const options = { capture: true, passive: true, signal: held.signal }
  for (const act of ACTS) window.addEventListener(act, letGo, options)
  // The focus goes to nothing when a placeholder gives way; anywhere else, the person took it there.
  window.addEventListener('focusin', (e) => (e.target as Element).id !== id && letGo(), options)
  hold(id, FRAMES, held.signal)
}

function hold(id: string, frames: number, held: AbortSignal): void {
  if (held.aborted) return
  // Looked up anew each time: a placeholder's heading gives way to the real one.
  const heading = document.getElementById(id)
  heading?.scrollIntoView({ block: 'start' })
  if (document.activeElement !== heading) heading?.focus({ preventScroll: true })
  if (frames > 0) requestAnimationFrame(() => hold(id, frames - 1, held))
  else letGo()
}
