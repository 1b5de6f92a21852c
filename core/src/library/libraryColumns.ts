import { dimensionKind, type Dimension } from '../quantities'
import { driveSchema, fieldAt, motorSchema, type PlanField } from '../plan'
import { circuitSchema, type LibraryKind } from './libraryItem'

/** One column of a library table: a field of the item, under its label with its unit. */
export interface LibraryColumn {
  key: string
  heading: string
  /** Symbol in which a bare number of the column is read and printed; empty for words and counts. */
  unit: string
  field: PlanField
}

/** Where in a plan the fields of a kind are described. */
const sections: Readonly<Record<LibraryKind, { at: string; keys: readonly string[] }>> = {
  motor: { at: 'motor', keys: Object.keys(motorSchema.shape) },
  // Its name is the item's own.
  drive: { at: 'drive', keys: Object.keys(driveSchema.shape).filter((key) => key !== 'name') },
  circuit: { at: 'supply', keys: Object.keys(circuitSchema.shape) },
}

const cache = new Map<LibraryKind, readonly LibraryColumn[]>()

/** Every field of a kind as a column, in the order of its schema. Units in headings are metric, whoever reads. */
export function libraryColumns(kind: LibraryKind): readonly LibraryColumn[] {
  const known = cache.get(kind)
  if (known) return known
  const { at, keys } = sections[kind]
  const columns = keys.flatMap((key) => {
    const field = fieldAt(`${at}.${key}`)
    if (!field) return []
    const unit = field.dimension ? unitOf(field.dimension) : ''
    return [{ key, unit, field, heading: unit === '' ? field.label : `${field.label} (${unit})` }]
  })
  cache.set(kind, columns)
  return columns
}

const unitOf = (dimension: Dimension): string => dimensionKind(dimension).shown.metric
