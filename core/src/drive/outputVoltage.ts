import { z } from 'zod'
import { gives, hertz, hertzFromZero, volts } from '../rules/inputs'
import { rule } from '../rules/rule'

/** Voltage between motor lines at a frequency on the straight V/f line. */
export const outputVoltage = rule({
  id: 'drive.output-voltage',
  title: 'Output voltage at a frequency',
  input: z.strictObject({
    frequencyHz: hertzFromZero('output frequency'),
    baseFrequencyHz: hertz('base frequency set in the drive'),
    ratedVoltageV: volts('voltage set for base frequency'),
    supplyV: volts('supply, rms'),
    doubler: z.boolean().default(false).describe('true for a drive that doubles its input'),
    boostV: z.number().min(0).max(1000).default(0).describe('V, voltage at standstill'),
  }),
  output: z.object({
    outputV: gives('V', 'between motor lines'),
    limited: z.boolean().describe('true where the supply clamps it'),
  }),
  formula:
    'V = V_boost + (V_r - V_boost) f / f_b up to base, V_r above; never over the supply (twice it with a doubler)',
  source: 'Constant volts per hertz; a rectifier-fed inverter cannot give more than its supply',
  example: { frequencyHz: 25, baseFrequencyHz: 50, ratedVoltageV: 230, supplyV: 230 },
  compute: ({ frequencyHz, baseFrequencyHz, ratedVoltageV, supplyV, doubler, boostV }) => {
    const line = boostV + (ratedVoltageV - boostV) * Math.min(1, frequencyHz / baseFrequencyHz)
    const ceiling = supplyV * (doubler ? 2 : 1)
    return { outputV: Math.min(line, ceiling), limited: line > ceiling }
  },
})
