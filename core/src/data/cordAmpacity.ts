/** What flexible cords with two loaded conductors carry, lying free; smallest first. */
export const cordAmpacity = {
  citation:
    'The lower of common cord tables, after IEC 60364-5-52 and NEC 400.5: planning values, the cord’s maker rules',
  rows: [
    { areaMm2: 0.75, ampacityA: 6 },
    { areaMm2: 1, ampacityA: 10 },
    { areaMm2: 1.31, ampacityA: 13 },
    { areaMm2: 1.5, ampacityA: 15 },
    { areaMm2: 2.08, ampacityA: 18 },
    { areaMm2: 2.5, ampacityA: 20 },
    { areaMm2: 3.31, ampacityA: 25 },
    { areaMm2: 4, ampacityA: 28 },
    { areaMm2: 6, ampacityA: 36 },
  ],
}

/** A lead on its drum cannot shed its heat. */
export const COILED_SHARE = 0.5
