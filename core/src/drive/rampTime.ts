import { z } from 'zod'
import { angularSpeed } from '../drivetrain/angularSpeed'
import { gives, rpm } from '../rules/inputs'
import { refuse, rule } from '../rules/rule'

/** Inputs that every rule on speeding up and stopping shares; all on one shaft. */
export const movingMass = {
  inertiaKgM2: z.number().gt(0).max(1e5).describe('kg m2, of all that turns, on this shaft'),
  speedRpm: rpm('of this shaft'),
  frictionNm: z.number().min(0).max(1e5).default(0).describe('N m, what it takes to keep it turning, on this shaft'),
}

/** Seconds to bring a mass to speed with a constant torque. */
export const rampTime = rule({
  id: 'drive.ramp-time',
  title: 'Time to come up to speed',
  input: z.strictObject({
    ...movingMass,
    torqueNm: z.number().gt(0).max(1e6).describe('N m, from the motor, on this shaft'),
  }),
  output: z.object({ seconds: gives('s', 'from standstill') }),
  formula: 't = J w / (T - T_f)',
  source: 'Mechanics of rotation; inertia, torque and speed on one shaft',
  example: { inertiaKgM2: 0.35, speedRpm: 1200, torqueNm: 15, frictionNm: 1.2 },
  compute: ({ inertiaKgM2, speedRpm, torqueNm, frictionNm }) =>
    torqueNm <= frictionNm
      ? refuse('torqueNm', `must be above frictionNm, ${frictionNm}: it would never start`)
      : { seconds: (inertiaKgM2 * angularSpeed(speedRpm)) / (torqueNm - frictionNm) },
})
