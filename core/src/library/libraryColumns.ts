import { driveSchema, fieldAt, isPlanPath, motorSchema, type PlanField } from '../plan'
import { dimensionKind, type Dimension } from '../quantities'
import { branchCircuitSchema, type TableKind } from './libraryItem'

/** One column of a library table: a field of the item, under its label with its unit. */
export interface LibraryColumn {
  key: string
  heading: string
  /** Symbol in which a bare number of the column is read and printed; empty for words and counts. */
  unit: string
  field: PlanField
}

/** Fields of any kind of motor, each once. */
const motorKeys = [...new Set(motorSchema.options.flatMap(({ shape }) => Object.keys(shape)))]

/** Where in a plan the fields of a kind are described. */
const sections: Readonly<Record<TableKind, { at: string; keys: readonly string[] }>> = {
  motor: { at: 'motor', keys: motorKeys },
  // Its name is the item's own; what is known of a brake resistor belongs to a machine.
  drive: { at: 'drive', keys: Object.keys(driveSchema.shape).filter((key) => key !== 'name' && key !== 'resistor') },
  circuit: { at: 'supply', keys: Object.keys(branchCircuitSchema.shape) },
}

const columnsOf = (kind: TableKind): readonly LibraryColumn[] => {
  const { at, keys } = sections[kind]
  return keys.flatMap((key) => {
    const path = `${at}.${key}`
    if (!isPlanPath(path)) return []
    const field = fieldAt(path)
    const unit = field.dimension ? unitOf(field.dimension) : ''
    return [{ key, unit, field, heading: unit === '' ? field.label : `${field.label} (${unit})` }]
  })
}

const unitOf = (dimension: Dimension): string => dimensionKind(dimension).shown.metric

const columns: Readonly<Record<TableKind, readonly LibraryColumn[]>> = {
  motor: columnsOf('motor'),
  drive: columnsOf('drive'),
  circuit: columnsOf('circuit'),
}

/** Every field of a kind as a column, in the order of its schema. Units in headings are metric, whoever reads. */
export const libraryColumns = (kind: TableKind): readonly LibraryColumn[] => columns[kind]
