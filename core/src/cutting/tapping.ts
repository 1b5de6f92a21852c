import { z } from 'zod'
import { gives, millimetres, rpm } from '../rules/inputs'
import { rule } from '../rules/rule'

/** A blunt tap wants up to three times the torque of a sharp one. */
export const BLUNT = 3

/** Torque of a tap, sharp and blunt. */
export const tapping = rule({
  id: 'cutting.tapping',
  title: 'Tapping: torque',
  input: z.strictObject({
    specificForce: z.number().gt(0).max(5e4).describe('N/mm2, of the work'),
    pitchMm: z.number().gt(0).max(50).describe('mm, pitch'),
    diameterMm: millimetres('of the thread'),
  }),
  output: z.object({ torqueNm: gives('N m', 'sharp tap'), bluntNm: gives('N m', 'blunt tap: three times it') }),
  formula: 'T = kc p^2 D / 8000; two to three times that when blunt',
  source: 'Kienzle, full thread; the allowance for a blunt tap is a planning value',
  example: { specificForce: 2500, pitchMm: 1.5, diameterMm: 10 },
  compute: ({ specificForce, pitchMm, diameterMm }) => {
    const torqueNm = (specificForce * pitchMm ** 2 * diameterMm) / 8000
    return { torqueNm, bluntNm: BLUNT * torqueNm }
  },
})

/** Turns that a tap goes on while the spindle slows down to reverse. */
export const tapOverrun = rule({
  id: 'cutting.tap-overrun',
  title: 'Turns of a tap before it reverses',
  input: z.strictObject({
    speedRpm: rpm('when the reversal begins'),
    stopSeconds: z.number().gt(0).max(600).describe('s, from there to standstill'),
  }),
  output: z.object({ turns: gives('turns', 'until it stands') }),
  formula: 'n t / 120',
  source: 'Even slowing down',
  example: { speedRpm: 120, stopSeconds: 1.5 },
  compute: ({ speedRpm, stopSeconds }) => ({ turns: (speedRpm * stopSeconds) / 120 }),
})
