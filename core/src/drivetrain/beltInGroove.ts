import { z } from 'zod'
import { beltGrooves, grooveAngleDeg } from '../data/beltGrooves'
import { beltSections, cordDepthMm, type BeltSectionId } from '../data/beltSections'
import { millimetresInput } from '../rules/inputs'
import { refuse, rule } from '../rules/rule'

const sectionIds = Object.keys(beltSections.sections) as [BeltSectionId, ...BeltSectionId[]]

/** How a V-belt lies in a groove: by its own, on the datum diameter; in another's, higher or lower. */
export const beltInGroove = rule({
  id: 'belt.in-groove',
  input: z.strictObject({
    section: z.enum(sectionIds),
    grooves: z.enum(sectionIds),
    diameterMm: millimetresInput,
  }),
  output: z.object({
    liftMm: z.number(),
    effectiveMm: z.number(),
    proudMm: z.number(),
    clearanceMm: z.number(),
    bottoms: z.boolean(),
  }),
  compute: ({ section, grooves, diameterMm }) => {
    const belt = beltSections.sections[section]
    const groove = beltGrooves.grooves[grooves]
    const half = (grooveAngleDeg(groove, diameterMm) * Math.PI) / 360
    const liftMm = (belt.datumMm - groove.datumMm) / (2 * Math.tan(half))
    if (diameterMm <= -2 * liftMm)
      return refuse('diameterMm', `must be above ${(-2 * liftMm).toFixed(1)}: this belt would lie on the axis`)
    const cordMm = cordDepthMm(belt)
    const clearanceMm = groove.belowMm + liftMm - (belt.heightMm - cordMm)
    return {
      liftMm,
      effectiveMm: diameterMm + 2 * liftMm,
      proudMm: cordMm + liftMm - groove.aboveMm,
      clearanceMm,
      bottoms: clearanceMm <= 0,
    }
  },
})
