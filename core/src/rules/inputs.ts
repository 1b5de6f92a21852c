import { z } from 'zod'

/**
 * Schema pieces for the inputs and outputs of rules. Each names the unit once, so that
 * every rule documents its fields alike; limits are those of sense, not of plausibility.
 */

const within = (describe: string, above: number, most: number) => z.number().gt(above).max(most).describe(describe)

export const watts = (what: string) => within(`W, ${what}`, 0, 1e8)
export const volts = (what: string) => within(`V, ${what}`, 0, 1e5)
export const amps = (what: string) => within(`A, ${what}`, 0, 1e5)
export const hertz = (what: string) => within(`Hz, ${what}`, 0, 2000)
export const rpm = (what: string) => within(`rpm, ${what}`, 0, 2e5)
export const millimetres = (what: string) => within(`mm, ${what}`, 0, 1e5)
export const metresPerSecond = (what: string) => within(`m/s, ${what}`, 0, 1000)
export const metresPerMinute = (what: string) => within(`m/min, ${what}`, 0, 1e5)
export const share = (what: string) => within(`0 to 1, ${what}`, 0, 1)

/** Frequencies that may stand still. */
export const hertzFromZero = (what: string) => z.number().min(0).max(2000).describe(`Hz, ${what}`)
export const slip = (what: string) => z.number().min(-1).max(1).describe(`0 to 1, ${what}`)

export const evenPoles = z
  .number()
  .int()
  .min(2)
  .max(48)
  .refine((p) => p % 2 === 0, { message: 'must be an even number of poles: 2, 4, 6, 8 ...' })
  .describe('number of poles, even')

export const phases = z.union([z.literal(1), z.literal(3)], { error: 'must be 1 or 3' }).describe('1 or 3')

/** An output number with its unit. */
export const gives = (unit: string, what: string) => z.number().describe(`${unit}, ${what}`)
