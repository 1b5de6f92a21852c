import { measurementSchema } from '@zesty/core/http'
import type { Measurement } from '@zesty/core/measurements'
import { heldRows } from './heldRows'

/** Readings that the server has not got yet. */
export const heldReadings = heldRows<Measurement>('zesty.readings.', measurementSchema)
