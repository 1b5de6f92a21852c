import { parseQuantity, printQuantity } from '@zesty/core'
import { conductorColours } from '@zesty/core/wiring'
import { useId, useState } from 'react'
import { useUnits } from '../../state/units'

/** Colour and size of a wire that is otherwise on this machine. */
export function WireLooks({
  colour,
  onColour,
  onArea,
}: {
  colour: string
  onColour: (code: string) => void
  /** Square millimetres, nothing where none is typed; null where what is typed is none. */
  onArea: (areaMm2: number | undefined | null) => void
}) {
  const units = useUnits()
  const id = useId()
  const [fault, setFault] = useState<string>()
  const read = (text: string) => {
    if (text.trim() === '') {
      setFault(undefined)
      onArea(undefined)
      return
    }
    const size = parseQuantity(text, 'area', units)
    const fits = size.ok && size.value >= 0.05 && size.value <= 95
    setFault(
      !size.ok
        ? size.message
        : fits
          ? undefined
          : `From ${printQuantity({ value: 0.05, dimension: 'area' }, units)} to ${printQuantity({ value: 95, dimension: 'area' }, units)}`,
    )
    onArea(fits ? size.value : null)
  }
  return (
    <>
      <label className="flex flex-col gap-0.5">
        <span className="label">Colour</span>
        <select className="field" value={colour} onChange={(e) => onColour(e.target.value)}>
          <option value="">Choose a colour</option>
          {Object.entries(conductorColours).map(([code, { words }]) => (
            <option key={code} value={code}>
              {words}
            </option>
          ))}
        </select>
      </label>
      <div className="flex flex-col gap-0.5">
        <label className="label" htmlFor={id}>
          Size, where it is another
        </label>
        <input
          id={id}
          className="field"
          inputMode="decimal"
          aria-invalid={fault !== undefined}
          aria-describedby={fault === undefined ? undefined : `${id}-fault`}
          onChange={(e) => read(e.target.value)}
        />
        {fault !== undefined && (
          <p id={`${id}-fault`} role="alert" className="text-[15px] font-medium text-oxide">
            {fault}
          </p>
        )}
      </div>
    </>
  )
}
