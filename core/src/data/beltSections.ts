/** A belt's cross-section, and the pulleys it stands. Sizes in mm. */
export interface BeltSection {
  name: string
  /** Width over the back, height, and width where the cord runs. */
  topMm: number
  heightMm: number
  datumMm: number
  /** Smallest pulley, pitch diameter. */
  smallestMm: number
  /** Pitch lengths from stock. */
  lengthsMm: readonly number[]
}

const section = (
  name: string,
  topMm: number,
  heightMm: number,
  datumMm: number,
  smallestMm: number,
  lengthsMm: readonly number[],
): BeltSection => ({ name, topMm, heightMm, datumMm, smallestMm, lengthsMm })

/** Every twentieth of a decade. */
const r20 = [630, 710, 800, 900, 1000, 1120, 1250, 1400, 1600, 1800, 2000, 2240, 2500, 2800, 3150]

/**
 * Classical and narrow V-belts. Flanks stand at 40 degrees to each other, so the cord lies
 * (top - datum) / (2 tan 20) under the back.
 */
export const beltSections = {
  citation: 'ISO 4184 (belts) and ISO 4183 (grooved pulleys, smallest diameters); other lengths are sold too',
  sections: {
    z: section('Z, 10 mm', 10, 6, 8.5, 50, [405, 475, 530, 625, 700, 780, 920, 1080, 1330, 1420, 1540]),
    a: section(
      'A, 13 mm',
      13,
      8,
      11,
      75,
      [630, 700, 790, 890, 990, 1100, 1250, 1430, 1550, 1640, 1750, 1940, 2050, 2200, 2300, 2480, 2700],
    ),
    b: section(
      'B, 17 mm',
      17,
      11,
      14,
      125,
      [930, 1000, 1100, 1210, 1370, 1560, 1760, 1950, 2180, 2300, 2500, 2700, 2870, 3200],
    ),
    c: section('C, 22 mm', 22, 14, 19, 200, [1565, 1760, 1950, 2195, 2420, 2715, 2880, 3080, 3520, 4060]),
    spz: section('SPZ, narrow', 9.7, 8, 8.5, 63, r20),
    spa: section('SPA, narrow', 12.7, 10, 11, 90, [...r20.filter((mm) => mm >= 800), 3550, 4000, 4500]),
  },
} as const satisfies { citation: string; sections: Record<string, BeltSection> }

export type BeltSectionId = keyof typeof beltSections.sections

/** Slope of a belt's flanks, at 40 degrees to each other. */
export const FLANK = Math.tan((20 * Math.PI) / 180)

/** How far the cord lies under the back of a belt, mm. */
export const cordDepthMm = ({ topMm, datumMm }: BeltSection): number => (topMm - datumMm) / (2 * FLANK)
