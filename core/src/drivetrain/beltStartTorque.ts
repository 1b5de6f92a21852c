import { z } from 'zod'
import { millimetresInput } from '../rules/inputs'
import { rule } from '../rules/rule'

/** Torque on the smaller pulley at a start. */
export const beltStartTorque = rule({
  id: 'belt.start-torque',
  input: z.strictObject({
    torqueNm: z.number().min(0).max(1e6),
    startFactor: z.number().min(1).max(5),
    driverMm: millimetresInput,
    smallMm: millimetresInput,
  }),
  output: z.object({ torqueNm: z.number() }),
  compute: ({ torqueNm, startFactor, driverMm, smallMm }) => ({
    torqueNm: (startFactor * torqueNm) / (driverMm / smallMm),
  }),
})
