import type { Wiring } from '../wiring/model'

/**
 * A short name for what is joined to what: another where one end of one wire is, the same whatever its colour or number. By
 * it a proof knows on which wiring it was made. FNV-1a, 32 bits, over the ends in order.
 */
export function circuitOf({ wires, lines }: Pick<Wiring, 'wires' | 'lines'>): string {
  const ends = wires.map(({ from, to }) => [from, to].sort().join(' ')).sort()
  const settings = lines.map(({ code, value }) => `${code}=${value}`).sort()
  let hash = 0x811c9dc5
  for (const letter of [...ends, ...settings].join('\n')) {
    hash ^= letter.codePointAt(0) ?? 0
    hash = Math.imul(hash, 0x01000193) >>> 0
  }
  return hash.toString(36)
}
