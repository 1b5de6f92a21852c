import { printQuantity, type Dimension } from '@zesty/core'
import { useUnits } from '../state/units'
import { NotKnown } from './SideBySide'

/** A number as it was typed, in the shop's units. */
export function Value({ dimension, value }: { dimension: Dimension; value: number | undefined }) {
  const units = useUnits()
  return value === undefined ? (
    <NotKnown />
  ) : (
    <span className="font-semibold">{printQuantity({ value, dimension }, units)}</span>
  )
}
