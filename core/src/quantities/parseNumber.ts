/** Spaces that printing and pasting bring in, and typographic fractions, made plain. */
export const plainText = (text: string): string =>
  text
    .replace(/[\u00a0\u2009\u202f\u2007\t]/g, ' ')
    .replace(
      /(\d?)([½¼¾⅓⅔⅛⅜⅝⅞])/g,
      (_, whole: string, sign: string) => `${whole ? `${whole} ` : ''}${vulgar[sign] ?? sign}`,
    )
    .replace(/[−–]/g, '-')
    .trim()

const vulgar: Record<string, string> = {
  '½': '1/2',
  '¼': '1/4',
  '¾': '3/4',
  '⅓': '1/3',
  '⅔': '2/3',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
}

/**
 * Reads one number as people write it: `1.5`, `7,5`, `1,420`, `1 420`, `3/4`, `5 1/2`.
 *
 * A single comma before exactly three digits is ambiguous. It separates thousands when
 * `thousands` says that the unit is one in which four-digit values are usual, and is a
 * decimal comma otherwise. Returns undefined for anything that is not a number.
 */
export function parseNumber(text: string, thousands: boolean): number | undefined {
  const signed = /^([+-]?)\s*(.*)$/.exec(plainText(text))
  if (!signed) return undefined
  const magnitude = parseMagnitude(signed[2] ?? '', thousands)
  return magnitude === undefined ? undefined : signed[1] === '-' ? -magnitude : magnitude
}

function parseMagnitude(text: string, thousands: boolean): number | undefined {
  const fraction = /^(?:(\d+)[ -])?(\d+)\/(\d+)$/.exec(text)
  if (fraction) {
    const below = Number(fraction[3])
    return below === 0 ? undefined : Number(fraction[1] ?? 0) + Number(fraction[2]) / below
  }
  const digits = /^\d{1,3}( \d{3})+([.,]\d+)?$/.test(text) ? text.replace(/ /g, '') : text
  if (!/^(\d[\d.,]*|[.,]\d+)$/.test(digits)) return undefined
  const plain = decimalPoint(digits, thousands)
  return plain !== undefined && /^(\d+\.?\d*|\.\d+)$/.test(plain) ? Number(plain) : undefined
}

/** The same number with a dot for decimals and nothing between thousands. */
function decimalPoint(digits: string, thousands: boolean): string | undefined {
  const commas = digits.split(',').length - 1
  const dots = digits.split('.').length - 1
  if (commas === 0 && dots <= 1) return digits
  if (commas > 0 && dots > 0) {
    const decimal = digits.lastIndexOf(',') > digits.lastIndexOf('.') ? ',' : '.'
    const group = decimal === ',' ? '.' : ','
    return digits.split(group).join('').replace(decimal, '.')
  }
  const mark = commas > 0 ? ',' : '.'
  const grouped = mark === ',' ? /^[1-9]\d{0,2}(,\d{3})+$/ : /^[1-9]\d{0,2}(\.\d{3})+$/
  if (commas + dots > 1) return grouped.test(digits) ? digits.split(mark).join('') : undefined
  return thousands && grouped.test(digits) ? digits.replace(',', '') : digits.replace(',', '.')
}
