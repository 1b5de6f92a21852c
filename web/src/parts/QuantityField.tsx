import { fieldAt, type Parsed, type Patch, type PlanPath } from '@zesty/core'
import { useUnits } from '../state/units'
import { standsInField, useAsTyped } from './asTyped'
import { useField, useHeld } from './fieldDocument'
import { printedAt, readPair, readQuantity } from './quantityText'
import { TypedField } from './TypedField'
import { memo } from 'react'

interface Props {
  path: PlanPath
  label?: string
  hint?: string
  placeholder?: string
  wide?: boolean
  bare?: boolean
}

/** A quantity of the plan, typed in any unit of its dimension. */
export const QuantityField = memo(function QuantityField({ path, label, ...rest }: Props) {
  const field = useField(path)
  const held = useHeld(path)
  const units = useUnits()
  const typed = useAsTyped(path)
  if (!field) return null
  const read = (text: string) => readQuantity(path, text, units, field)
  return (
    <TypedField
      {...rest}
      path={path}
      label={label ?? field.label}
      {...shownAsTyped(typed.text, printedAt(path, held, units), read, [{ path, value: held }])}
      read={read}
      remember={(text, patch) => typed.remember(text, printedAt(path, patch[0]?.value, units))}
    />
  )
})

/** A text holds while it still reads as what is held: in the field itself, or beside it. */
function shownAsTyped(
  text: string | undefined,
  printed: string,
  read: (text: string) => Parsed<Patch>,
  held: Patch,
): { printed: string; note?: string } {
  const again = text === undefined || printed === '' ? undefined : read(text)
  if (text === undefined || !again?.ok || JSON.stringify(again.value) !== JSON.stringify(held)) return { printed }
  return standsInField(text, printed) ? { printed: text } : { printed, note: `typed as ${text}` }
}

/** Two plate values in one field, `230/400 V`. */
export const PairField = memo(function PairField({
  low,
  high,
  label,
  ...rest
}: Omit<Props, 'path'> & { low: PlanPath; high: PlanPath }) {
  const units = useUnits()
  const [first, second] = [useField(low), useField(high)]
  const held: Patch = [
    { path: low, value: useHeld(low) },
    { path: high, value: useHeld(high) },
  ]
  const typed = useAsTyped(low)
  const print = (patch: Patch) => {
    const [lower = '', higher = ''] = patch.map(({ path, value }) => printedAt(path, value, units))
    return higher === '' ? lower : `${lower.replace(/ [^\d ]+$/, '')} / ${higher}`
  }
  const read = (text: string) => readPair({ path: low, field: first }, { path: high, field: second }, text, units)
  return (
    <TypedField
      {...rest}
      path={low}
      paths={[low, high]}
      label={label ?? fieldAt(low).label}
      {...shownAsTyped(typed.text, print(held), read, held)}
      read={read}
      remember={(text, patch) => typed.remember(text, print(patch))}
    />
  )
})
