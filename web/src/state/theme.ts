import { browserStorage } from './browserStorage'

/** Day or night, as last chosen here; else as the device has it. */
export type Theme = 'day' | 'night'

const KEY = 'zesty.theme'

export function currentTheme(): Theme {
  const kept = browserStorage.read(KEY)
  if (kept === 'day' || kept === 'night') return kept
  return window.matchMedia('(prefers-color-scheme: dark)').matches ? 'night' : 'day'
}

export function applyTheme(theme: Theme = currentTheme()): void {
  document.documentElement.dataset['theme'] = theme
}

export function switchTheme(): void {
  // As it is shown: a browser that keeps nothing does not remember what was chosen.
  const next = document.documentElement.dataset['theme'] === 'night' ? 'day' : 'night'
  browserStorage.write(KEY, next)
  applyTheme(next)
}
