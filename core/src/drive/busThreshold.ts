import { z } from 'zod'
import { voltsInput } from '../rules/inputs'
import { rule } from '../rules/rule'

/** Bus volts at which a drive usually trips, or its chopper works. */
export const busThreshold = rule({
  id: 'drive.bus-threshold',
  input: z.strictObject({
    busV: voltsInput,
    timesBus: z.number().min(1).max(3),
  }),
  output: z.object({ thresholdV: z.number() }),
  compute: ({ busV, timesBus }) => ({ thresholdV: busV * timesBus }),
})
