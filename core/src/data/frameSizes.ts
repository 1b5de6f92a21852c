/** Sizes that a frame name fixes, in mm. */
export interface FrameSize {
  centreHeightMm: number
  footAcrossMm: number
  footAlongMm: number
  shaftMm: number
  shaftLengthMm: number
}

const size = (h: number, a: number, b: number, d: number, e: number, unit = 1): FrameSize => ({
  centreHeightMm: h * unit,
  footAcrossMm: a * unit,
  footAlongMm: b * unit,
  shaftMm: d * unit,
  shaftLengthMm: e * unit,
})

const INCH = 25.4

/**
 * Foot-mounted frames: shaft height, feet across and along, shaft diameter and length.
 *
 * IEC frames in mm, from IEC 60072-1 (2-pole shafts of 160 and larger are the same size here).
 * NEMA frames in inches, from NEMA MG 1 Part 4 (dimensions D, 2E, 2F, U, N-W). A motor's own drawing rules.
 */
export const frameSizes = {
  citation: 'IEC 60072-1 and NEMA MG 1 Part 4 (frame dimensions); the motor’s own drawing rules',
  frames: {
    '63': size(63, 100, 80, 11, 23),
    '71': size(71, 112, 90, 14, 30),
    '80': size(80, 125, 100, 19, 40),
    '90S': size(90, 140, 100, 24, 50),
    '90L': size(90, 140, 125, 24, 50),
    '100L': size(100, 160, 140, 28, 60),
    '112M': size(112, 190, 140, 28, 60),
    '132S': size(132, 216, 140, 38, 80),
    '132M': size(132, 216, 178, 38, 80),
    '160M': size(160, 254, 210, 42, 110),
    '160L': size(160, 254, 254, 42, 110),
    '48': size(3, 4.25, 2.75, 0.5, 1.5, INCH),
    '56C': size(3.5, 4.88, 3, 0.625, 1.88, INCH),
    '143T': size(3.5, 5.5, 4, 0.875, 2.25, INCH),
    '145T': size(3.5, 5.5, 5, 0.875, 2.25, INCH),
    '182T': size(4.5, 7.5, 4.5, 1.125, 2.75, INCH),
    '184T': size(4.5, 7.5, 5.5, 1.125, 2.75, INCH),
    '213T': size(5.25, 8.5, 5.5, 1.375, 3.38, INCH),
    '215T': size(5.25, 8.5, 7, 1.375, 3.38, INCH),
    '254T': size(6.25, 10, 8.25, 1.625, 4, INCH),
    '256T': size(6.25, 10, 10, 1.625, 4, INCH),
    // Before 1964: as stamped then, without a letter or with a U.
    '182': size(4.5, 7.5, 4.5, 0.875, 2.25, INCH),
    '184': size(4.5, 7.5, 5.5, 0.875, 2.25, INCH),
    '203': size(5, 8, 5.5, 0.75, 2.25, INCH),
    '204': size(5, 8, 6.5, 0.75, 2.25, INCH),
    '213': size(5.25, 8.5, 5.5, 1.125, 3, INCH),
    '215': size(5.25, 8.5, 7, 1.125, 3, INCH),
    '224': size(5.5, 9, 6.75, 1, 3, INCH),
    '254': size(6.25, 10, 8.25, 1.125, 3.38, INCH),
    '254U': size(6.25, 10, 8.25, 1.375, 3.75, INCH),
    '256U': size(6.25, 10, 10, 1.375, 3.75, INCH),
    '284': size(7, 11, 9.5, 1.25, 3.75, INCH),
    '284U': size(7, 11, 9.5, 1.625, 4.88, INCH),
    '286U': size(7, 11, 11, 1.625, 4.88, INCH),
  } as Readonly<Record<string, FrameSize>>,
}

/** The standard sizes of a frame as stamped, `90L`, `145TC`, `56H`; undefined where the name fixes none. */
export function frameSize(frame: string): FrameSize | undefined {
  const name = frame
    .trim()
    .toUpperCase()
    .replace(/^(IEC|NEMA|FRAME)\s*/, '')
    .replace(/\s+/g, '')
  const { frames } = frameSizes
  // A face (C) leaves the feet as they are; 56 with any letter of its family has the same feet and shaft.
  const key = /^\d{3}TC$/.test(name)
    ? name.slice(0, -1)
    : /^(182|184|213|215)U$/.test(name)
      ? name.slice(0, -1)
      : /^56[HYZ]{1,2}$/.test(name) || /^(56NEMA|NEMA56)$/.test(name) || (name === '56' && isNema(frame))
        ? '56C'
        : /^(63|71|80)[SML]?$/.test(name)
          ? name.slice(0, 2)
          : /^100$/.test(name)
            ? '100L'
            : /^112$/.test(name)
              ? '112M'
              : name
  return frames[key]
}

const isNema = (frame: string): boolean => /nema/i.test(frame)

/** What a frame's name says of its shaft or feet beside the sizes; undefined where nothing. */
export function frameCaution(frame: string): string | undefined {
  const name = frame.trim().toUpperCase().replace(/\s+/g, '')
  if (/^56J/.test(name)) return 'its shaft ends in a thread, made for a pump: a pulley does not hold on it'
  if (/^56C$/.test(name)) return 'it is often without feet: look before the plate is drilled'
  return undefined
}

/** 56 alone is the name of two frames: 56 mm of IEC, 3 1/2 inches of NEMA. */
export const isAmbiguousFrame = (frame: string): boolean => /^(FRAME\s*)?56$/i.test(frame.trim())
