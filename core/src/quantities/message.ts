import type { Dimension, UnitSystem } from './dimension'
import { printQuantity, type Amount } from './printQuantity'

/** Prose with quantities left unprinted, so that one sentence serves metric and imperial readers. */
export type Message = readonly (string | Amount)[]

export const amount = (dimension: Dimension, value: number): Amount => ({ dimension, value })

/** Shorthands for the amounts that sentences are full of. */
export const volts = (value: number): Amount => amount('voltage', value)
export const amps = (value: number): Amount => amount('current', value)
export const hertz = (value: number): Amount => amount('frequency', value)
export const rpm = (value: number): Amount => amount('speed', value)
export const newtonMetres = (value: number): Amount => amount('torque', value)
export const seconds = (value: number): Amount => amount('time', value)
export const percent = (value: number): Amount => amount('fraction', value)

/**
 * A sentence with amounts in it.
 *
 *     message`The drive gives ${volts(230)}.`
 */
export function message(
  strings: TemplateStringsArray,
  ...values: readonly (string | number | Amount | Message)[]
): Message {
  const parts: (string | Amount)[] = []
  strings.forEach((text, i) => {
    if (text !== '') parts.push(text)
    const value = values[i]
    if (value === undefined) return
    if (Array.isArray(value)) parts.push(...(value as Message))
    else parts.push(typeof value === 'object' ? (value as Amount) : String(value))
  })
  return parts
}

const list = new Intl.ListFormat('en-GB')

/** Things named one after the other: `chips, oil and water`. */
export const listed = (names: readonly string[]): string => list.format(names)

/**
 * The sentence in one system of units; amounts in it are held in base units.
 *
 * @example messageText(['Takes ', { value: 2, dimension: 'time' }, '.']) // 'Takes 2\u00a0s.'
 */
export const messageText = (said: Message, system: UnitSystem = 'metric'): string =>
  said.map((part) => (typeof part === 'string' ? part : printQuantity(part, system))).join('')
