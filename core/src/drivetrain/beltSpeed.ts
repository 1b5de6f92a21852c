import { z } from 'zod'
import { gives, millimetres, rpm } from '../rules/inputs'
import { rule } from '../rules/rule'

/** Speed of a point on a rim, m/s. */
export const rimSpeed = (diameterMm: number, speedRpm: number): number =>
  (Math.PI * (diameterMm / 1000) * speedRpm) / 60

/** Speed at which a belt runs; iron pulleys and V-belts have a ceiling. */
export const beltSpeed = rule({
  id: 'belt.speed',
  title: 'Belt speed',
  input: z.strictObject({ diameterMm: millimetres('pitch diameter of the pulley'), speedRpm: rpm('of that pulley') }),
  output: z.object({ speedMPerS: gives('m/s', 'belt speed') }),
  formula: 'v = pi D n / 60; V-belts: watch over 30, stop over 33 m/s',
  source: 'Geometry; limits for grey-iron pulleys and classical V-belts are planning values',
  example: { diameterMm: 224, speedRpm: 1420 },
  compute: ({ diameterMm, speedRpm }) => ({ speedMPerS: rimSpeed(diameterMm, speedRpm) }),
})
