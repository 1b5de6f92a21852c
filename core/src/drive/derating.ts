import { z } from 'zod'
import { ampsInput } from '../rules/inputs'
import { rule } from '../rules/rule'

const ALTITUDE_FREE_M = 1000
const PER_METRE = 0.01 / 100
const PER_KELVIN = 0.02
const PER_KILOHERTZ = 0.05
const LEAST = 0.3
const KILO = 1000

const taken = (share: number): number => Math.max(LEAST, 1 - share)

/** What is left of a drive's amps at its carrier, its height above the sea and its temperature. */
export const derating = rule({
  id: 'drive.derating',
  input: z.strictObject({
    outputA: ampsInput,
    carrierHz: z.number().gt(0).max(50_000).optional(),
    ratedCarrierHz: z.number().gt(0).max(50_000).optional(),
    altitudeM: z.number().min(0).max(5000).default(0),
    airC: z.number().min(-20).max(90).optional(),
    ratedAirC: z.number().min(10).max(70).default(40),
  }),
  output: z.object({
    outputA: z.number(),
    carrierFactor: z.number(),
    altitudeFactor: z.number(),
    heatFactor: z.number(),
  }),
  compute: ({ outputA, carrierHz, ratedCarrierHz, altitudeM, airC, ratedAirC }) => {
    const carrierFactor =
      carrierHz === undefined || ratedCarrierHz === undefined
        ? 1
        : taken((PER_KILOHERTZ * Math.max(0, carrierHz - ratedCarrierHz)) / KILO)
    const altitudeFactor = taken(PER_METRE * Math.max(0, altitudeM - ALTITUDE_FREE_M))
    const heatFactor = airC === undefined ? 1 : taken(PER_KELVIN * Math.max(0, airC - ratedAirC))
    return {
      outputA: outputA * carrierFactor * altitudeFactor * heatFactor,
      carrierFactor,
      altitudeFactor,
      heatFactor,
    }
  },
})
