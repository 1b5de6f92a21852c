/** What the seconds of a ramp count: drives differ, and a ramp of 3 s may take 6. */
export const rampMeanings = {
  'to-maximum': 'From 0 to the highest hertz',
  'to-base': 'From 0 to base hertz',
  'per-10-hz': 'Seconds for each 10 Hz',
  'hz-per-s': 'Hertz a second',
  grade: 'A grade without a unit',
} as const
export type RampMeaning = keyof typeof rampMeanings
