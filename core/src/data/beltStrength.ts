import type { BeltSectionId } from './beltSections'

/**
 * What a V-belt bears: constants of the published rating formula kW = (a v^-0.09 - b/d - c v2) v, for half a turn of
 * wrap and without the bonus for ratio, v in m/s, d in mm. Makers rate their own belts, some half as much again; theirs
 * go over these.
 */
export const beltStrength = {
  citation:
    'Published rating formula of V-belts: A, B and C with the constants of IS 2494; Z, SPZ and SPA fitted to published ratings, the lower where they differ. Planning values; the maker’s rating rules',
  constants: {
    z: { a: 0.1102, b: 2.75, c: 0.44e-4 },
    a: { a: 0.45, b: 19.62, c: 0.765e-4 },
    b: { a: 0.79, b: 50.8, c: 1.32e-4 },
    c: { a: 1.47, b: 142.7, c: 2.34e-4 },
    spz: { a: 0.4107, b: 14.17, c: 0.5e-4 },
    spa: { a: 0.7386, b: 42.1, c: 0.9e-4 },
  } satisfies Record<BeltSectionId, { a: number; b: number; c: number }>,
} as const

export interface BeltStrength {
  /** Most pull and bending together at that speed, N. */
  bearsN: number
  /** Bending, N for each mm of 1/diameter: divided by the diameter in mm it is N. */
  bendingNmm: number
  /** N for each (m/s)2. */
  flungN: number
}

/** Below this speed of the belt the formula's rise is not believed. */
const SLOWEST_M_S = 0.5
const N_PER_KN = 1000

/** Strength of one belt of a section at a speed, where `shareAtHalfTurn` of it becomes pull at half a turn of wrap. */
export function strengthOf(id: BeltSectionId, speedMPerS: number, shareAtHalfTurn: number): BeltStrength {
  const { a, b, c } = beltStrength.constants[id]
  const v = Math.max(SLOWEST_M_S, speedMPerS)
  return {
    bearsN: (N_PER_KN * a * v ** -0.09) / shareAtHalfTurn,
    bendingNmm: (N_PER_KN * b) / shareAtHalfTurn,
    flungN: (N_PER_KN * c * speedMPerS ** 2) / shareAtHalfTurn,
  }
}
