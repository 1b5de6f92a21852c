/**
 * American wire gauge to copper area and back.
 *
 * Source: ASTM B258 (definition of the gauge): d = 0.127 mm x 92^((36 - n) / 39).
 * Sizes above 0 are written 1/0, 2/0, 3/0, 4/0 and count as 0, -1, -2, -3.
 */
const SMALLEST_GAUGE = 40
const LARGEST_GAUGE = -3

/** Area in mm² of gauge `n`. */
export function gaugeArea(n: number): number {
  const diameterMm = 0.127 * 92 ** ((36 - n) / 39)
  return (Math.PI / 4) * diameterMm ** 2
}

/** The gauge whose area is nearest, on the gauge's own logarithmic ladder. */
export function nearestGauge(areaMm2: number): number {
  const diameterMm = Math.sqrt((4 * areaMm2) / Math.PI)
  const n = 36 - (39 * Math.log(diameterMm / 0.127)) / Math.log(92)
  return Math.min(SMALLEST_GAUGE, Math.max(LARGEST_GAUGE, Math.round(n)))
}

/** `14` or `2/0`, without the word AWG. */
export const gaugeName = (n: number): string => (n > 0 ? String(n) : `${1 - n}/0`)

/** Reads `14`, `2/0` or `00`; undefined when it is no gauge. */
export function readGauge(text: string): number | undefined {
  const aught = /^([1-4])\/0$/.exec(text)
  if (aught) return 1 - Number(aught[1])
  if (/^0{1,4}$/.test(text)) return 1 - text.length
  if (!/^\d{1,2}$/.test(text)) return undefined
  const n = Number(text)
  return n <= SMALLEST_GAUGE ? n : undefined
}
