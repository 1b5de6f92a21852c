import { z } from 'zod'
import { beltSections, type BeltSectionId } from '../data/beltSections'
import { beltStrength, strengthOf } from '../data/beltStrength'
import { gives, millimetres, rpm } from '../rules/inputs'
import { refuse, rule } from '../rules/rule'
import { DESIGN_PER_RADIAN } from './beltGrip'

/** Power that V-belts pass on for a long life: what is left of their strength after bending and flinging, times speed. */
export const beltPower = rule({
  id: 'belt.power',
  title: 'Power a V-belt bears',
  input: z.strictObject({
    section: z.enum(Object.keys(beltSections.sections) as [BeltSectionId, ...BeltSectionId[]]).describe('of the belt'),
    diameterMm: millimetres('pitch diameter of the smaller pulley'),
    speedRpm: rpm('of the smaller pulley'),
    wrapSmallDeg: z.number().gt(0).max(360).describe('degrees, contact on the smaller pulley'),
    belts: z.number().int().min(1).max(20).default(1).describe('side by side'),
  }),
  output: z.object({
    speedMPerS: gives('m/s', 'of the belt'),
    bendN: gives('N', 'of one belt, taken by bending round the smaller pulley'),
    flungN: gives('N', 'of one belt, taken by its own mass'),
    pullN: gives('N', 'of one belt, left to pull with'),
    beltW: gives('W', 'for one belt'),
    powerW: gives('W', 'for all of them'),
  }),
  formula: 'P = z (S - B/d - m v^2) (1 - e^(-0.5123 theta)) v;  S strength, B bending, m mass a metre of the section',
  source: `Euler and Eytelwein with bending and centrifugal pull. ${beltStrength.source}`,
  example: { section: 'a', diameterMm: 90, speedRpm: 1420, wrapSmallDeg: 161.19 },
  compute: ({ section, diameterMm, speedRpm, wrapSmallDeg, belts }) => {
    const { bearsN, bendingNmm, massKgPerM } = strengthOf(section)
    const speedMPerS = (Math.PI * diameterMm * speedRpm) / 60_000
    const [bendN, flungN] = [bendingNmm / diameterMm, massKgPerM * speedMPerS ** 2]
    if (bearsN <= bendN)
      return refuse('diameterMm', `must be above ${(bendingNmm / bearsN).toFixed(0)}: bending alone takes all it bears`)
    if (bearsN <= bendN + flungN)
      return refuse('speedRpm', 'must be lower: bending and its own mass take all the belt bears')
    const pullN = (bearsN - bendN - flungN) * (1 - Math.exp((-DESIGN_PER_RADIAN * wrapSmallDeg * Math.PI) / 180))
    const beltW = pullN * speedMPerS
    return { speedMPerS, bendN, flungN, pullN, beltW, powerW: belts * beltW }
  },
})
