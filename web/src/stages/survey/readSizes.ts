import { parseQuantity, type Parsed, type UnitSystem } from '@zesty/core'

const MOST = 8

/** Several sizes in one field, `90, 125, 160` or `3.5 in / 5 in`; mm. */
export function readSizes(text: string, units: UnitSystem): Parsed<number[]> {
  // Single blanks part sizes only where nothing but numbers is there: else they stand before units.
  const parts = (/^[\d\s.]+$/.test(text.trim()) ? text.trim().split(/\s+/) : text.split(/[;/\n]|,\s+/))
    .map((part) => part.trim().replace(/,$/, ''))
    .filter((part) => part !== '')
  if (parts.length > MOST) return { ok: false, message: `At most ${MOST} steps.` }
  const sizes: number[] = []
  for (const part of parts) {
    const parsed = parseQuantity(part, 'length', units)
    if (!parsed.ok) return parsed
    if (parsed.value < 1 || parsed.value > 3000) return { ok: false, message: `"${part}" is no pulley: 1 to 3000 mm.` }
    sizes.push(parsed.value)
  }
  return { ok: true, value: sizes }
}

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
