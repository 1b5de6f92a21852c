import type { Position, PositionPath } from '@zesty/core'
import { ChevronDown } from 'lucide-react'
import { useState } from 'react'
import { ChoiceField } from '../../parts/ChoiceField'
import { FigureValue } from '../../parts/FigureValue'
import { QuantityField } from '../../parts/QuantityField'

/** A position of which the speed or the ratio is known, with its pulleys or without; opened by who wants it. */
export function KnownOtherwise({ position, path }: { position: Position; path: PositionPath }) {
  const [open, setOpen] = useState(isTold(position))
  const { knownRatio, knownSpindleRpm, knownSurfaceMPerMin } = position
  return (
    <div>
      <button
        type="button"
        className="flex min-h-11 items-center gap-1.5 text-[15px] font-semibold text-blue"
        aria-expanded={open}
        onClick={() => setOpen(!open)}
      >
        <ChevronDown size={18} aria-hidden="true" className={open ? 'rotate-180' : ''} /> Known by its speed or ratio
      </button>
      {open && (
        <div className="grid grid-cols-2 items-start gap-1.5 sm:grid-cols-3">
          <div className="col-span-full">
            <ChoiceField path={`${path}.knownFrom`} />
          </div>
          <QuantityField path={`${path}.knownSpindleRpm`} placeholder="570 rpm" />
          <QuantityField path={`${path}.knownMotorRpm`} placeholder="1420 rpm" />
          <QuantityField path={`${path}.knownHz`} placeholder="50 Hz" />
          {knownSpindleRpm === undefined && (
            <>
              <QuantityField path={`${path}.knownSurfaceMPerMin`} placeholder="40 m/min" hint="" />
              <QuantityField path={`${path}.wheelMm`} placeholder="350 mm" />
            </>
          )}
          <QuantityField path={`${path}.knownRatio`} placeholder="0.4" />
          {(knownRatio ?? knownSpindleRpm ?? knownSurfaceMPerMin) !== undefined && (
            <p className="col-span-full text-[15px]">
              So the spindle turns <FigureValue id={`position.${position.id}.knownRatio`} /> for one of the motor. Where
              the pulleys are typed too, the speeds are theirs and the two are compared; one that is missing follows.
            </p>
          )}
        </div>
      )}
    </div>
  )
}

const isTold = ({ knownRatio, knownSpindleRpm, knownSurfaceMPerMin }: Position): boolean =>
  (knownRatio ?? knownSpindleRpm ?? knownSurfaceMPerMin) !== undefined
