import { z } from 'zod'
import { cordAmpacity, COILED_SHARE } from '../data/cordAmpacity'
import { copper } from '../data/cableTables'
import { ampsInput, phasesInput, voltsInput } from '../rules/inputs'
import { refuse, rule } from '../rules/rule'
import { dropAlong } from './voltageDrop'

/** Whether an extension lead may feed a drive. */
export const extension = rule({
  id: 'supply.extension',
  input: z.strictObject({
    loadA: ampsInput,
    lengthM: z.number().gt(0).max(1000),
    areaMm2: z.number().min(0.5).max(50),
    coiled: z.boolean().default(false),
    voltageV: voltsInput,
    phases: phasesInput,
  }),
  output: z.object({
    ampacityA: z.number(),
    dropPercent: z.number(),
    dropFraction: z.number(),
    permitted: z.boolean(),
  }),
  compute: ({ loadA, lengthM, areaMm2, coiled, voltageV, phases: count }) => {
    const row = [...cordAmpacity.rows].reverse().find((r) => areaMm2 >= r.areaMm2 * 0.98)
    if (!row)
      return refuse(
        'areaMm2',
        `must be at least ${cordAmpacity.rows[0]?.areaMm2 ?? 0} mm2: lighter cords feed no machine`,
      )
    const ampacityA = (count === 3 ? row.three : row.two) * (coiled ? COILED_SHARE : 1)
    const dropPercent = (100 * dropAlong(loadA, lengthM, areaMm2, count, copper.hot)) / voltageV
    return {
      ampacityA,
      dropPercent,
      dropFraction: dropPercent / 100,
      permitted: loadA <= ampacityA && dropPercent <= 3,
    }
  },
})
