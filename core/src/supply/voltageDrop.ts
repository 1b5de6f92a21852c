import { z } from 'zod'
import { copper } from '../data/cableTables'
import { amps, gives, phases } from '../rules/inputs'
import { rule } from '../rules/rule'

/** Volts lost along a cable with a given resistivity. */
export const dropAlong = (
  currentA: number,
  lengthM: number,
  areaMm2: number,
  count: 1 | 3,
  resistivity: number,
): number => ((count === 3 ? Math.sqrt(3) : 2) * resistivity * lengthM * currentA) / areaMm2

/** Volts lost along a cable. */
export const voltageDrop = rule({
  id: 'cable.voltage-drop',
  title: 'Voltage drop of a cable',
  input: z.strictObject({
    currentA: amps('load'),
    lengthM: z.number().gt(0).max(10_000).describe('m, one way'),
    areaMm2: z.number().gt(0).max(1000).describe('mm2, of each conductor'),
    phases,
  }),
  output: z.object({ dropV: gives('V', 'copper at 20 C'), hotDropV: gives('V', 'copper hot under load') }),
  formula: 'V = k rho L I / A, k = 2 on one phase and sqrt(3) on three; rho = 0.0175 ohm mm2/m at 20 C, 0.0225 hot',
  source: 'Resistance of copper (IEC 60228); reactance is left out, which small cables allow',
  example: { currentA: 18, lengthM: 15, areaMm2: 2.5, phases: 1 },
  compute: ({ currentA, lengthM, areaMm2, phases: count }) => ({
    dropV: dropAlong(currentA, lengthM, areaMm2, count, copper.cold),
    hotDropV: dropAlong(currentA, lengthM, areaMm2, count, copper.hot),
  }),
})
