import { printQuantity, type Dimension } from '@zesty/core'
import { useUnits } from '../../state/units'

/** Prints a quantity as the shop's units have it. */
export function useQuantityText(): (value: number, dimension: Dimension) => string {
  const units = useUnits()
  return (value, dimension) => printQuantity({ value, dimension }, units)
}
