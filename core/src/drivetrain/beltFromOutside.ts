import { z } from 'zod'
import { beltSections, cordDepthMm, type BeltSectionId } from '../data/beltSections'
import { millimetresInput } from '../rules/inputs'
import { refuse, rule } from '../rules/rule'

/** Pitch length of a V-belt from a tape laid round its outside. */
export const beltFromOutside = rule({
  id: 'belt.from-outside',
  input: z.strictObject({
    section: z.enum(Object.keys(beltSections.sections) as [BeltSectionId, ...BeltSectionId[]]),
    outsideMm: millimetresInput,
  }),
  output: z.object({ lengthMm: z.number(), depthMm: z.number() }),
  compute: ({ section, outsideMm }) => {
    const depthMm = cordDepthMm(beltSections.sections[section])
    const lengthMm = outsideMm - 2 * Math.PI * depthMm
    return lengthMm > 0
      ? { lengthMm, depthMm }
      : refuse('outsideMm', `must be above ${(2 * Math.PI * depthMm).toFixed(1)}, or there is no belt inside it`)
  },
})
