/** A key and what it takes away from the hub; mm. */
export interface ParallelKey {
  widthMm: number
  heightMm: number
  /** Depth of the keyway in the hub, over the bore. */
  hubMm: number
}

const INCH = 25.4

/** Keys by the shaft they sit in. */
export const parallelKeys = {
  citation: 'ISO/R 773 (metric parallel keys); NEMA MG 1 Part 4 (keyways of inch shafts, half of the key in the hub)',
  /** Shafts over the one size and up to the next, mm: key and depth in the hub. */
  metric: [
    { overMm: 6, upToMm: 8, widthMm: 2, heightMm: 2, hubMm: 1 },
    { overMm: 8, upToMm: 10, widthMm: 3, heightMm: 3, hubMm: 1.4 },
    { overMm: 10, upToMm: 12, widthMm: 4, heightMm: 4, hubMm: 1.8 },
    { overMm: 12, upToMm: 17, widthMm: 5, heightMm: 5, hubMm: 2.3 },
    { overMm: 17, upToMm: 22, widthMm: 6, heightMm: 6, hubMm: 2.8 },
    { overMm: 22, upToMm: 30, widthMm: 8, heightMm: 7, hubMm: 3.3 },
    { overMm: 30, upToMm: 38, widthMm: 10, heightMm: 8, hubMm: 3.3 },
    { overMm: 38, upToMm: 44, widthMm: 12, heightMm: 8, hubMm: 3.3 },
    { overMm: 44, upToMm: 50, widthMm: 14, heightMm: 9, hubMm: 3.8 },
    { overMm: 50, upToMm: 58, widthMm: 16, heightMm: 10, hubMm: 4.3 },
  ],
  /** Shaft and square key, inches. */
  inch: [
    { shaft: 0.625, key: 0.1875 },
    { shaft: 0.75, key: 0.1875 },
    { shaft: 0.875, key: 0.1875 },
    { shaft: 1, key: 0.25 },
    { shaft: 1.125, key: 0.25 },
    { shaft: 1.25, key: 0.25 },
    { shaft: 1.375, key: 0.3125 },
    { shaft: 1.625, key: 0.375 },
    { shaft: 1.875, key: 0.5 },
  ],
} as const

/** Shafts that agree within this are the same size, mm. */
const SAME = 0.06

/** The key of a shaft; undefined where the tables hold none. */
export function keyFor(shaftMm: number): ParallelKey | undefined {
  const inch = parallelKeys.inch.find(({ shaft }) => Math.abs(shaft * INCH - shaftMm) < SAME)
  if (inch) return { widthMm: inch.key * INCH, heightMm: inch.key * INCH, hubMm: (inch.key * INCH) / 2 }
  const row = parallelKeys.metric.find(({ overMm, upToMm }) => shaftMm > overMm && shaftMm <= upToMm)
  return row && { widthMm: row.widthMm, heightMm: row.heightMm, hubMm: row.hubMm }
}
