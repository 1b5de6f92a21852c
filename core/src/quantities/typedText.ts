import type { Dimension } from './dimension'
import { nominalVoltage } from './nominalVoltage'

/** A sign or word of the two links, which may stand before or behind volts and amps and says nothing of their size. */
const LINK = String.raw`(?:[ΔδYyDd∆△λ⅄]|star|delta)`
const LINKS_BEFORE = new RegExp(String.raw`^${LINK}(?:\s*\/\s*${LINK})?[\s:=]*(?=\d)`, 'u')
const LINKS_BEHIND = new RegExp(String.raw`(?<=[\dVvAa])\s*${LINK}(?:\s*\/\s*${LINK})?$`, 'u')
const CURRENT_BEFORE = /^(?:a\.?c\.?|d\.?c\.?|[13]?\s*~|[13]\s*ph(?:ase)?)[\s:=]*(?=\d)/i
const CURRENT_BEHIND = /(?<=v(?:olts?)?)\s*(?:~|a\.?c\.?|d\.?c\.?)\.?$/i
/** What the amps are of. */
const OF_WHAT =
  /(?<=\d\s?(?:a|amps?|amperes?))\s+(?:fused?|breaker|mcb|plug|socket|circuit|outlet|slow|fast|type\s+[bcd]|t|c|d)s?$/i

/** Text of a field without what people write around a value: link signs, `AC`, the fuse that the amps are of. */
export function plainTyped(text: string, dimension: Dimension): string {
  if (dimension !== 'voltage' && dimension !== 'current') return text
  const bare = text.replace(CURRENT_BEFORE, '').replace(LINKS_BEFORE, '').replace(LINKS_BEHIND, '').trim()
  return (dimension === 'voltage' ? bare.replace(CURRENT_BEHIND, '') : bare.replace(OF_WHAT, '')).trim()
}

const NUMBER = String.raw`(?:\d[\d.,]*|[.,]\d+)`
const RANGE = new RegExp(
  String.raw`^(${NUMBER})\s*[a-z"]{0,2}\s*(?:-|÷|\.{2,3}|…|\bto\b|\bbis\b|\bà\b)\s*(${NUMBER})(?!\s*\/)\s*(.*)$`,
  'iu',
)

/** The two ends of a range with the unit behind it, `220-240 V`; undefined where a text is none. */
export function rangeIn(text: string): { from: string; to: string; unit: string } | undefined {
  const [, from, to, unit] = RANGE.exec(text) ?? []
  return from === undefined || to === undefined ? undefined : { from, to, unit: (unit ?? '').trim() }
}

/**
 * The one value that a plate's range stands for: of volts the nominal one that it surrounds, or of two neighbours the
 * usual one now (208-230 is 230); of amps the smaller, which protects the motor. Undefined where it stands for none.
 */
export function valueOfRange(from: number, to: number, dimension: Dimension): number | undefined {
  if (dimension === 'current') return Math.min(from, to)
  if (dimension !== 'voltage') return undefined
  const [low, high] = [Math.min(from, to), Math.max(from, to)]
  const [a, b] = [nominalVoltage(low), nominalVoltage(high)]
  if (a === b || (a === 208 && b === 230)) return b
  const middle = nominalVoltage((low + high) / 2)
  return low < middle && middle < high && high / low <= 1.35 ? middle : undefined
}
