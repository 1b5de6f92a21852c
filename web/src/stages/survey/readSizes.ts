import { parseQuantity, type Parsed, type UnitSystem } from '@zesty/core'

const MOST = 8

/** Several sizes in one field: `90, 125, 160`, `120,100,80`, `3.5 in / 5 in`, `2 3/8, 3, 4"`; mm. */
export function readSizes(text: string, units: UnitSystem): Parsed<number[]> {
  const parts = partsOf(text.trim())
  if (parts.length > MOST) return { ok: false, message: `At most ${MOST} steps.` }
  // A unit at the end is that of all before it that have none.
  const unit = /\d\s*([^\d\s.,/-]+\.?)$/.exec(parts.at(-1) ?? '')?.[1] ?? ''
  const sizes: number[] = []
  for (const part of parts) {
    const parsed = parseQuantity(/[^\d\s.,/-]/.test(part) ? part : `${part} ${unit}`, 'length', units)
    if (!parsed.ok) return parsed
    if (parsed.value < 1 || parsed.value > 3000) return { ok: false, message: `"${part}" is no pulley: 1 to 3000 mm.` }
    sizes.push(parsed.value)
  }
  return { ok: true, value: sizes }
}

/** Blanks part sizes only where nothing but numbers is there: else they stand before units and fractions. */
function partsOf(text: string): string[] {
  const separators = /^[\d\s.]+$/.test(text)
    ? /\s+/
    : isListOfCommas(text)
      ? /,/
      : /[;\n]|\s\/\s|,\s+|(?<=[a-z"”″])\s*[,/]\s*/i
  return text
    .split(separators)
    .map((part) => part.trim().replace(/,$/, ''))
    .filter((part) => part !== '')
}

/** `120,100,80` is three sizes and `120,100` two; `62,5` is one with a decimal comma. */
const isListOfCommas = (text: string): boolean => /^\d+(?:,\d+){2,}\D*$/.test(text) || /^\d{2,4},\d{2,4}\D*$/.test(text)

/** Pairs of teeth, `28:42, 30:45`, driver first. */
export function readGears(text: string): Parsed<{ driver: number; driven: number }[]> {
  const gears: { driver: number; driven: number }[] = []
  for (const part of text.split(/[;,\n]/).filter((p) => p.trim() !== '')) {
    const found = /^\s*(\d{1,3})\s*[:/]\s*(\d{1,3})\s*$/.exec(part)
    const [driver, driven] = [Number(found?.[1]), Number(found?.[2])]
    if (!found || driver < 4 || driven < 4)
      return { ok: false, message: `"${part.trim()}" is no pair of teeth such as 28:42.` }
    gears.push({ driver, driven })
  }
  return gears.length > 4 ? { ok: false, message: 'At most four pairs.' } : { ok: true, value: gears }
}
