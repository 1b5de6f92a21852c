import type { Dial } from '../plan'

/** A dial as it is drawn and turned, with what is usual in place of what was not said. */
export interface DialScale {
  /** Marks at its slow and its fast end. */
  from: number
  to: number
  arcDeg: number
  /** Where the slow end points, degrees clockwise from the top. */
  startDeg: number
  /** 1 where clockwise is faster, else -1. */
  way: 1 | -1
  plateMm: number
  holeMm: number
  safeStart: number
}

const USUAL = { from: 0, to: 10, arcDeg: 270, plateMm: 90, holeMm: 10 } as const

/** Marks nearer than this are one mark. */
const LEAST_APART = 0.1

/** How the dial turns and how large it is drawn, with what is usual for what nobody said. */
export function dialScale(dial: Dial): DialScale {
  const from = dial.fromMark ?? USUAL.from
  const to =
    dial.toMark !== undefined && Math.abs(dial.toMark - from) >= LEAST_APART
      ? dial.toMark
      : from + (USUAL.to - USUAL.from)
  const arcDeg = dial.arcDeg ?? USUAL.arcDeg
  const way = dial.turns === 'counter-clockwise' ? -1 : 1
  const plateMm = dial.plateMm ?? USUAL.plateMm
  return {
    from,
    to,
    arcDeg,
    // Alike to left and right of the top, unless it was measured.
    startDeg: dial.startDeg ?? (((360 - (way * arcDeg) / 2) % 360) + 360) % 360,
    way,
    plateMm,
    holeMm: dial.holeMm ?? USUAL.holeMm,
    safeStart: dial.safeStart ?? from,
  }
}

/** Degrees clockwise from the top at which a mark stands. */
export const degAt = ({ from, to, arcDeg, startDeg, way }: DialScale, mark: number): number =>
  startDeg + (way * arcDeg * (mark - from)) / (to - from)
