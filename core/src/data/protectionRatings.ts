/** Standard ratings of circuit protection, A. */
export const protectionRatings = {
  iec: { citation: 'IEC 60898', ratingsA: [6, 10, 13, 16, 20, 25, 32, 40, 50, 63], curve: 'C' },
  nec: { citation: 'NEC 240.6', ratingsA: [15, 20, 25, 30, 35, 40, 45, 50, 60], curve: 'inverse-time' },
} as const
