import { z } from 'zod'
import { angularSpeed } from '../drivetrain/angularSpeed'
import { rpmInput } from '../rules/inputs'
import { refuse, rule } from '../rules/rule'

/** Inertia of what spins by a timed run-up on a known torque, less that of motor and pulleys. */
export const runUpInertia = rule({
  id: 'inertia.run-up',
  input: z.strictObject({
    seconds: z.number().gt(0).max(3600),
    speedRpm: rpmInput,
    torqueNm: z.number().gt(0).max(1e6),
    frictionNm: z.number().min(0).max(1e5).default(0),
    ownKgM2: z.number().min(0).max(1e5).default(0),
  }),
  output: z.object({ inertiaKgM2: z.number(), allKgM2: z.number() }),
  compute: ({ seconds, speedRpm, torqueNm, frictionNm, ownKgM2 }) => {
    if (torqueNm <= frictionNm) return refuse('torqueNm', `must be above frictionNm, ${frictionNm}`)
    const allKgM2 = ((torqueNm - frictionNm) * seconds) / angularSpeed(speedRpm)
    if (allKgM2 <= ownKgM2)
      return refuse('seconds', 'is so short that nothing is left beside motor and pulleys: time it again')
    return { inertiaKgM2: allKgM2 - ownKgM2, allKgM2 }
  },
})
