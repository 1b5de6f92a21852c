/** Rotors of common cage motors, for run-up and stop until the maker's figure is known. */
export const rotorInertia = {
  citation:
    'Planning values for common 4-pole cage motors by frame; 2-pole at 0.6 of them. The maker’s data sheet rules',
  /** Shaft height in mm, kg m2 of a 4-pole rotor. */
  fourPole: [
    [63, 0.0003],
    [71, 0.0008],
    [80, 0.002],
    [90, 0.003],
    [100, 0.007],
    [112, 0.012],
    [132, 0.03],
    [160, 0.07],
  ],
  twoPoleShare: 0.6,
  /** Up to so many watts a 4-pole motor comes in so high a frame, where its plate does not tell. EN 50347. */
  frameByPower: [
    [180, 63],
    [370, 71],
    [750, 80],
    [1500, 90],
    [3000, 100],
    [4000, 112],
    [7500, 132],
    [15_000, 160],
  ],
} as const

/** The frame a 4-pole motor of a power usually comes in, mm; undefined where the table ends. */
export const usualFrameMm = (powerW: number): number | undefined =>
  rotorInertia.frameByPower.find(([most]) => powerW <= most * 1.02)?.[1]
