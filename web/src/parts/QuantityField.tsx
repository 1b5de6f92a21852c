import { fieldAt, type PlanPath } from '@zesty/core'
import { useUnits } from '../conversion/openPlan'
import { useHeld } from './fieldHost'
import { printedAt, readPair, readQuantity } from './quantityText'
import { TypedField } from './TypedField'

interface Props {
  path: PlanPath
  label?: string
  hint?: string
  placeholder?: string
  wide?: boolean
  bare?: boolean
  /** A size counted in teeth: typed and shown as a plain number. */
  teeth?: boolean
}

/** A quantity of the plan, typed in any unit of its dimension. */
export function QuantityField({ path, label, teeth = false, ...rest }: Props) {
  const held = useHeld(path)
  const units = useUnits()
  const dimension = teeth ? 'number' : undefined
  return (
    <TypedField
      {...rest}
      path={path}
      label={label ?? fieldAt(path)?.label}
      printed={printedAt(path, held, units, dimension)}
      read={(text) => readQuantity(path, text, units, dimension)}
    />
  )
}

/** Two plate values in one field, `230/400 V`. */
export function PairField({
  low,
  high,
  label,
  ...rest
}: Omit<Props, 'path' | 'teeth'> & { low: PlanPath; high: PlanPath }) {
  const units = useUnits()
  const first = printedAt(low, useHeld(low), units)
  const second = printedAt(high, useHeld(high), units)
  const printed = second === '' ? first : `${first.replace(/ [^\d ]+$/, '')} / ${second}`
  return (
    <TypedField
      {...rest}
      path={low}
      paths={[low, high]}
      label={label ?? fieldAt(low)?.label}
      printed={printed}
      read={(text) => readPair(low, high, text, units)}
    />
  )
}
