import type { Position, PositionPath } from '@zesty/core'
import { ChoiceField } from '../../parts/ChoiceField'
import { Disclosure } from '../../parts/Disclosure'
import { FigureValue } from '../../parts/FigureValue'
import { QuantityField } from '../../parts/QuantityField'

/** A position of which the speed or the ratio is known, with its pulleys or without; opened by who wants it. */
export function KnownOtherwise({ position, path }: { position: Position; path: PositionPath }) {
  const { knownRatio, knownSpindleRpm, knownSurfaceMPerMin } = position
  return (
    <Disclosure name="Known by its speed or ratio" holds={path} begins={isTold(position)}>
      <div className="grid grid-cols-2 items-start gap-1.5 @narrow:grid-cols-3">
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
    </Disclosure>
  )
}

const isTold = ({ knownRatio, knownSpindleRpm, knownSurfaceMPerMin }: Position): boolean =>
  (knownRatio ?? knownSpindleRpm ?? knownSurfaceMPerMin) !== undefined
