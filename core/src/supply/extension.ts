import { z } from 'zod'
import { cordAmpacity, COILED_SHARE } from '../data/cordAmpacity'
import { copper } from '../data/cableTables'
import { amps, gives, phases, volts } from '../rules/inputs'
import { refuse, rule } from '../rules/rule'
import { dropAlong } from './voltageDrop'

/** Whether an extension lead may feed a drive. */
export const extension = rule({
  id: 'supply.extension',
  title: 'Extension lead in front of a drive',
  input: z.strictObject({
    loadA: amps('the larger of computed and plate input'),
    lengthM: z.number().gt(0).max(1000).describe('m, one way'),
    areaMm2: z.number().min(0.5).max(50).describe('mm2, of each conductor'),
    coiled: z.boolean().default(false).describe('true while it lies on its drum'),
    voltageV: volts('of the supply'),
    phases: phases,
  }),
  output: z.object({
    ampacityA: gives('A', 'that the lead carries as it lies'),
    dropPercent: gives('%', 'lost along it, copper hot'),
    permitted: z.boolean().describe('false where it carries less than the load, or loses over 3 %'),
  }),
  formula: 'I <= I_cord (half of it coiled up);  100 k rho L I / (A V) <= 3, rho = 0.0225 ohm mm2/m',
  source: 'IEC 60364-5-52 and NEC 400.5 (flexible cords); a coiled lead at half is a planning value',
  example: { loadA: 14.5, lengthM: 15, areaMm2: 1.5, coiled: false, voltageV: 230, phases: 1 },
  compute: ({ loadA, lengthM, areaMm2, coiled, voltageV, phases: count }) => {
    const row = [...cordAmpacity.rows].reverse().find((r) => areaMm2 >= r.areaMm2 * 0.98)
    if (!row)
      return refuse(
        'areaMm2',
        `must be at least ${cordAmpacity.rows[0]?.areaMm2 ?? 0} mm2: lighter cords feed no machine`,
      )
    const ampacityA = row.ampacityA * (coiled ? COILED_SHARE : 1)
    const dropPercent = (100 * dropAlong(loadA, lengthM, areaMm2, count, copper.hot)) / voltageV
    return { ampacityA, dropPercent, permitted: loadA <= ampacityA && dropPercent <= 3 }
  },
})
