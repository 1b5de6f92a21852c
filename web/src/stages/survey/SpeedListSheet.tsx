import { printQuantity, readPositions, type KnownPosition, type Position } from '@zesty/core'
import { useId, useState } from 'react'
import { useChange, usePlan } from '../../state/openPlan'
import { useUnits } from '../../state/units'
import { newId } from '../../parts/newId'
import { withPositions } from './listEdits'

const through = {
  'v-belt': 'V-belts',
  gearbox: 'A gearbox or geared head',
  'timing-belt': 'A timing belt',
  unknown: 'Not known',
} as const

/** A lever plate, a note or a part of a spreadsheet, made into positions by their speeds; shown as it is understood first. */
export function SpeedListSheet({ onDone }: { onDone: () => void }) {
  const plan = usePlan()
  const change = useChange()
  const units = useUnits()
  const id = useId()
  const [text, setText] = useState('')
  const [between, setBetween] = useState<keyof typeof through>('v-belt')
  const [measured, setMeasured] = useState(false)
  const { positions, notRead } = readPositions(text, units)
  const replaces = plan.survey.positions.length
  const make = () => {
    const made = positions.map((known): Position => ({
      ...known,
      id: newId(),
      knownFrom: measured ? 'measured' : 'printed',
      transmission: between === 'unknown' ? [] : [{ kind: between }],
    }))
    change(`Make ${made.length} positions of a list of speeds`, withPositions(plan, made))
    onDone()
  }
  return (
    <div className="mt-2 flex flex-col gap-3 rounded-md border border-blue bg-blue-wash p-3">
      <div className="flex flex-wrap items-center justify-between gap-2">
        <h3 className="font-semibold">From a list of speeds</h3>
        <button type="button" className="btn btn-quiet" onClick={onDone}>
          Close
        </button>
      </div>
      <div className="flex flex-col gap-0.5">
        <label className="label" htmlFor={id}>
          As it stands on the lever plate, in a note or a spreadsheet
        </label>
        <textarea
          id={id}
          rows={5}
          maxLength={4000}
          autoFocus
          className="field py-2"
          value={text}
          placeholder={'A 210\nB 570\nC 1420\nmotor 1420 rpm'}
          aria-describedby={`${id}-help`}
          onChange={(event) => setText(event.target.value)}
        />
        <p id={`${id}-help`} className="text-[15px] text-ink-2">
          A position to a line with its spindle rpm, or several in one. Say what the motor does then: “motor 1420 rpm”
          or “at 50 Hz”. A ratio as 2.5 : 1, motor turns first.
        </p>
      </div>
      <div className="flex flex-wrap items-end gap-3">
        <label className="flex flex-col gap-0.5">
          <span className="label">Between motor and spindle</span>
          <select
            className="field"
            value={between}
            onChange={(event) => setBetween(event.target.value as keyof typeof through)}
          >
            {Object.entries(through).map(([value, words]) => (
              <option key={value} value={value}>
                {words}
              </option>
            ))}
          </select>
        </label>
        <label className="flex min-h-11 items-center gap-2">
          <input
            type="checkbox"
            className="size-5 accent-blue"
            checked={measured}
            onChange={(event) => setMeasured(event.target.checked)}
          />
          Measured here, not printed
        </label>
      </div>
      <div aria-live="polite">
        {positions.length > 0 && (
          <table className="w-full max-w-[560px] text-[15px]">
            <caption className="label border-b border-ink-2 py-1 text-left">As it is understood</caption>
            <tbody>
              {positions.map((p, i) => (
                <tr key={i} className="border-b border-rule">
                  <th scope="row" className="py-1.5 text-left font-semibold">
                    {p.name}
                  </th>
                  <td className="px-2 text-right whitespace-nowrap">{speedOf(p)}</td>
                  <td className="px-2">{motorOf(p)}</td>
                </tr>
              ))}
            </tbody>
          </table>
        )}
        {notRead.length > 0 && (
          <p className="mt-1 text-[15px] font-medium text-brass">Not read: {notRead.join(' · ')}</p>
        )}
      </div>
      <button type="button" className="btn btn-main self-start" disabled={positions.length === 0} onClick={make}>
        {replaces === 0
          ? `Make ${positions.length} positions`
          : `Put ${positions.length} positions in place of the ${replaces} there are`}
      </button>
    </div>
  )
}

const speedOf = ({ knownRatio, knownSpindleRpm }: KnownPosition): string =>
  knownRatio !== undefined
    ? `${printQuantity({ value: knownRatio, dimension: 'number' })} a motor turn`
    : printQuantity({ value: knownSpindleRpm ?? 0, dimension: 'speed' })

const motorOf = ({ knownRatio, knownMotorRpm, knownHz }: KnownPosition): string =>
  knownMotorRpm !== undefined
    ? `motor at ${printQuantity({ value: knownMotorRpm, dimension: 'speed' })}`
    : knownHz !== undefined
      ? `drive at ${printQuantity({ value: knownHz, dimension: 'frequency' })}`
      : knownRatio !== undefined
        ? ''
        : 'the motor’s speed then is asked'
