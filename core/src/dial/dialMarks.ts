import { textWidth } from '../drawing/textWidth'
import { degAt, type DialScale } from './dialScale'

/** Height of the words of a dial, mm. */
export const TEXT = 2.9
/** Least between the middles of two words, along the arc. */
const AIR = 2.4
/** Parts of the dial in which a value is looked for. */
const FINE = 400

/** Numbers on a dial: 1, 2 or 5 times ten. */
const niceSteps = [0.1, 0.2, 0.5, 1, 2, 5, 10, 20, 50, 100, 200, 500, 1000, 2000, 5000, 10_000]

interface Tick {
  value: number
  deg: number
  label?: string
}

/** Round values along the dial: words as far apart as they need, and small ticks between. */
export function marksOf(
  scale: DialScale,
  at: (mark: number) => number | undefined,
  radius: number,
): { ticks: Tick[] } | undefined {
  const values = Array.from({ length: FINE + 1 }, (_, i) => at(scale.from + ((scale.to - scale.from) * i) / FINE))
  if (values.some((v) => v === undefined || !Number.isFinite(v))) return undefined
  const known = values as number[]
  const [low, high] = [Math.min(...known), Math.max(...known)]
  if (high - low < 1e-9) return undefined
  /** The mark at which the dial has a value: it rises or falls all along. */
  const markAt = (value: number): number => {
    const i = known.findIndex((v, k) => k > 0 && (v - value) * ((known[k - 1] ?? v) - value) <= 0)
    const [a, b] = [known[i - 1] ?? value, known[i] ?? value]
    const share = a === b ? 0 : (value - a) / (b - a)
    return scale.from + ((scale.to - scale.from) * (i - 1 + share)) / FINE
  }
  const listed = (step: number): number[] => {
    const first = Math.ceil(low / step - 1e-9)
    const last = Math.floor(high / step + 1e-9)
    return last - first > 400 ? [] : Array.from({ length: Math.max(0, last - first + 1) }, (_, i) => (first + i) * step)
  }
  const degOf = (value: number) => degAt(scale, markAt(Math.min(high, Math.max(low, value))))
  const apart = (a: number, b: number) => (Math.abs(degOf(a) - degOf(b)) * Math.PI * radius) / 180
  const text = (value: number) => String(Math.round(value * 10) / 10)
  const fits = (step: number): boolean => {
    const all = listed(step)
    return (
      all.length > 1 && all.every((v, i) => i === 0 || apart(all[i - 1] ?? v, v) >= textWidth(text(v), TEXT, 600) + AIR)
    )
  }
  const step = niceSteps.find(fits)
  if (step === undefined)
    return { ticks: [low, high].map((value) => ({ value, deg: degOf(value), label: text(value) })) }
  const minor = [step / 5, step / 2].find((s) =>
    listed(s).every((v, i, all) => i === 0 || apart(all[i - 1] ?? v, v) >= 1.2),
  )
  const major = listed(step)
  return {
    ticks: [
      ...major.map((value) => ({ value, deg: degOf(value), label: text(value) })),
      ...(minor === undefined
        ? []
        : listed(minor)
            .filter((v) => !major.some((m) => Math.abs(m - v) < step / 1000))
            .map((value) => ({ value, deg: degOf(value) }))),
    ],
  }
}
