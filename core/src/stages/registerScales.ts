/** What one step of a speed register stands for. */
export const registerScales = {
  'hertz-10': 'Hertz times 10',
  'hertz-100': 'Hertz times 100',
  'base-per-cent': 'Per cent of base',
} as const
export type RegisterScale = keyof typeof registerScales
