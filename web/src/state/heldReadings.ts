import { measurementSchema } from '@zesty/core/http'
import type { Measurement } from '@zesty/core/measurements'
import { useSyncExternalStore } from 'react'
import { z } from 'zod'
import { browserStorage } from './browserStorage'

/** Readings that the server has not got yet, kept in this browser by conversion until it has. */
const PREFIX = 'zesty.readings.'
const keyOf = (conversionId: string): string => `${PREFIX}${conversionId}`

const heldSchema = z.array(measurementSchema)
const NONE: readonly Measurement[] = []

/** The same list as long as the browser holds the same text: what shows it is not shown anew for nothing. */
const seen = new Map<string, { text: string; readings: readonly Measurement[] }>()
const listeners = new Set<() => void>()

export function heldOf(conversionId: string): readonly Measurement[] {
  const text = browserStorage.read(keyOf(conversionId))
  if (text === undefined) return NONE
  const known = seen.get(conversionId)
  if (known?.text === text) return known.readings
  const readings = readingsIn(text)
  seen.set(conversionId, { text, readings })
  return readings
}

function readingsIn(text: string): readonly Measurement[] {
  try {
    return heldSchema.parse(JSON.parse(text))
  } catch {
    return NONE
  }
}

/** Whether they are held now: a browser may have no room, or keep nothing at all. */
export function hold(conversionId: string, readings: readonly Measurement[]): boolean {
  const known = new Set(readings.map(({ id }) => id))
  return write(conversionId, [...heldOf(conversionId).filter(({ id }) => !known.has(id)), ...readings])
}

/** The server has them, or somebody took them away. */
export function letGo(conversionId: string, ids: ReadonlySet<string>): void {
  const left = heldOf(conversionId).filter(({ id }) => !ids.has(id))
  if (left.length > 0) write(conversionId, left)
  else browserStorage.remove(keyOf(conversionId))
  listeners.forEach((listener) => listener())
}

function write(conversionId: string, readings: readonly Measurement[]): boolean {
  const held = browserStorage.write(keyOf(conversionId), JSON.stringify(readings))
  listeners.forEach((listener) => listener())
  return held
}

/** Conversions of which readings are held. */
export const conversionsHeld = (): string[] =>
  browserStorage.keys().flatMap((key) => (key.startsWith(PREFIX) ? [key.slice(PREFIX.length)] : []))

/** What is held of a conversion, told anew as it changes, in other tabs too. */
export const useHeldReadings = (conversionId: string): readonly Measurement[] =>
  useSyncExternalStore(listen, () => heldOf(conversionId))

function listen(listener: () => void): () => void {
  listeners.add(listener)
  window.addEventListener('storage', listener)
  return () => {
    listeners.delete(listener)
    window.removeEventListener('storage', listener)
  }
}
