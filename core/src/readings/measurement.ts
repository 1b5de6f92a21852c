import { z } from 'zod'
import { moment } from '../rules/moment'
import type { Dimension } from '../quantities'
import { text } from '../rules/text'

interface Kind {
  name: string
  dimension: Dimension
  /** Limits of sense, in base units. */
  least: number
  most: number
}

const kind = (name: string, dimension: Dimension, least: number, most: number): Kind => ({
  name,
  dimension,
  least,
  most,
})

/** What is read off a machine, each in its dimension's base unit. */
export const measurementKinds = {
  'spindle-speed': kind('Spindle speed', 'speed', 0.01, 200_000),
  'motor-speed': kind('Motor speed', 'speed', 0.1, 90_000),
  'surface-speed': kind('Blade or belt speed', 'surfaceSpeed', 0.1, 6000),
  hertz: kind('Hertz on the drive', 'frequency', 0.1, 1500),
  amps: kind('Amps', 'current', 0.001, 1000),
  volts: kind('Volts', 'voltage', 0, 2000),
  'run-up': kind('Seconds up', 'time', 0.01, 3600),
  'run-down': kind('Seconds down, braked', 'time', 0.01, 3600),
  coast: kind('Coast', 'time', 0.05, 7200),
  'emergency-stop': kind('Seconds to rest, by the mushroom', 'time', 0.05, 7200),
  'stop-turns': kind('Turns to rest, by the mushroom', 'number', 0, 100_000),
  'belt-hum': kind('Hum of the belt', 'frequency', 1, 1500),
  temperature: kind('Temperature', 'temperature', -40, 400),
  insulation: kind('Insulation', 'insulation', 0.001, 100_000),
  resistance: kind('Ohms', 'resistance', 0, 1e6),
  'seat-torque': kind('Torque that loosens the chuck', 'torque', 0.5, 2000),
  'spindle-hours': kind('Hours the spindle has run', 'number', 0, 1_000_000),
  dial: kind('Dial mark', 'number', 0, 1000),
} as const satisfies Record<string, Kind>

export type MeasurementKind = keyof typeof measurementKinds

export const leads = { u: 'First lead', v: 'Second lead', w: 'Third lead' } as const

/** What an insulation reading is of where it is the motor's own; of a cable with its motor it is another thing. */
export const WINDING_TO_FRAME = 'Winding to frame'

const optionalText = (longest: number) => text(longest).optional()
const number = (least: number, most: number) => z.number().min(least).max(most).optional()

/**
 * One reading: what, how much, on which position, at which setting, with what instrument, when and by whom. Numbers are
 * in the base unit of their dimension, speeds in rpm.
 */
export const readingSchema = z
  .strictObject({
    kind: z.enum(Object.keys(measurementKinds) as [MeasurementKind, ...MeasurementKind[]]),
    value: z.number(),
    lead: z.enum(['u', 'v', 'w']).optional(),
    /** What it is of, where that is not plain: a bearing, the housing. */
    of: optionalText(60),
    positionId: optionalText(40),
    /** The setting at which it was read. */
    hz: number(0.1, 1500),
    motorRpm: number(0.1, 90_000),
    dial: number(0, 1000),
    /** What a controller commanded. */
    commandedRpm: number(1, 120_000),
    /** Of a time: the spindle's speeds between which it was taken; at rest unless said. */
    fromRpm: number(0, 200_000),
    toRpm: number(0, 200_000),
    instrument: optionalText(60),
    by: optionalText(60),
    takenAt: moment(),
    note: optionalText(300),
  })
  .superRefine(({ kind, value }, context) => {
    const { name, least, most } = measurementKinds[kind]
    if (value < least || value > most)
      context.addIssue({ code: 'custom', path: ['value'], message: `${name}: from ${least} to ${most}` })
  })

/** Of one conversion at once, typed, pasted or in a file. */
export const MOST_READINGS = 10_000

export type Reading = z.output<typeof readingSchema>

/** What of a kept reading the fit looks at. */
export type FitReading = Pick<
  Measurement,
  | 'id'
  | 'kind'
  | 'value'
  | 'lead'
  | 'of'
  | 'positionId'
  | 'hz'
  | 'motorRpm'
  | 'dial'
  | 'commandedRpm'
  | 'fromRpm'
  | 'toRpm'
>

/** A reading that is kept. */
export interface Measurement extends Reading {
  id: string
}
