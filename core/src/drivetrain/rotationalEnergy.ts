import { z } from 'zod'
import { angularSpeed } from './angularSpeed'
import { rpmInput } from '../rules/inputs'
import { rule } from '../rules/rule'

/** What turns holds so much, J. */
export const energyOf = (inertiaKgM2: number, speedRpm: number): number =>
  (inertiaKgM2 * angularSpeed(speedRpm) ** 2) / 2

/** Energy stored in what turns. */
export const rotationalEnergy = rule({
  id: 'drivetrain.rotational-energy',
  input: z.strictObject({
    inertiaKgM2: z.number().gt(0).max(1e5),
    speedRpm: rpmInput,
    times: z.number().gt(0).max(10).default(1),
  }),
  output: z.object({ energyJ: z.number() }),
  compute: ({ inertiaKgM2, speedRpm, times }) => ({ energyJ: times * energyOf(inertiaKgM2, speedRpm) }),
})
