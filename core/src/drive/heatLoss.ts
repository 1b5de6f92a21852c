import { z } from 'zod'
import { gives, share, watts } from '../rules/inputs'
import { rule } from '../rules/rule'

/** Heat that a drive gives off. */
export const heatLoss = rule({
  id: 'drive.heat-loss',
  title: 'Heat of a drive',
  input: z.strictObject({
    shaftW: watts('at the motor shaft'),
    motorEfficiency: share('of the motor'),
    driveEfficiency: share('of the drive'),
    standingW: z.number().min(0).max(1000).default(0).describe('W, what it takes for itself'),
  }),
  output: z.object({ lossW: gives('W', 'into the air around it, at full load') }),
  formula: 'P_loss = P/eta_m (1/eta_d - 1) + P_0',
  source: 'Balance of power; efficiencies after IEC 61800-9-2',
  example: { shaftW: 1500, motorEfficiency: 0.79, driveEfficiency: 0.96, standingW: 30 },
  compute: ({ shaftW, motorEfficiency, driveEfficiency, standingW }) => ({
    lossW: (shaftW / motorEfficiency) * (1 / driveEfficiency - 1) + standingW,
  }),
})
