import type { BeltSectionId } from './beltSections'

/** Mass of one V-belt, kg a metre: what its span hums by. A belt that was weighed goes over it. */
export const beltMasses = {
  citation: 'Planning values of wrapped V-belts by section; weigh your own where the tension matters',
  kgPerM: { z: 0.06, a: 0.105, b: 0.17, c: 0.3, spz: 0.07, spa: 0.12 } satisfies Record<BeltSectionId, number>,
} as const
