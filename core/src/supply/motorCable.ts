import { z } from 'zod'
import { cableTables } from '../data/cableTables'
import { ampsInput } from '../rules/inputs'
import { refuse, rule } from '../rules/rule'

/** Leads at a machine and its motor lie warm. */
const MACHINE_C = 40
/** Conductors of a motor over its plate amps (NEC 430.22). */
const NEC_MOTOR = 1.25

/** Whether the leads from drive to motor carry what the overload lets through. */
export const motorCable = rule({
  id: 'supply.motor-cable',
  input: z.strictObject({
    motorA: ampsInput,
    overloadA: ampsInput,
    areaMm2: z.number().gt(0).max(100),
    region: z.enum(['iec', 'nec']),
  }),
  output: z.object({ ampacityA: z.number(), neededA: z.number(), permitted: z.boolean() }),
  compute: ({ motorA, overloadA, areaMm2, region }) => {
    const { sizes, ambient } = cableTables[region === 'iec' ? 'metric' : 'awg']
    const method = region === 'iec' ? 'B2' : 'conduit'
    const laid = sizes.filter((s) => s.ampacityA[method] !== undefined && s.areaMm2 <= areaMm2 * 1.02)
    const carries = laid.at(-1)?.ampacityA[method]?.[1]
    const heat = ambient.find((a) => MACHINE_C <= a.upToC)?.factor
    if (carries === undefined || heat === undefined)
      return refuse('areaMm2', 'is lighter than any motor cable of the tables')
    const ampacityA = carries * heat
    const neededA = Math.max(overloadA, region === 'nec' ? NEC_MOTOR * motorA : motorA)
    return { ampacityA, neededA, permitted: ampacityA >= neededA }
  },
})
