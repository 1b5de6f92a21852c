import { z } from 'zod'
import { boxTransmittance } from '../data/boxTransmittance'
import { gives, millimetres, watts } from '../rules/inputs'
import { rule } from '../rules/rule'

const MM_PER_M = 1000

/** How much hotter than the shop the inside of a closed box becomes. */
export const enclosureHeat = rule({
  id: 'drive.enclosure-heat',
  title: 'Air inside a closed box',
  input: z.strictObject({
    lossW: watts('given off inside'),
    widthMm: millimetres('of the box'),
    heightMm: millimetres('of the box'),
    depthMm: millimetres('of the box'),
    material: z.enum(['steel', 'plastic', 'bare-metal']).default('steel').describe('of its walls'),
    roomC: z.number().min(-20).max(70).describe('degrees C, of the shop at its hottest'),
  }),
  output: z.object({
    areaM2: gives('m2', 'of wall that cools: front, sides, half of top and bottom each; not the back'),
    riseK: gives('K', 'of the air inside, at full load all day'),
    insideC: gives('degrees C', 'of the air inside'),
  }),
  formula: 'A = h w + 2 h d + w d;  dT = P / (k A);  k = 5.5 W/m2K painted steel, 3.5 plastic, 3.5 bare metal',
  source: 'Natural convection and radiation from a closed box, simplified after IEC TR 60890; k are planning values',
  example: { lossW: 109, widthMm: 300, heightMm: 400, depthMm: 210, material: 'steel', roomC: 30 },
  compute: ({ lossW, widthMm, heightMm, depthMm, material, roomC }) => {
    const [w, h, d] = [widthMm / MM_PER_M, heightMm / MM_PER_M, depthMm / MM_PER_M]
    // Front and sides count whole; top and bottom each by half, for hot air lies under one and dust on the other.
    const areaM2 = h * w + 2 * h * d + w * d
    const riseK = lossW / (boxTransmittance[material] * areaM2)
    return { areaM2, riseK, insideC: roomC + riseK }
  },
})
