import { parseQuantity, printNumber, messageText, type Position } from '@zesty/core'
import { stepPositions, stepsMatch, type StepCombination, type StepTrain } from '@zesty/core/speeds'
import { useState } from 'react'
import { useChange, usePlan } from '../../state/openPlan'
import { useUnits } from '../../state/units'
import { DetachedField } from '../../parts/DetachedField'
import { newId } from '../../parts/newId'
import { withPositions } from './listEdits'
import { readGears, readSizes } from './readSizes'

interface TypedPair {
  driverMm: number[]
  drivenMm: number[]
  centreMm: number | undefined
}

const nothing: TypedPair = { driverMm: [], drivenMm: [], centreMm: undefined }

/** Step pulleys, a countershaft and a back gear, made into every position that can be set. */
export function StepSheet({ onDone }: { onDone: () => void }) {
  const plan = usePlan()
  const change = useChange()
  const replaces = plan.survey.positions.length
  const [kind, setKind] = useState<StepTrain['kind']>('v-belt')
  const [first, setFirst] = useState(nothing)
  const [second, setSecond] = useState<TypedPair>()
  const [gears, setGears] = useState<StepTrain['gears']>([])
  const [picked, setPicked] = useState<Record<string, boolean>>({})
  const pairs = second ? [first, second] : [first]
  const combinations = stepPositions({ kind, pairs, gears })
  const isPicked = (c: StepCombination) => picked[c.name] ?? c.not === undefined
  const chosen = combinations.filter(isPicked)
  const uneven = pairs.some((p) => p.driverMm.length > 0 && p.drivenMm.length > 0 && !stepsMatch(p))
  const make = () => {
    const positions = chosen.map(({ name, stages }): Position => ({ id: newId(), name, transmission: stages }))
    change(`Make ${positions.length} positions of the steps`, withPositions(plan, positions))
    onDone()
  }
  return (
    <div className="mt-2 flex flex-col gap-3 rounded-md border border-blue bg-blue-wash p-3">
      <div className="flex flex-wrap items-center justify-between gap-2">
        <h3 className="font-semibold">From step pulleys</h3>
        <button type="button" className="btn btn-quiet" onClick={onDone}>
          Close
        </button>
      </div>
      <p className="text-[15px]">
        Type the steps in the order they face each other, all from the same end. Every combination is listed; those that
        cannot be set are named and left out.
      </p>
      <label className="flex max-w-[220px] flex-col gap-0.5">
        <span className="label">Belts</span>
        <select className="field" value={kind} onChange={(e) => setKind(e.target.value as StepTrain['kind'])}>
          <option value="v-belt">V-belt</option>
          <option value="flat-belt">Flat belt</option>
          <option value="poly-v">Poly-V belt</option>
        </select>
      </label>
      <Pair from="Motor’s steps" to="Facing them" onChange={setFirst} value={first} />
      {second ? (
        <Pair from="Countershaft’s steps" to="On the spindle" onChange={setSecond} value={second} />
      ) : (
        <button type="button" className="btn self-start" onClick={() => setSecond(nothing)}>
          There is a countershaft
        </button>
      )}
      <DetachedField
        label="Back gear, teeth, driver first"
        placeholder="28:42, 30:45; nothing where there is none"
        className="max-w-[420px]"
        read={readGears}
        onRead={(read) => setGears(read ?? [])}
      />
      {uneven && (
        <p role="alert" className="text-[15px] font-medium text-oxide">
          As many steps are wanted on one pulley as on the one it faces.
        </p>
      )}
      {combinations.length > 0 && (
        <>
          <table className="w-full max-w-[640px] text-[15px]">
            <caption className="label border-b border-ink-2 py-1 text-left">Positions, fastest first</caption>
            <tbody>
              {combinations.map((c) => (
                <tr key={c.name} className="border-b border-rule">
                  <td className="w-11">
                    <label className="flex size-11 items-center justify-center">
                      <input
                        type="checkbox"
                        className="size-5 accent-blue"
                        checked={isPicked(c)}
                        aria-label={`Position ${c.name}`}
                        onChange={(e) => setPicked({ ...picked, [c.name]: e.target.checked })}
                      />
                    </label>
                  </td>
                  <th scope="row" className="text-left font-semibold">
                    {c.name}
                  </th>
                  <td className="px-2 text-right whitespace-nowrap">{printNumber(c.speedRatio, 3, 3)} a motor turn</td>
                  <td className="px-2 text-brass">{c.not ? <Not said={c.not} /> : ''}</td>
                </tr>
              ))}
            </tbody>
          </table>
          <button type="button" className="btn btn-main self-start" disabled={chosen.length === 0} onClick={make}>
            {replaces === 0
              ? `Make ${chosen.length} positions`
              : `Put ${chosen.length} positions in place of the ${replaces} there are`}
          </button>
        </>
      )}
    </div>
  )
}

const Not = ({ said }: { said: NonNullable<StepCombination['not']> }) => <>{messageText(said, useUnits())}</>

function Pair({
  from,
  to,
  value,
  onChange,
}: {
  from: string
  to: string
  value: TypedPair
  onChange: (pair: TypedPair) => void
}) {
  const units = useUnits()
  const sizes = (text: string) => readSizes(text, units)
  return (
    <div className="grid gap-2 @narrow:grid-cols-3">
      <DetachedField
        label={from}
        placeholder="90, 125, 160"
        read={sizes}
        onRead={(read) => onChange({ ...value, driverMm: read ?? [] })}
      />
      <DetachedField
        label={to}
        placeholder="190, 155, 120"
        read={sizes}
        onRead={(read) => onChange({ ...value, drivenMm: read ?? [] })}
      />
      <DetachedField
        label="Centre to centre"
        placeholder="not measured"
        read={(text) => {
          const parsed = parseQuantity(text, 'length', units)
          return parsed.ok && parsed.value < 10 ? { ok: false, message: 'At least 10 mm.' } : parsed
        }}
        onRead={(centreMm) => onChange({ ...value, centreMm })}
      />
    </div>
  )
}
