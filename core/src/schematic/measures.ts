/** Sizes of a sheet in mm. */
export const GRID = 4
export const ROW = 8
export const CARD_GAP = 8
export const HEAD = 12
export const LOW_HEAD = 8
export const SCREW = 3
export const TRACK = 3.2
export const RING = 3.6
export const EDGE = 1.2
export const LANE = 4
export const NAME_SIZE = 4.6
export const TERMINAL_SIZE = 4.2
export const NUMBER_SIZE = 3.8
export const NOTE_SIZE = 3.4
export const TAG_H = 4.4
export const POWER_WIRE = 1.3
export const CONTROL_WIRE = 1.05
export const CORNER = 1.6
export const HOP = 1.5
/** Largest drawing that prints at eight tenths or more on A4, lying. */
export const PAGE = { width: 277, height: 190, leastScale: 0.8 }
