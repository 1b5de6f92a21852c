import { compareDrives, takeDrive } from '@zesty/core'
import { useMemo } from 'react'
import { useChange, useEvaluation, usePlan } from '../../conversion/openPlan'
import { BesideButtons } from '../../library/BesideButtons'
import { BesideForm } from '../../library/BesideForm'
import { useBeside } from '../../library/useBeside'
import { DrivesTable } from './DrivesTable'
import { SizeSchools } from './SizeSchools'

/** Drives thought of, side by side against this motor, this wall and these jobs. */
export function Drives() {
  const plan = usePlan()
  const evaluation = useEvaluation()
  const change = useChange()
  const beside = useBeside('drive')
  const columns = useMemo(() => compareDrives(plan), [plan])
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
        onEdit={beside.edit}
        onTake={(column) => change(`Take ${column.name}`, takeDrive(column.plate))}
        onRemove={beside.remove}
      />
      <BesideButtons kind="drive" beside={beside} />
      {beside.index !== undefined && (
        <BesideForm kind="drive" index={beside.index} onClose={() => beside.edit(undefined)} />
      )}
    </section>
  )
}
