import { z } from 'zod'
import { amps, gives, phases, volts, watts } from '../rules/inputs'
import { rule } from '../rules/rule'

const KILO = 1000
const load = { inputA: amps('input of the drive'), voltageV: volts('at the drive'), phases: phases.default(1) }

/** Volt-amperes for each volt and amp of a line. */
const perLine = (count: 1 | 3): number => (count === 3 ? Math.sqrt(3) : 1)

/** Size of a transformer in front of a drive. */
export const transformer = rule({
  id: 'supply.transformer',
  title: 'Transformer in front of a drive',
  input: z.strictObject(load),
  output: z.object({ kVA: gives('kVA', 'at the least') }),
  formula: 'S >= 1.25 k V I (k = 1, or root three on three phases)',
  source: 'Planning value: rectifier current heats a transformer more than its rms says',
  example: { inputA: 14.5, voltageV: 230 },
  compute: ({ inputA, voltageV, phases: count }) => ({ kVA: (1.25 * perLine(count) * voltageV * inputA) / KILO }),
})

/** Size of a generator that feeds a drive. */
export const generator = rule({
  id: 'supply.generator',
  title: 'Generator that feeds a drive',
  input: z.strictObject(load),
  output: z.object({
    kVA: gives('kVA', 'at the least, twice the load'),
    comfortableKVA: gives('kVA', 'with room, three times the load'),
  }),
  formula: 'S from 2 k V I to 3 k V I (k = 1, or root three on three phases)',
  source: 'Planning value: the rectifier’s harmonics flatten a small generator’s wave',
  example: { inputA: 14.5, voltageV: 230 },
  compute: ({ inputA, voltageV, phases: count }) => ({
    kVA: (2 * perLine(count) * voltageV * inputA) / KILO,
    comfortableKVA: (3 * perLine(count) * voltageV * inputA) / KILO,
  }),
})

/** Idler of a rotary converter for a shop's motors. */
export const converter = rule({
  id: 'supply.converter',
  title: 'Idler of a rotary converter',
  input: z.strictObject({
    motors: z
      .array(
        z.strictObject({
          powerW: watts('of one motor'),
          hardStart: z.boolean().default(false).describe('true for a heavy start: compressor, flywheel, big wheel'),
          duty: z.number().min(0).max(1).default(1).describe('0 to 1, share of the time it runs'),
        }),
      )
      .min(1)
      .max(40)
      .describe('all that may be fed'),
  }),
  output: z.object({ idlerW: gives('W', 'of the idler motor'), note: z.string() }),
  formula: '1.5 x the largest motor (1.25 at the least), 2 x the largest that starts hard',
  source: 'Planning value of the trade',
  example: { motors: [{ powerW: 1500 }, { powerW: 2200, hardStart: true }] },
  compute: ({ motors }) => ({
    idlerW: Math.max(...motors.map(({ powerW, hardStart }) => powerW * (hardStart ? 2 : 1.5))),
    note: 'The made leg feeds no single-phase load: controls, lamps and contactors stay on the two legs of the wall.',
  }),
})

/** Time to leave between two power-ups of a drive. */
export const inrush = rule({
  id: 'supply.inrush',
  title: 'Rest between power-ups',
  input: z.strictObject({ manualSeconds: z.number().gt(0).max(3600).describe('s, what the manual says').optional() }),
  output: z.object({
    waitSeconds: gives('s', 'at the least'),
    typical: z.boolean().describe('true where the manual says nothing'),
  }),
  formula: 'the manual’s, else 120 s (one to two minutes)',
  source: 'Planning value: each charging of the capacitors heats the input’s resistor',
  example: {},
  compute: ({ manualSeconds }) => ({ waitSeconds: manualSeconds ?? 120, typical: manualSeconds === undefined }),
})
