import { z } from 'zod'
import { millimetresInput, shareInput } from '../rules/inputs'
import { rule } from '../rules/rule'

/** What a screw pushes with at a torque of its own shaft. */
export const axisForce = rule({
  id: 'cnc.axis-force',
  input: z.strictObject({
    torqueNm: z.number().gt(0).max(1e5),
    leadMm: millimetresInput,
    efficiency: shareInput,
  }),
  output: z.object({ forceN: z.number() }),
  compute: ({ torqueNm, leadMm, efficiency }) => ({ forceN: (2 * Math.PI * efficiency * torqueNm * 1000) / leadMm }),
})
