import { z } from 'zod'
import { gives, phases, share, volts, watts } from '../rules/inputs'
import { rule } from '../rules/rule'

/** Amps taken from the wall for a shaft power; the true power factor of a capacitor-input rectifier makes them many. */
export const inputCurrent = rule({
  id: 'drive.input-current',
  title: 'Input current from the wall',
  input: z.strictObject({
    shaftW: watts('power at the motor shaft'),
    motorEfficiency: share('motor efficiency'),
    driveEfficiency: share('drive efficiency'),
    supplyV: volts('supply, rms, between lines where three-phase'),
    phases,
    powerFactor: share('true power factor, watts over volt-amperes, harmonics included'),
  }),
  output: z.object({ currentA: gives('A', 'rms, in each live conductor') }),
  formula: 'I = P / (eta_m eta_d V lambda), divided by sqrt(3) on three phases',
  source:
    'IEC 60146-1-1 (true power factor of line-commutated rectifiers); typical lambda 0.60-0.65 on one phase, 0.65-0.75 on three, with a choke 0.75-0.8 and 0.85-0.9',
  example: { shaftW: 1500, motorEfficiency: 0.79, driveEfficiency: 0.96, supplyV: 230, phases: 1, powerFactor: 0.65 },
  compute: ({ shaftW, motorEfficiency, driveEfficiency, supplyV, phases: count, powerFactor }) => ({
    currentA: shaftW / (motorEfficiency * driveEfficiency * supplyV * powerFactor * (count === 3 ? Math.sqrt(3) : 1)),
  }),
})
