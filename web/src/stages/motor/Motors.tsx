import { compareMotors, MOST_BESIDE, set, takeMotor } from '@zesty/core'
import { Plus } from 'lucide-react'
import { useMemo, useState } from 'react'
import { useChange, usePlan } from '../../conversion/openPlan'
import { newId } from '../../parts/newId'
import { MotorForm } from './MotorForm'
import { MotorsTable } from './MotorsTable'
import { OldMotorSheet } from './OldMotorSheet'

/** Motors thought of, side by side with the one that stands there: what each does, and whether it fits. */
export function Motors() {
  const plan = usePlan()
  const change = useChange()
  const [editing, setEditing] = useState<string>()
  const columns = useMemo(() => compareMotors(plan), [plan])
  const { motors } = plan.candidates
  const index = motors.findIndex((m) => m.id === editing)
  const add = () => {
    const id = newId()
    change('Think of a motor', [
      set('candidates.motors', [...motors, { id, name: `Motor ${motors.length + 1}`, plate: {} }]),
    ])
    setEditing(id)
  }
  return (
    <section className="sheet mt-4" aria-labelledby="motors">
      <h2 id="motors" tabIndex={-1} className="h-part">
        Motors side by side
      </h2>
      <p className="lead mb-2">
        Before buying: each motor thought of, against the one that stands in the machine. Sizes follow from the frame
        until its drawing is typed.
      </p>
      <OldMotorSheet />
      <MotorsTable
        columns={columns}
        onEdit={setEditing}
        onTake={(column) => change(`Take ${column.name}`, takeMotor(column.plate))}
        onRemove={(column) =>
          change(`Take ${column.name} off the list`, [
            set(
              'candidates.motors',
              motors.filter((m) => m.id !== column.id),
            ),
          ])
        }
      />
      <div className="mt-2 flex flex-wrap gap-2">
        <button type="button" className="btn" disabled={motors.length >= MOST_BESIDE} onClick={add}>
          <Plus size={18} aria-hidden="true" /> Think of another motor
        </button>
        {Object.keys(plan.motor).length > 0 && (
          <button
            type="button"
            className="btn"
            disabled={motors.length >= MOST_BESIDE}
            onClick={() =>
              change('Keep this plate beside', [
                set('candidates.motors', [
                  ...motors,
                  { id: newId(), name: `As in the plan, ${motors.length + 1}`, plate: plan.motor },
                ]),
              ])
            }
          >
            Keep the plan’s motor on the list
          </button>
        )}
      </div>
      {index >= 0 && <MotorForm index={index} onClose={() => setEditing(undefined)} />}
    </section>
  )
}
