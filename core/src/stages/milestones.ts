/** Moments of the work by which things must be known, in their order. */
export const milestones = {
  buying: 'Buying',
  'first-power': 'First power',
  'first-spin': 'First spin',
  'on-machine': 'On the machine',
  'in-use': 'In use',
} as const

export type Milestone = keyof typeof milestones

export const milestoneIds = Object.keys(milestones) as Milestone[]

/** Whether what must be known by one moment must be known now, where the other comes next. */
export const isDue = (by: Milestone, next: Milestone): boolean => milestoneIds.indexOf(by) <= milestoneIds.indexOf(next)
