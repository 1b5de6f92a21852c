/** Day or night, as last chosen here; else as the device has it. */
export type Theme = 'day' | 'night'

const KEY = 'zesty.theme'

export function currentTheme(): Theme {
  const kept = localStorage.getItem(KEY)
  if (kept === 'day' || kept === 'night') return kept
  return window.matchMedia('(prefers-color-scheme: dark)').matches ? 'night' : 'day'
}

export function applyTheme(theme: Theme = currentTheme()): void {
  document.documentElement.dataset['theme'] = theme
}

export function switchTheme(): void {
  const next = currentTheme() === 'night' ? 'day' : 'night'
  localStorage.setItem(KEY, next)
  applyTheme(next)
}
