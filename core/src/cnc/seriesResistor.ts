import { z } from 'zod'
import { preferredOhms } from '../data/preferredOhms'
import { refuse, rule } from '../rules/rule'

/** Of its plate a small resistor is given half, or it browns what it stands on. */
const OF_PLATE = 0.5
/** Powers that resistors are sold for, W. */
const PLATES_W = [0.25, 0.5, 1, 2, 5, 10]

/** The resistor before an input made for fewer volts than the controller gives. */
export const seriesResistor = rule({
  id: 'cnc.series-resistor',
  input: z.strictObject({
    supplyV: z.number().gt(0).max(100),
    inputV: z.number().gt(0).max(100),
    currentA: z.number().gt(0).max(1),
  }),
  output: z.object({
    ohm: z.number(),
    suggestedOhm: z.number(),
    currentA: z.number(),
    powerW: z.number(),
    plateW: z.number(),
  }),
  compute: ({ supplyV, inputV, currentA }) => {
    if (inputV >= supplyV) return refuse('inputV', `must be under supplyV, ${supplyV}: else no resistor is wanted`)
    const ohm = (supplyV - inputV) / currentA
    // The next above: a little less current still switches it, a little more may not be borne.
    const suggestedOhm = preferredOhms.find((r) => r >= ohm * (1 - 1e-9))
    if (suggestedOhm === undefined) return refuse('currentA', 'must be higher: no resistor from stock is so large')
    const through = (supplyV - inputV) / suggestedOhm
    const powerW = (supplyV - inputV) * through
    const plateW = PLATES_W.find((w) => w * OF_PLATE >= powerW)
    if (plateW === undefined)
      return refuse('currentA', 'must be lower: so much heat wants a supply of its own, not a resistor')
    return { ohm, suggestedOhm, currentA: through, powerW, plateW }
  },
})
