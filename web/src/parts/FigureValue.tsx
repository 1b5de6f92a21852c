import { printQuantity, type FigureId } from '@zesty/core'
import { useFigure } from '../state/evaluation'
import { useUnits } from '../state/units'
import { WorkingButton } from './WorkingButton'
import { memo } from 'react'

/** A figure's number, which opens to its working. Without one it says so. */
export const FigureValue = memo(function FigureValue({ id, className = '' }: { id: FigureId; className?: string }) {
  const figure = useFigure(id)
  const units = useUnits()
  return (
    <WorkingButton
      of={id}
      label={
        figure
          ? `${figure.label}: ${printQuantity(figure, units)}. Show the working`
          : 'Not known yet. Show what is missing'
      }
      className={`justify-end px-1.5 text-right ${figure ? '' : 'text-ink-2'} ${className}`}
    >
      {figure ? printQuantity(figure, units) : 'not known'}
    </WorkingButton>
  )
})
