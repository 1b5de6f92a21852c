import { z } from 'zod'
import { beltSections, type BeltSectionId } from '../data/beltSections'
import { strengthOf } from '../data/beltStrength'
import { millimetresInput, rpmInput } from '../rules/inputs'
import { refuse, rule } from '../rules/rule'
import { DESIGN_PER_RADIAN } from './beltGrip'

/** Share of the tight side's pull that goes on, at a wrap. */
const becomesPull = (wrapDeg: number): number => 1 - Math.exp((-DESIGN_PER_RADIAN * wrapDeg * Math.PI) / 180)

/** Power that V-belts pass on for a long life: what is left of their strength after bending and flinging, times speed. */
export const beltPower = rule({
  id: 'belt.power',
  input: z.strictObject({
    section: z.enum(Object.keys(beltSections.sections) as [BeltSectionId, ...BeltSectionId[]]),
    diameterMm: millimetresInput,
    speedRpm: rpmInput,
    wrapSmallDeg: z.number().gt(0).max(360),
    belts: z.number().int().min(1).max(20).default(1),
  }),
  output: z.object({
    speedMPerS: z.number(),
    bendN: z.number(),
    flungN: z.number(),
    pullN: z.number(),
    beltW: z.number(),
    powerW: z.number(),
  }),
  compute: ({ section, diameterMm, speedRpm, wrapSmallDeg, belts }) => {
    const speedMPerS = (Math.PI * diameterMm * speedRpm) / 60_000
    const { bearsN, bendingNmm, flungN } = strengthOf(section, speedMPerS, becomesPull(180))
    const bendN = bendingNmm / diameterMm
    if (bearsN <= bendN)
      return refuse('diameterMm', `must be above ${(bendingNmm / bearsN).toFixed(0)}: bending alone takes all it bears`)
    if (bearsN <= bendN + flungN)
      return refuse('speedRpm', 'must be lower: bending and its own mass take all the belt bears')
    const pullN = (bearsN - bendN - flungN) * becomesPull(wrapSmallDeg)
    const beltW = pullN * speedMPerS
    return { speedMPerS, bendN, flungN, pullN, beltW, powerW: belts * beltW }
  },
})
