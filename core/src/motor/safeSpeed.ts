import { z } from 'zod'
import { evenPoles, gives, millimetres, rpm } from '../rules/inputs'
import { rule } from '../rules/rule'
import { safeOperatingSpeeds } from '../data/safeOperatingSpeeds'

/** Fastest the rotor may turn: the plate's own limit first, else the planning value for frame and poles. */
export const safeSpeed = rule({
  id: 'motor.safe-speed',
  title: 'Fastest safe motor speed',
  input: z.strictObject({
    poles: evenPoles,
    frameMm: millimetres('shaft height of the frame'),
    plateMaximumRpm: rpm('maximum speed printed on the plate').optional(),
    ratedSpeedRpm: rpm('full-load speed on the plate'),
  }),
  output: z.object({
    maximumRpm: gives('rpm', 'never to be exceeded at the motor shaft'),
    basis: z
      .enum(['given', 'typical'])
      .describe('given: from the plate; typical: planning value for the frame and poles'),
  }),
  formula:
    'the plate maximum; else the table by frame and poles, never under the rated speed; outside the table, the rated speed',
  source: safeOperatingSpeeds.source,
  example: { poles: 4, frameMm: 90, ratedSpeedRpm: 1420 },
  compute: ({ poles, frameMm, plateMaximumRpm, ratedSpeedRpm }) => {
    if (plateMaximumRpm !== undefined) return { maximumRpm: plateMaximumRpm, basis: 'given' as const }
    const row = safeOperatingSpeeds.rows.find((r) => frameMm <= r.frameUpToMm)
    const planned = row?.maximumRpmByPoles[poles]
    return planned !== undefined && planned >= ratedSpeedRpm
      ? { maximumRpm: planned, basis: 'typical' as const }
      : { maximumRpm: ratedSpeedRpm, basis: 'given' as const }
  },
})
