import type { Plan } from '@zesty/core'

/** Whose rules the plan goes by: chosen, else by the mains hertz. */
export const regionOfPlan = ({ supply }: Plan): 'iec' | 'nec' | undefined =>
  supply.region ?? (supply.frequencyHz === undefined ? undefined : supply.frequencyHz > 55 ? 'nec' : 'iec')
