import type { Plan } from './plan'

/** Whose rules a plan goes by: chosen, else by the mains hertz; not known without either. */
export const regionOf = ({ supply }: Plan): 'iec' | 'nec' | undefined =>
  supply.region ?? (supply.frequencyHz === undefined ? undefined : supply.frequencyHz > 55 ? 'nec' : 'iec')
