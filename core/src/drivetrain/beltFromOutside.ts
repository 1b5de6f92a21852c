import { z } from 'zod'
import { beltSections, cordDepthMm, type BeltSectionId } from '../data/beltSections'
import { gives, millimetres } from '../rules/inputs'
import { refuse, rule } from '../rules/rule'

/** Pitch length of a V-belt from a tape laid round its outside. */
export const beltFromOutside = rule({
  id: 'belt.from-outside',
  title: 'Pitch length from the outside of a belt',
  input: z.strictObject({
    section: z.enum(Object.keys(beltSections.sections) as [BeltSectionId, ...BeltSectionId[]]).describe('of the belt'),
    outsideMm: millimetres('length measured round the outside'),
  }),
  output: z.object({ lengthMm: gives('mm', 'pitch length'), depthMm: gives('mm', 'from the back to the cord') }),
  formula: 'L = La - 2 pi y with y = (top width - pitch width) / (2 tan 20)',
  source: 'Geometry of the section, flanks at 40 degrees; widths by ISO 4184. A worn belt has stretched',
  example: { section: 'a', outsideMm: 1347 },
  compute: ({ section, outsideMm }) => {
    const depthMm = cordDepthMm(beltSections.sections[section])
    const lengthMm = outsideMm - 2 * Math.PI * depthMm
    return lengthMm > 0
      ? { lengthMm, depthMm }
      : refuse('outsideMm', `must be above ${(2 * Math.PI * depthMm).toFixed(1)}, or there is no belt inside it`)
  },
})
