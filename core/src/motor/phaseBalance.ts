import { z } from 'zod'
import { gives } from '../rules/inputs'
import { rule } from '../rules/rule'

const MOST = 0.03
const ohm = z.number().gt(0).max(1e6).describe('ohm, of one phase or one pair of leads')

/** Whether the three phases of a winding are alike. */
export const phaseBalance = rule({
  id: 'motor.phase-balance',
  title: 'The three phases held against each other',
  input: z.strictObject({ phase1Ohm: ohm, phase2Ohm: ohm, phase3Ohm: ohm }),
  output: z.object({
    spread: gives('0 to 1', 'largest difference from their mean'),
    alike: z.boolean().describe('true within 3 %'),
  }),
  formula: 'spread = max |R_i - R_mean| / R_mean; alike within 0.03',
  source:
    'Workshop practice with a meter whose leads are measured and taken off; after IEEE Std 112 (winding resistance)',
  example: { phase1Ohm: 2.41, phase2Ohm: 2.44, phase3Ohm: 2.4 },
  compute: ({ phase1Ohm, phase2Ohm, phase3Ohm }) => {
    const mean = (phase1Ohm + phase2Ohm + phase3Ohm) / 3
    const spread = Math.max(...[phase1Ohm, phase2Ohm, phase3Ohm].map((r) => Math.abs(r - mean))) / mean
    return { spread, alike: spread <= MOST }
  },
})
