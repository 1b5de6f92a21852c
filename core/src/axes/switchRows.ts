/** One switch of a driver, as it stands. */
export interface DipSwitch {
  number: number
  on: boolean
}

/**
 * A driver's switches as they were typed, in groups as they stand: `0110 1001`, `on off off on`. Undefined where it does
 * not read as switches; nothing is guessed.
 *
 * @example switchRows('01 1') // [[{ number: 1, on: false }, { number: 2, on: true }], [{ number: 3, on: true }]]
 */
export function switchRows(text: string): DipSwitch[][] | undefined {
  const words = text
    .trim()
    .toLowerCase()
    .split(/[\s,;/|-]+/)
    .filter((word) => word !== '')
  const bits = words.map((word) =>
    word === 'on' || word === 'off' ? (word === 'on' ? '1' : '0') : /^[01]+$/.test(word) ? word : undefined,
  )
  if (bits.length === 0 || bits.some((b) => b === undefined)) return undefined
  // Written as words each is one switch of one row.
  const groups = words.every((word) => word === 'on' || word === 'off') ? [bits.join('')] : bits
  let number = 0
  return groups.map((group) => Array.from(group ?? '', (bit) => ({ number: (number += 1), on: bit === '1' })))
}
