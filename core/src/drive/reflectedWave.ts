import { z } from 'zod'
import { gives, volts } from '../rules/inputs'
import { rule } from '../rules/rule'

/** Speed of a voltage front along motor cable, m/s. */
const FRONT_M_PER_S = 150e6

/** Peak at the motor's terminals when a drive's steep fronts run back and forth along the cable. */
export const reflectedWave = rule({
  id: 'drive.reflected-wave',
  title: 'Voltage peak at the end of a motor cable',
  input: z.strictObject({
    cableM: z.number().min(0).max(10_000).describe('m, drive to motor'),
    busV: volts('direct, on the bus'),
    riseTimeS: z.number().gt(0).max(1e-3).describe('s, of the drive’s fronts; 1e-7 to 3e-7 usual'),
  }),
  output: z.object({
    peakV: gives('V', 'between terminals; up to 1000 V for old motors, 3.1 x rated for inverter-duty ones'),
    criticalM: gives('m', 'cable from which on the peak is twice the bus'),
  }),
  formula: 'l_c = v t/2 with v = 150 m/us;  V_peak = V_bus (1 + l/l_c), at most 2 V_bus',
  source: 'Travelling waves on a line open at its end; limits of NEMA MG 1 Parts 30 and 31; v is a planning value',
  example: { cableM: 12, busV: 325, riseTimeS: 2e-7 },
  compute: ({ cableM, busV, riseTimeS }) => {
    const criticalM = (FRONT_M_PER_S * riseTimeS) / 2
    return { peakV: busV * (1 + Math.min(1, cableM / criticalM)), criticalM }
  },
})
