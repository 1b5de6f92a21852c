import { z } from 'zod'
import { millimetresInput, rpmInput } from '../rules/inputs'
import { rule } from '../rules/rule'

/** A blunt tap wants up to three times the torque of a sharp one. */
export const BLUNT = 3

/** Torque of a tap, sharp and blunt. */
export const tapping = rule({
  id: 'cutting.tapping',
  input: z.strictObject({
    specificForce: z.number().gt(0).max(5e4),
    pitchMm: z.number().gt(0).max(50),
    diameterMm: millimetresInput,
  }),
  output: z.object({ torqueNm: z.number(), bluntNm: z.number() }),
  compute: ({ specificForce, pitchMm, diameterMm }) => {
    const torqueNm = (specificForce * pitchMm ** 2 * diameterMm) / 8000
    return { torqueNm, bluntNm: BLUNT * torqueNm }
  },
})

/** Turns that a tap goes on while the spindle slows down to reverse. */
export const tapOverrun = rule({
  id: 'cutting.tap-overrun',
  input: z.strictObject({
    speedRpm: rpmInput,
    stopSeconds: z.number().gt(0).max(600),
  }),
  output: z.object({ turns: z.number() }),
  compute: ({ speedRpm, stopSeconds }) => ({ turns: (speedRpm * stopSeconds) / 120 }),
})
