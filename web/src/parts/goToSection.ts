/** Frames for which a section is held in place while what stands above it is loaded and grows. */
const FRAMES = 45

/** Brings a section's heading to the top and puts the focus there. */
export function goToSection(id: string): void {
  const heading = document.getElementById(id)
  if (!heading) return
  heading.focus({ preventScroll: true })
  hold(id, FRAMES)
}

function hold(id: string, frames: number): void {
  // Looked up anew each time: a placeholder's heading gives way to the real one.
  const heading = document.getElementById(id)
  heading?.scrollIntoView({ block: 'start' })
  if (frames > 0) requestAnimationFrame(() => hold(id, frames - 1))
  else heading?.focus({ preventScroll: true })
}
