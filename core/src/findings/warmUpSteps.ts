/** Steps of running in fresh grease: share of top speed and minutes. A planning value; the maker's table rules. */
export const warmUpSteps: readonly { share: number; minutes: number }[] = [
  { share: 0.25, minutes: 10 },
  { share: 0.5, minutes: 10 },
  { share: 0.75, minutes: 10 },
  { share: 1, minutes: 5 },
]
