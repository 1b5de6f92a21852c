import { z } from 'zod'
import { rule } from '../rules/rule'

const MOST = 0.03
const ohm = z.number().gt(0).max(1e6)

/** Whether the three phases of a winding are alike. */
export const phaseBalance = rule({
  id: 'motor.phase-balance',
  input: z.strictObject({ phase1Ohm: ohm, phase2Ohm: ohm, phase3Ohm: ohm }),
  output: z.object({
    spread: z.number(),
    alike: z.boolean(),
  }),
  compute: ({ phase1Ohm, phase2Ohm, phase3Ohm }) => {
    const mean = (phase1Ohm + phase2Ohm + phase3Ohm) / 3
    const spread = Math.max(...[phase1Ohm, phase2Ohm, phase3Ohm].map((r) => Math.abs(r - mean))) / mean
    return { spread, alike: spread <= MOST }
  },
})
