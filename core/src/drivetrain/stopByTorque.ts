import { z } from 'zod'
import { rpmInput } from '../rules/inputs'
import { rule } from '../rules/rule'
import { angularSpeed } from './angularSpeed'

/** Seconds and turns to standstill where the same torque holds against it all the way. */
export const stopByTorque = rule({
  id: 'drivetrain.stop-by-torque',
  input: z.strictObject({
    inertiaKgM2: z.number().gt(0).max(1e5),
    speedRpm: rpmInput,
    torqueNm: z.number().gt(0).max(1e6),
  }),
  output: z.object({ seconds: z.number(), turns: z.number() }),
  compute: ({ inertiaKgM2, speedRpm, torqueNm }) => {
    const seconds = (inertiaKgM2 * angularSpeed(speedRpm)) / torqueNm
    return { seconds, turns: turnsToRest(speedRpm, seconds) }
  },
})

/** Turns of a stop that slows evenly. */
export const turnsToRest = (speedRpm: number, seconds: number): number => (speedRpm * seconds) / 120
