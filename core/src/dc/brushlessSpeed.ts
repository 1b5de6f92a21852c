import { z } from 'zod'
import { gives, volts } from '../rules/inputs'
import { rule } from '../rules/rule'

const UNDER_LOAD = 0.9

/** Fastest a brushless motor turns on its bus. */
export const brushlessSpeed = rule({
  id: 'brushless.speed',
  title: 'Speed of a brushless motor',
  input: z.strictObject({
    busV: volts('direct, of its controller'),
    rpmPerVolt: z.number().gt(0).max(1e5).describe('rpm/V, its speed constant'),
  }),
  output: z.object({
    speedRpm: gives('rpm', 'under load, at most'),
    noLoadRpm: gives('rpm', 'free running'),
  }),
  formula: 'n_0 = Kv V_bus;  n <= 0.9 n_0 under load',
  source: 'Back voltage of a permanent-magnet motor; a tenth is left for resistance and control (planning value)',
  example: { busV: 325, rpmPerVolt: 14 },
  compute: ({ busV, rpmPerVolt }) => ({ speedRpm: UNDER_LOAD * rpmPerVolt * busV, noLoadRpm: rpmPerVolt * busV }),
})
