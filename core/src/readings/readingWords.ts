import type { UnitSystem } from '../quantities'
import { measurementKinds, type MeasurementKind } from './measurement'

/** What a reading may refer to, and what is said of all of them. */
export interface ReadingsContext {
  positions: readonly { id: string; name: string }[]
  system: UnitSystem
  /** When they were taken, where a line does not say. */
  takenAt: string
}

export const withoutHoles = (one: Record<string, unknown>): Record<string, unknown> =>
  Object.fromEntries(Object.entries(one).filter(([, value]) => value !== undefined))

export const leadOf = (written: string): 'u' | 'v' | 'w' | undefined =>
  (({ u: 'u', v: 'v', w: 'w', '1': 'u', '2': 'v', '3': 'w' }) as const)[written.toLowerCase()]

/** A day, and an hour of it as the clock on the wall shows it. */
export function instant(day: string, hour = '12:00'): string | undefined {
  const date = new Date(`${day}T${hour}`)
  return Number.isNaN(date.getTime()) ? undefined : date.toISOString()
}

export const kindNamed = (written: string): MeasurementKind | undefined => {
  const wanted = written.trim().toLowerCase()
  return (Object.entries(measurementKinds) as [MeasurementKind, { name: string }][]).find(
    ([key, { name }]) => key === wanted || name.toLowerCase() === wanted,
  )?.[0]
}
