import { fitMeasurements } from '../src/measurements/fitMeasurements'
import type { Measured } from '../src/measurements/measured'
import type { Measurement } from '../src/readings/measurement'

type Told = Omit<Measurement, 'id' | 'takenAt'>

/** Readings of one afternoon, named by their place in the list. */
export const readings = (...told: Told[]): Measurement[] =>
  told.map((one, i) => ({ ...one, id: `${i}`, takenAt: '2026-03-01T10:00:00.000Z' }))

export const measuredBy = (...told: Told[]): Measured => fitMeasurements(readings(...told))

/** Of every kind that judging rests on, none against another. */
export const soundReadings: readonly Told[] = [
  { kind: 'spindle-speed', value: 590, hz: 50, positionId: 'b' },
  { kind: 'spindle-speed', value: 594, hz: 50, positionId: 'b' },
  { kind: 'spindle-speed', value: 3500, motorRpm: 1420, positionId: 'c' },
  { kind: 'coast', value: 14, fromRpm: 1200, positionId: 'b' },
  { kind: 'coast', value: 8, fromRpm: 500, positionId: 'b' },
  { kind: 'amps', value: 3, lead: 'u' },
  { kind: 'amps', value: 3.1, lead: 'v' },
  { kind: 'amps', value: 3, lead: 'w' },
]
