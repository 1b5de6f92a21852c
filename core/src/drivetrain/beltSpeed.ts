import { z } from 'zod'
import { millimetresInput, rpmInput } from '../rules/inputs'
import { rule } from '../rules/rule'

/** Speed of a point on a rim, m/s. */
export const rimSpeed = (diameterMm: number, speedRpm: number): number =>
  (Math.PI * (diameterMm / 1000) * speedRpm) / 60

/** The rpm at which a rim runs so fast. */
export const rpmAtRim = (diameterMm: number, speedMPerS: number): number =>
  (60 * 1000 * speedMPerS) / (Math.PI * diameterMm)

/** Speed at which a belt runs; iron pulleys and V-belts have a ceiling. */
export const beltSpeed = rule({
  id: 'belt.speed',
  input: z.strictObject({
    diameterMm: millimetresInput,
    speedRpm: rpmInput,
  }),
  output: z.object({ speedMPerS: z.number() }),
  compute: ({ diameterMm, speedRpm }) => ({ speedMPerS: rimSpeed(diameterMm, speedRpm) }),
})
