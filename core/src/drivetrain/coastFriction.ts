import { z } from 'zod'
import { angularSpeed } from './angularSpeed'
import { rpmInput } from '../rules/inputs'
import { rule } from '../rules/rule'

/** Friction that brings a known inertia to rest in a timed coast. */
export const coastFriction = rule({
  id: 'drivetrain.coast-friction',
  input: z.strictObject({
    inertiaKgM2: z.number().gt(0).max(1e5),
    speedRpm: rpmInput,
    coastS: z.number().gt(0).max(1e5),
  }),
  output: z.object({ torqueNm: z.number() }),
  compute: ({ inertiaKgM2, speedRpm, coastS }) => ({ torqueNm: (inertiaKgM2 * angularSpeed(speedRpm)) / coastS }),
})
