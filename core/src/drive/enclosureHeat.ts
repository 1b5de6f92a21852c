import { z } from 'zod'
import { boxTransmittance } from '../data/boxTransmittance'
import { millimetresInput, wattsInput } from '../rules/inputs'
import { rule } from '../rules/rule'

const MM_PER_M = 1000

/** How much hotter than the shop the inside of a closed box becomes. */
export const enclosureHeat = rule({
  id: 'drive.enclosure-heat',
  input: z.strictObject({
    lossW: wattsInput,
    widthMm: millimetresInput,
    heightMm: millimetresInput,
    depthMm: millimetresInput,
    material: z.enum(['steel', 'plastic', 'bare-metal']).default('steel'),
    roomC: z.number().min(-20).max(70),
  }),
  output: z.object({
    areaM2: z.number(),
    riseK: z.number(),
    insideC: z.number(),
  }),
  compute: ({ lossW, widthMm, heightMm, depthMm, material, roomC }) => {
    const [w, h, d] = [widthMm / MM_PER_M, heightMm / MM_PER_M, depthMm / MM_PER_M]
    // Front and sides count whole; top and bottom each by half, for hot air lies under one and dust on the other.
    const areaM2 = h * w + 2 * h * d + w * d
    const riseK = lossW / (boxTransmittance[material] * areaM2)
    return { areaM2, riseK, insideC: roomC + riseK }
  },
})
