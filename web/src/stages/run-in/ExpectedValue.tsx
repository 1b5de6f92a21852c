import { printQuantity, type Dimension } from '@zesty/core'
import { shownFigure, type Expected } from '@zesty/core/run-in'
import { useMemo } from 'react'
import { WorkingButton } from '../../parts/WorkingButton'
import { useUnits } from '../../state/units'

/** What is expected of a reading, which opens to how it was had. */
export function ExpectedValue({
  label,
  dimension,
  expected,
}: {
  label: string
  dimension: Dimension
  expected: Expected
}) {
  const units = useUnits()
  const figure = useMemo(() => shownFigure(label, dimension, expected), [label, dimension, expected])
  const text = printQuantity({ value: expected.value, dimension }, units)
  return (
    <WorkingButton
      of={figure}
      label={`Expected: ${text}, ${label.charAt(0).toLowerCase()}${label.slice(1)}. Show the working`}
      className="justify-center underline"
    >
      {text}
    </WorkingButton>
  )
}
