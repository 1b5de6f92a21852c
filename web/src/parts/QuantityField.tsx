import { fieldAt, type PlanPath } from '@zesty/core'
import { useUnits } from '../state/units'
import { useField, useHeld } from './fieldDocument'
import { printedAt, readPair, readQuantity } from './quantityText'
import { TypedField } from './TypedField'

interface Props {
  path: PlanPath
  label?: string
  hint?: string
  placeholder?: string
  wide?: boolean
  bare?: boolean
}

/** A quantity of the plan, typed in any unit of its dimension. */
export function QuantityField({ path, label, ...rest }: Props) {
  const field = useField(path)
  const held = useHeld(path)
  const units = useUnits()
  if (!field) return null
  return (
    <TypedField
      {...rest}
      path={path}
      label={label ?? field.label}
      printed={printedAt(path, held, units)}
      read={(text) => readQuantity(path, text, units, field)}
    />
  )
}

/** Two plate values in one field, `230/400 V`. */
export function PairField({ low, high, label, ...rest }: Omit<Props, 'path'> & { low: PlanPath; high: PlanPath }) {
  const units = useUnits()
  const [first, second] = [useField(low), useField(high)]
  const [lower, higher] = [printedAt(low, useHeld(low), units), printedAt(high, useHeld(high), units)]
  const printed = higher === '' ? lower : `${lower.replace(/ [^\d ]+$/, '')} / ${higher}`
  return (
    <TypedField
      {...rest}
      path={low}
      paths={[low, high]}
      label={label ?? fieldAt(low).label}
      printed={printed}
      read={(text) => readPair({ path: low, field: first }, { path: high, field: second }, text, units)}
    />
  )
}
