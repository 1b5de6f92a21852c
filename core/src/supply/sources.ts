import { z } from 'zod'
import { ampsInput, phasesInput, voltsInput, wattsInput } from '../rules/inputs'
import { rule } from '../rules/rule'

const KILO = 1000
const load = {
  inputA: ampsInput,
  voltageV: voltsInput,
  phases: phasesInput.default(1),
}

/** Volt-amperes for each volt and amp of a line. */
const perLine = (count: 1 | 3): number => (count === 3 ? Math.sqrt(3) : 1)

/** Size of a transformer in front of a drive. */
export const transformer = rule({
  id: 'supply.transformer',
  input: z.strictObject(load),
  output: z.object({ kVA: z.number(), ratedVA: z.number() }),
  compute: ({ inputA, voltageV, phases: count }) => {
    const ratedVA = 1.25 * perLine(count) * voltageV * inputA
    return { kVA: ratedVA / KILO, ratedVA }
  },
})

/** Size of a generator that feeds a drive. */
export const generator = rule({
  id: 'supply.generator',
  input: z.strictObject(load),
  output: z.object({
    kVA: z.number(),
    ratedVA: z.number(),
    comfortableKVA: z.number(),
  }),
  compute: ({ inputA, voltageV, phases: count }) => ({
    kVA: (2 * perLine(count) * voltageV * inputA) / KILO,
    ratedVA: 2 * perLine(count) * voltageV * inputA,
    comfortableKVA: (3 * perLine(count) * voltageV * inputA) / KILO,
  }),
})

/** Idler of a rotary converter for a shop's motors. */
export const converter = rule({
  id: 'supply.converter',
  input: z.strictObject({
    motors: z
      .array(
        z.strictObject({
          powerW: wattsInput,
          hardStart: z.boolean().default(false),
          duty: z.number().min(0).max(1).default(1),
        }),
      )
      .min(1)
      .max(40),
  }),
  output: z.object({ idlerW: z.number(), note: z.string() }),
  compute: ({ motors }) => ({
    idlerW: Math.max(...motors.map(({ powerW, hardStart }) => powerW * (hardStart ? 2 : 1.5))),
    note: 'The made leg feeds no single-phase load: controls, lamps and contactors stay on the two legs of the wall.',
  }),
})

/** Time to leave between two power-ups of a drive. */
export const inrush = rule({
  id: 'supply.inrush',
  input: z.strictObject({ manualSeconds: z.number().gt(0).max(3600).optional() }),
  output: z.object({
    waitSeconds: z.number(),
    typical: z.boolean(),
  }),
  compute: ({ manualSeconds }) => ({ waitSeconds: manualSeconds ?? 120, typical: manualSeconds === undefined }),
})
