import { z } from 'zod'
import { wattsInput } from '../rules/inputs'
import { rule } from '../rules/rule'

/** m3 K/(W h) of air at the sea and 20 degrees: 3600 / (1.2 kg/m3 x 1005 J/(kg K)). */
const AIR = 3600 / (1.2 * 1005)
/** A filter that has been in a shop for a while passes half. */
const CLOGGED = 0.5

/** How much hotter than the shop the inside of a box with a filter fan becomes. */
export const filterFan = rule({
  id: 'drive.filter-fan',
  input: z.strictObject({
    lossW: wattsInput,
    airflowM3PerH: z.number().gt(0).max(1e5),
    roomC: z.number().min(-20).max(70),
  }),
  output: z.object({ riseK: z.number(), insideC: z.number() }),
  compute: ({ lossW, airflowM3PerH, roomC }) => {
    const riseK = (AIR * lossW) / (CLOGGED * airflowM3PerH)
    return { riseK, insideC: roomC + riseK }
  },
})
