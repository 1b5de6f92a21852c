/** A poly-V profile; sizes in mm. */
export interface RibProfile {
  name: string
  ribMm: number
  /** Smallest pulley, effective diameter. */
  smallestMm: number
}

/** A timing belt's pitch; sizes in mm. */
export interface ToothPitch {
  name: string
  pitchMm: number
  /** Fewest teeth of a pulley; more are wanted at speed. */
  fewestTeeth: number
  /** Teeth of the belts from stock. */
  teeth: readonly number[]
}

/** Poly-V belts. Their lengths are each maker's own. */
export const ribProfiles = {
  citation: 'ISO 9982 (poly-V profiles and smallest pulleys); lengths are each maker’s own',
  profiles: {
    'rib-h': { name: 'Poly-V H, 1.6 mm ribs', ribMm: 1.6, smallestMm: 13 },
    'rib-j': { name: 'Poly-V J, 2.34 mm ribs', ribMm: 2.34, smallestMm: 20 },
    'rib-k': { name: 'Poly-V K, 3.56 mm ribs', ribMm: 3.56, smallestMm: 45 },
    'rib-l': { name: 'Poly-V L, 4.7 mm ribs', ribMm: 4.7, smallestMm: 75 },
    'rib-m': { name: 'Poly-V M, 9.4 mm ribs', ribMm: 9.4, smallestMm: 180 },
  } as const satisfies Record<string, RibProfile>,
}

export type RibProfileId = keyof typeof ribProfiles.profiles

const from = (first: number, last: number, step: number): number[] =>
  Array.from({ length: Math.floor((last - first) / step) + 1 }, (_, i) => first + i * step)

/** Timing belts with trapezoidal teeth of inch pitch. */
export const toothPitches = {
  citation: 'ISO 5296 (pitches and lengths); fewest teeth are planning values, more at speed',
  pitches: {
    'tooth-xl': { name: 'Timing XL, 5.08 mm', pitchMm: 5.08, fewestTeeth: 10, teeth: from(30, 130, 5) },
    'tooth-l': {
      name: 'Timing L, 9.525 mm',
      pitchMm: 9.525,
      fewestTeeth: 12,
      teeth: [33, 40, 50, 56, 60, 64, 68, 72, 76, 80, 86, 92, 98, 104, 112, 120, 128, 136, 144, 160],
    },
    'tooth-h': {
      name: 'Timing H, 12.7 mm',
      pitchMm: 12.7,
      fewestTeeth: 14,
      teeth: [...from(48, 126, 6), 132, 140, 150, 160, 170, 180, 200, 220, 250, 280, 340],
    },
  } as const satisfies Record<string, ToothPitch>,
}

export type ToothPitchId = keyof typeof toothPitches.pitches
