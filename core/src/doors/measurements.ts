// What is read off a machine: typed, pasted, as CSV, and what it comes to.
export { fitMeasurements } from '../measurements/fitMeasurements'
export { type Measured, type MeasuredDial, type MeasuredStop, nothingMeasured } from '../measurements/measured'
export {
  type FitReading,
  leads,
  MOST_READINGS,
  readingSchema,
  type Measurement,
  measurementKinds,
  type MeasurementKind,
  type Reading,
} from '../readings/measurement'
export { ofMachine } from '../measurements/ofMachine'
export { readingsCsv } from '../readings/readingsCsv'
export { readReadings, type ReadingsRead } from '../readings/readReadings'
export { withMeasured } from '../measurements/withMeasured'
export { isOfRunIn, ofRunIn, takenKey } from '../readings/runInReadings'
