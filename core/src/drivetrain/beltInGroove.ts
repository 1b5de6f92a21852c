import { z } from 'zod'
import { beltGrooves, grooveAngleDeg } from '../data/beltGrooves'
import { beltSections, cordDepthMm, type BeltSectionId } from '../data/beltSections'
import { gives, millimetres } from '../rules/inputs'
import { refuse, rule } from '../rules/rule'

const sectionIds = Object.keys(beltSections.sections) as [BeltSectionId, ...BeltSectionId[]]

/** How a V-belt lies in a groove: by its own, on the datum diameter; in another's, higher or lower. */
export const beltInGroove = rule({
  id: 'belt.in-groove',
  title: 'Belt of one section in the groove of another',
  input: z.strictObject({
    section: z.enum(sectionIds).describe('of the belt'),
    grooves: z.enum(sectionIds).describe('for which the pulley is cut'),
    diameterMm: millimetres('pitch diameter of the pulley, with the belt it was cut for'),
  }),
  output: z.object({
    liftMm: gives('mm', 'by which the cord lies above its place; negative below'),
    effectiveMm: gives('mm', 'pitch diameter with this belt'),
    proudMm: gives('mm', 'by which the back stands over the rim; negative below'),
    clearanceMm: gives('mm', 'from the bottom of the belt to that of the groove; at most 0, it bottoms'),
    bottoms: z.boolean().describe('true where it rests on the bottom and no longer wedges'),
  }),
  formula: 'lift = (belt pitch width - groove pitch width) / (2 tan(groove/2));  effective D = D + 2 lift',
  source: 'Geometry of the wedge; widths by ISO 4184, grooves by ISO 4183',
  example: { section: 'a', grooves: 'b', diameterMm: 140 },
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
