import { z } from 'zod'
import { amps, gives } from '../rules/inputs'
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
  title: 'Output of a drive where it hangs',
  input: z.strictObject({
    outputA: amps('output on its plate, or left on one phase'),
    carrierHz: z.number().gt(0).max(50_000).describe('Hz, carrier that is set').optional(),
    ratedCarrierHz: z.number().gt(0).max(50_000).describe('Hz, up to which it gives full amps').optional(),
    altitudeM: z.number().min(0).max(5000).default(0).describe('m, above the sea'),
    airC: z.number().min(-20).max(90).describe('degrees C, of the air at the drive').optional(),
    ratedAirC: z.number().min(10).max(70).default(40).describe('degrees C, up to which it gives full amps'),
  }),
  output: z.object({
    outputA: gives('A', 'with all factors'),
    carrierFactor: gives('0 to 1', 'for the carrier'),
    altitudeFactor: gives('0 to 1', 'for thin air'),
    heatFactor: gives('0 to 1', 'for hot air'),
  }),
  formula:
    'I = I_plate x (1 - 0.05 per kHz over its carrier) x (1 - 0.01 per 100 m over 1000 m) x (1 - 0.02 per K over its air)',
  source: 'Planning values for small drives, after the service conditions of IEC 61800-2; the manual’s own tables rule',
  example: { outputA: 7, carrierHz: 12_000, ratedCarrierHz: 4000, altitudeM: 1500, airC: 45 },
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
