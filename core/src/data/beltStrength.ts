import { beltSections, FLANK, type BeltSectionId } from './beltSections'

/**
 * What a V-belt bears, from the size of its section alone. Makers rate their own belts, some half as
 * much again; theirs go over these.
 */
export const beltStrength = {
  citation:
    'Planning values: 5.7 N/mm² of the section for classical belts and 9 for narrow ones, pull and bending together; bending 42 N/mm² times height over diameter; 1.25 kg/dm³. The maker’s rating rules',
  classicalMPa: 5.7,
  narrowMPa: 9,
  bendingMPa: 42,
  densityKgM3: 1250,
} as const

export interface BeltStrength {
  /** Most pull and bending together, N. */
  bearsN: number
  /** Bending, N for each mm of 1/diameter: divided by the diameter in mm it is N. */
  bendingNmm: number
  massKgPerM: number
}

/** Strength of one belt of a section. */
export function strengthOf(id: BeltSectionId): BeltStrength {
  const { topMm, heightMm } = beltSections.sections[id]
  const areaMm2 = (topMm - heightMm * FLANK) * heightMm
  const narrow = id === 'spz' || id === 'spa'
  return {
    bearsN: (narrow ? beltStrength.narrowMPa : beltStrength.classicalMPa) * areaMm2,
    bendingNmm: beltStrength.bendingMPa * areaMm2 * heightMm,
    massKgPerM: (beltStrength.densityKgM3 * areaMm2) / 1e6,
  }
}
