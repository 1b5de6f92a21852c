import {
  dimensionKind,
  fieldAt,
  inShownUnit,
  printNumber,
  type Dimension,
  type PlanPath,
  type UnitSystem,
} from '@zesty/core'
import { type PlateItem } from '@zesty/core/library'

export type PlateKind = PlateItem['kind']

/** A column of the table: what it is sorted by, and how it reads; units stand in the heading. */
export interface PlateColumn {
  id: string
  heading: string
  dimension?: Dimension
  /** Undefined where the plate does not say. */
  value: (item: PlateItem) => number | string | undefined
  text: (item: PlateItem, units: UnitSystem) => string
}

const heldAt = (item: PlateItem, key: string): unknown => Reflect.get(item.item, key)

const numberAt = (item: PlateItem, key: string): number | undefined => {
  const held = heldAt(item, key)
  return typeof held === 'number' ? held : undefined
}

const shown = (value: number | undefined, dimension: Dimension, units: UnitSystem): string => {
  if (value === undefined) return ''
  const { digits, decimals } = dimensionKind(dimension)
  return printNumber(inShownUnit({ value, dimension }, units), digits, decimals)
}

/** Where a plan holds a field of a motor's or a drive's plate; the same key stands in an item. */
type PlatePath = Extract<PlanPath, `motor.${string}` | `drive.${string}`>

const keyOf = (path: PlatePath): string => path.slice(path.indexOf('.') + 1)

function number(path: PlatePath, heading?: string): PlateColumn {
  const { label, dimension = 'number' } = fieldAt(path)
  const key = keyOf(path)
  return {
    id: key,
    heading: heading ?? label,
    dimension,
    value: (item) => numberAt(item, key),
    text: (item, units) => shown(numberAt(item, key), dimension, units),
  }
}

function words(path: PlatePath, heading?: string): PlateColumn {
  const { label, options } = fieldAt(path)
  const key = keyOf(path)
  const text = (item: PlateItem) => {
    const held = heldAt(item, key)
    if (typeof held === 'boolean') return held ? 'yes' : 'no'
    return typeof held === 'string' ? (options?.[held] ?? held) : ''
  }
  return { id: key, heading: heading ?? label, value: (item) => text(item) || undefined, text }
}

const motorVolts: PlateColumn = {
  id: 'lowVoltageV',
  heading: 'Volts',
  dimension: 'voltage',
  value: (item) => numberAt(item, 'lowVoltageV'),
  text: (item, units) =>
    ['lowVoltageV', 'highVoltageV']
      .map((key) => shown(numberAt(item, key), 'voltage', units))
      .filter((text) => text !== '')
      .join('/'),
}

export const plateColumns: Readonly<Record<PlateKind, readonly PlateColumn[]>> = {
  motor: [
    words('motor.kind', 'Kind'),
    number('motor.powerW'),
    number('motor.ratedSpeedRpm'),
    motorVolts,
    number('motor.lowVoltageA'),
    number('motor.ratedFrequencyHz'),
    words('motor.frame'),
    words('motor.cooling'),
    words('motor.enclosure'),
    number('motor.massKg'),
    number('motor.price'),
  ],
  drive: [
    words('drive.kind', 'Kind'),
    words('drive.input', 'Input'),
    number('drive.inputVoltageV', 'Volts in'),
    number('drive.powerW'),
    number('drive.ratedOutputA', 'Amps out'),
    number('drive.ratedInputA', 'Amps in'),
    words('drive.control'),
    number('drive.minimumOhm', 'Least resistor'),
    words('drive.enclosure'),
    number('drive.manualRating', 'Manual'),
    number('drive.price'),
  ],
}

/** What may be picked from a list to show fewer: a field of the plate with its words. */
export const plateFilters: Readonly<Record<PlateKind, readonly string[]>> = {
  motor: ['kind', 'cooling'],
  drive: ['kind', 'input'],
}
