import { z } from 'zod'
import { wattsInput } from '../rules/inputs'
import { rule } from '../rules/rule'

/** Bus capacitors that a drive of a power usually has. */
export const busCapacitance = rule({
  id: 'drive.bus-capacitance',
  input: z.strictObject({
    powerW: wattsInput,
    faradPerW: z.number().gt(0).max(1e-3),
  }),
  output: z.object({ capacitanceF: z.number() }),
  compute: ({ powerW, faradPerW }) => ({ capacitanceF: powerW * faradPerW }),
})
