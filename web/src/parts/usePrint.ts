import { printQuantity, type Dimension } from '@zesty/core'
import { useUnits } from '../state/units'

/** Prints amounts as the shop reads them. */
export function usePrint(): (dimension: Dimension, value: number) => string {
  const units = useUnits()
  return (dimension, value) => printQuantity({ dimension, value }, units)
}
