import { compareDrives, MOST_BESIDE, set, takeDrive } from '@zesty/core'
import { Plus } from 'lucide-react'
import { useMemo, useState } from 'react'
import { useChange, useEvaluation, usePlan } from '../../conversion/openPlan'
import { newId } from '../../parts/newId'
import { DriveForm } from './DriveForm'
import { DrivesTable } from './DrivesTable'
import { SizeSchools } from './SizeSchools'

/** Drives thought of, side by side against this motor, this wall and these jobs. */
export function Drives() {
  const plan = usePlan()
  const evaluation = useEvaluation()
  const change = useChange()
  const [editing, setEditing] = useState<string>()
  const columns = useMemo(() => compareDrives(plan), [plan])
  const { drives } = plan.candidates
  const index = drives.findIndex((d) => d.id === editing)
  const add = () => {
    const id = newId()
    change('Think of a drive', [
      set('candidates.drives', [...drives, { id, name: `Drive ${drives.length + 1}`, plate: {} }]),
    ])
    setEditing(id)
  }
  return (
    <section className="sheet mt-4" aria-labelledby="drives">
      <h2 id="drives" tabIndex={-1} className="h-part">
        Drives side by side
      </h2>
      <p className="lead mb-2">
        Before buying: what each gives this motor here, what it lacks, and what it costs in the end.
      </p>
      <SizeSchools evaluation={evaluation} />
      <DrivesTable
        columns={columns}
        onEdit={setEditing}
        onTake={(column) => change(`Take ${column.name}`, takeDrive(column.plate))}
        onRemove={(column) =>
          change(`Take ${column.name} off the list`, [
            set(
              'candidates.drives',
              drives.filter((d) => d.id !== column.id),
            ),
          ])
        }
      />
      <div className="mt-2 flex flex-wrap gap-2">
        <button type="button" className="btn" disabled={drives.length >= MOST_BESIDE} onClick={add}>
          <Plus size={18} aria-hidden="true" /> Think of another drive
        </button>
        {Object.keys(plan.drive).length > 0 && (
          <button
            type="button"
            className="btn"
            disabled={drives.length >= MOST_BESIDE}
            onClick={() =>
              change('Keep this plate beside', [
                set('candidates.drives', [
                  ...drives,
                  { id: newId(), name: plan.drive.name ?? `As in the plan, ${drives.length + 1}`, plate: plan.drive },
                ]),
              ])
            }
          >
            Keep the plan’s drive on the list
          </button>
        )}
      </div>
      {index >= 0 && <DriveForm index={index} onClose={() => setEditing(undefined)} />}
    </section>
  )
}
