/** Pitch that a thread has where only its size is said: metric coarse, and inch coarse by threads to the inch. */
export const threadPitches = {
  citation: 'ISO 261 (metric coarse); ASME B1.1 (unified coarse)',
  /** Diameter and pitch, mm. */
  metric: [
    [2, 0.4],
    [2.5, 0.45],
    [3, 0.5],
    [4, 0.7],
    [5, 0.8],
    [6, 1],
    [8, 1.25],
    [10, 1.5],
    [12, 1.75],
    [14, 2],
    [16, 2],
    [18, 2.5],
    [20, 2.5],
    [24, 3],
    [30, 3.5],
  ],
  /** Size as it is written, its diameter in inches, threads to the inch. */
  inch: [
    ['#4', 0.112, 40],
    ['#6', 0.138, 32],
    ['#8', 0.164, 32],
    ['#10', 0.19, 24],
    ['1/4', 0.25, 20],
    ['5/16', 0.3125, 18],
    ['3/8', 0.375, 16],
    ['7/16', 0.4375, 14],
    ['1/2', 0.5, 13],
    ['5/8', 0.625, 11],
    ['3/4', 0.75, 10],
  ],
} as const
