import { z } from 'zod'
import { angularSpeed } from '../drivetrain/angularSpeed'
import { rpmInput } from '../rules/inputs'
import { refuse, rule } from '../rules/rule'

/** Inputs that every rule on speeding up and stopping shares; all on one shaft. */
export const movingMass = {
  inertiaKgM2: z.number().gt(0).max(1e5),
  speedRpm: rpmInput,
  frictionNm: z.number().min(0).max(1e5).default(0),
}

/** Seconds to bring a mass to speed with a constant torque. */
export const rampTime = rule({
  id: 'drive.ramp-time',
  input: z.strictObject({
    ...movingMass,
    torqueNm: z.number().gt(0).max(1e6),
  }),
  output: z.object({ seconds: z.number() }),
  compute: ({ inertiaKgM2, speedRpm, torqueNm, frictionNm }) =>
    torqueNm <= frictionNm
      ? refuse('torqueNm', `must be above frictionNm, ${frictionNm}: it would never start`)
      : { seconds: (inertiaKgM2 * angularSpeed(speedRpm)) / (torqueNm - frictionNm) },
})
