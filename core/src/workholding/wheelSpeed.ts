import { z } from 'zod'
import { rimSpeed } from '../drivetrain/beltSpeed'
import { gives, metresPerSecond, millimetres, rpm } from '../rules/inputs'
import { rule } from '../rules/rule'

/** Speed of a grinding wheel's rim against its marking; without a marking, the machine's original rpm is the ceiling. */
export const wheelSpeed = rule({
  id: 'workholding.wheel-speed',
  title: 'Wheel rim speed against its marking',
  input: z.strictObject({
    diameterMm: millimetres('diameter of the wheel'),
    speedRpm: rpm('of the wheel'),
    markedMPerS: metresPerSecond('highest speed marked on the wheel').optional(),
    originalSpeedRpm: rpm('the machine’s original wheel speed, the ceiling for an unmarked wheel').optional(),
  }),
  output: z.object({
    speedMPerS: gives('m/s', 'rim speed'),
    permitted: z
      .boolean()
      .describe('false over the marking; for an unmarked wheel, over the original rpm or where that is unknown too'),
  }),
  formula: 'v = pi D n / 60; permitted where v <= marking; unmarked: n <= the original rpm',
  source: 'EN 12413 and ANSI B7.1 (maximum operating speed is marked on the wheel)',
  example: { diameterMm: 200, speedRpm: 2850, markedMPerS: 35 },
  compute: ({ diameterMm, speedRpm, markedMPerS, originalSpeedRpm }) => {
    const speedMPerS = rimSpeed(diameterMm, speedRpm)
    const permitted =
      markedMPerS === undefined
        ? originalSpeedRpm !== undefined && speedRpm <= originalSpeedRpm
        : speedMPerS <= markedMPerS
    return { speedMPerS, permitted }
  },
})
