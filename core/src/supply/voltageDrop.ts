import { z } from 'zod'
import { copper } from '../data/cableTables'
import { ampsInput, phasesInput } from '../rules/inputs'
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
  input: z.strictObject({
    currentA: ampsInput,
    lengthM: z.number().gt(0).max(10_000),
    areaMm2: z.number().gt(0).max(1000),
    phases: phasesInput,
  }),
  output: z.object({ dropV: z.number(), hotDropV: z.number() }),
  compute: ({ currentA, lengthM, areaMm2, phases: count }) => ({
    dropV: dropAlong(currentA, lengthM, areaMm2, count, copper.cold),
    hotDropV: dropAlong(currentA, lengthM, areaMm2, count, copper.hot),
  }),
})
