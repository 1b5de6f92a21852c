import type { BeltSectionId } from './beltSections'

/** The groove cut for a section; sizes in mm, angles of the whole groove in degrees. */
export interface BeltGroove {
  /** Width at the datum diameter. */
  datumMm: number
  /** Flank above the datum diameter, and depth below it, at the least. */
  aboveMm: number
  belowMm: number
  /** Pulleys up to this diameter are cut at the smaller angle. */
  narrowUpToMm: number
}

const groove = (datumMm: number, aboveMm: number, belowMm: number, narrowUpToMm: number): BeltGroove => ({
  datumMm,
  aboveMm,
  belowMm,
  narrowUpToMm,
})

/** Grooves of V-belt pulleys. */
export const beltGrooves = {
  citation: 'ISO 4183 (grooved pulleys for classical and narrow V-belts)',
  /** Of a small pulley, whose belt swells at its flanks as it bends, and of a large one. */
  narrowDeg: 34,
  wideDeg: 38,
  grooves: {
    z: groove(8.5, 2, 7, 80),
    a: groove(11, 2.75, 8.7, 118),
    b: groove(14, 3.5, 10.8, 190),
    c: groove(19, 4.8, 14.3, 315),
    spz: groove(8.5, 2, 9, 80),
    spa: groove(11, 2.75, 11, 118),
  } as const satisfies Record<BeltSectionId, BeltGroove>,
}

/** Included angle of a groove at a pulley's diameter, degrees. */
export const grooveAngleDeg = ({ narrowUpToMm }: BeltGroove, diameterMm: number): number =>
  diameterMm <= narrowUpToMm ? beltGrooves.narrowDeg : beltGrooves.wideDeg
