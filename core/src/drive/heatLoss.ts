import { z } from 'zod'
import { shareInput, wattsInput } from '../rules/inputs'
import { rule } from '../rules/rule'

/** Heat that a drive gives off. */
export const heatLoss = rule({
  id: 'drive.heat-loss',
  input: z.strictObject({
    shaftW: wattsInput,
    motorEfficiency: shareInput,
    driveEfficiency: shareInput,
    standingW: z.number().min(0).max(1000).default(0),
  }),
  output: z.object({ lossW: z.number() }),
  compute: ({ shaftW, motorEfficiency, driveEfficiency, standingW }) => ({
    lossW: (shaftW / motorEfficiency) * (1 / driveEfficiency - 1) + standingW,
  }),
})
