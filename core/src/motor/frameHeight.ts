import { isAmbiguousFrame } from '../data/frameSizes'
import { MM_PER_INCH } from '../quantities'

/**
 * Shaft height in mm from a frame name, or undefined where the name gives none.
 *
 * 56 alone gives none: two families have it; `IEC 56` and `NEMA 56` tell which.
 *
 * IEC frames are the height itself (`90L`, `112M`). NEMA frames of two digits are sixteenths of
 * an inch (`56C`); of three digits, the first two are quarters of an inch (`145T`).
 *
 * Source: IEC 60072-1; NEMA MG 1 Part 4 (frame designations).
 */
export function frameHeightMm(frame: string): number | undefined {
  if (isAmbiguousFrame(frame)) return undefined
  if (/^(56\s*NEMA|NEMA\s*56)$/i.test(frame.trim())) return NEMA_56_MM
  if (/^56\s*IEC$/i.test(frame.trim())) return 56
  const name = frame
    .trim()
    .toUpperCase()
    .replace(/^(IEC|NEMA|FRAME)\s*/, '')
  const found = /^(\d{2,3})\s*([A-Z]*)/.exec(name)
  if (!found) return undefined
  const digits = found[1] ?? ''
  const letters = found[2] ?? ''
  const number = Number(digits)
  if (isIec(number, letters)) return number
  if (digits.length === 2) return nemaTwoDigits.has(number) ? (number / 16) * MM_PER_INCH : undefined
  return nemaThreeDigits.test(digits) ? (Math.floor(number / 10) / 4) * MM_PER_INCH : undefined
}

const NEMA_56_MM = 3.5 * MM_PER_INCH
const iecHeights = new Set([56, 63, 71, 80, 90, 100, 112, 132, 160, 180, 200, 225, 250, 280, 315])
const nemaTwoDigits = new Set([42, 48, 56, 66])
const nemaThreeDigits = /^(14[35]|18[24]|20[34]|21[35]|224|25[46]|28[46]|32[46]|36[45]|40[45]|44[45])$/

/** 56 is a frame in both families: followed by nothing, S, M or L it is IEC; otherwise, and alone in NEMA use, 56 C, H, J, Y, Z. */
const isIec = (height: number, letters: string): boolean =>
  iecHeights.has(height) && (height !== 56 || /^(|S|M|L)$/.test(letters))
