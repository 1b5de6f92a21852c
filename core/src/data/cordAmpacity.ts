/** What flexible cords carry, lying free, with two and with three loaded conductors; smallest first. */
export const cordAmpacity = {
  citation:
    'The lower of common cord tables, after IEC 60364-5-52 and NEC 400.5: planning values, the cord’s maker rules',
  rows: [
    { areaMm2: 0.75, two: 6, three: 0 },
    { areaMm2: 1, two: 10, three: 0 },
    { areaMm2: 1.31, two: 13, three: 10 },
    { areaMm2: 1.5, two: 16, three: 10 },
    { areaMm2: 2.08, two: 18, three: 15 },
    { areaMm2: 2.5, two: 25, three: 20 },
    { areaMm2: 4, two: 32, three: 25 },
  ],
}

/** A lead on its drum cannot shed its heat. */
export const COILED_SHARE = 0.38
