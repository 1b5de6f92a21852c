import { z } from 'zod'
import { measuredSchema } from '../measurements/measured'
import { MOST_READINGS, readingSchema } from '../readings/measurement'

/** A reading as it is kept. */
export const measurementSchema = readingSchema.safeExtend({ id: z.uuid() })

/** Readings as they are sent. One with an id is kept once, however often it is sent. */
export const newMeasurementsSchema = z.strictObject({
  measurements: z
    .array(readingSchema.safeExtend({ id: z.uuid().optional() }))
    .min(1)
    .max(MOST_READINGS),
})

/** How many were kept anew, and what all readings of the conversion now come to. */
export const keptMeasurementsSchema = z.strictObject({
  added: z.number().int().min(0),
  measured: measuredSchema,
})

export type NewMeasurements = z.output<typeof newMeasurementsSchema>
