import { z } from 'zod'
import { phasesInput, shareInput, voltsInput, wattsInput } from '../rules/inputs'
import { rule } from '../rules/rule'

/** Amps taken from the wall for a shaft power; the true power factor of a capacitor-input rectifier makes them many. */
export const inputCurrent = rule({
  id: 'drive.input-current',
  input: z.strictObject({
    shaftW: wattsInput,
    motorEfficiency: shareInput,
    driveEfficiency: shareInput,
    supplyV: voltsInput,
    phases: phasesInput,
    powerFactor: shareInput,
  }),
  output: z.object({ currentA: z.number() }),
  compute: ({ shaftW, motorEfficiency, driveEfficiency, supplyV, phases: count, powerFactor }) => ({
    currentA: shaftW / (motorEfficiency * driveEfficiency * supplyV * powerFactor * (count === 3 ? Math.sqrt(3) : 1)),
  }),
})
