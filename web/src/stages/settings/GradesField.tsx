import { set } from '@zesty/core'
import { Plus } from 'lucide-react'
import { useState } from 'react'
import { Labelled } from '../../parts/Labelled'
import { RemoveButton } from '../../parts/RemoveButton'
import { useChange, usePlan } from '../../state/openPlan'

const numberOf = (text: string): number | undefined => {
  const value = Number(text.trim().replace(',', '.'))
  return text.trim() === '' || !Number.isFinite(value) ? undefined : value
}

/** Grades of a ramp without a unit, each timed from standstill to the highest hertz: between two of them it is reckoned. */
export function GradesField() {
  const plan = usePlan()
  const change = useChange()
  const [grade, setGrade] = useState('')
  const [seconds, setSeconds] = useState('')
  const [fault, setFault] = useState<string>()
  const grades = plan.settings.grades ?? []
  const add = () => {
    const [g, s] = [numberOf(grade), numberOf(seconds)]
    if (g === undefined || g < 0 || g > 1000) {
      setFault('The grade is a number from 0 to 1000')
      return
    }
    if (s === undefined || s < 0.1 || s > 600) {
      setFault('The seconds are a number from 0.1 to 600')
      return
    }
    setFault(undefined)
    const others = grades.filter((one) => one.grade !== g)
    change(`Grade ${g} timed`, [
      set(
        'settings.grades',
        [...others, { grade: g, seconds: s }].sort((a, b) => a.grade - b.grade),
      ),
    ])
    setGrade('')
    setSeconds('')
  }
  return (
    <div className="mt-2 border-t border-rule pt-2" data-path="settings.grades">
      <p className="text-[15px]">
        Time two grades at least, from standstill to the highest hertz: between them the rest is reckoned, outside them
        nothing is.
      </p>
      <ul className="mt-1">
        {grades.map((one) => (
          <li key={one.grade} className="flex items-center gap-3">
            <span>
              Grade <b>{one.grade}</b>: {one.seconds} s
            </span>
            <RemoveButton
              what={`grade ${one.grade}`}
              onClick={() =>
                change(`Grade ${one.grade} not timed`, [
                  set(
                    'settings.grades',
                    grades.filter((other) => other !== one),
                  ),
                ])
              }
            />
          </li>
        ))}
      </ul>
      <div className="mt-1 flex flex-wrap items-end gap-3">
        <NumberInput label="Grade" className="w-24" value={grade} onChange={setGrade} />
        <NumberInput label="Seconds to the highest hertz" className="w-52" value={seconds} onChange={setSeconds} />
        <button type="button" className="btn" onClick={add}>
          <Plus size={18} aria-hidden="true" /> Timed
        </button>
      </div>
      {fault !== undefined && (
        <p role="alert" className="text-[15px] text-oxide">
          {fault}
        </p>
      )}
    </div>
  )
}

function NumberInput({
  label,
  className,
  value,
  onChange,
}: {
  label: string
  className: string
  value: string
  onChange: (text: string) => void
}) {
  return (
    <Labelled label={label} className={className}>
      {(id) => (
        <input id={id} className="field" inputMode="decimal" value={value} onChange={(e) => onChange(e.target.value)} />
      )}
    </Labelled>
  )
}
