import { takeDrive } from '@zesty/core'
import { compareDrives } from '@zesty/core/compare'
import { useMemo } from 'react'
import { useEvaluation } from '../../state/evaluation'
import { useChange, useMeasured, usePlan } from '../../state/openPlan'
import { CandidateButtons } from '../../candidates/CandidateButtons'
import { CandidateForm } from '../../candidates/CandidateForm'
import { useCandidates } from '../../candidates/useCandidates'
import { DrivesTable } from './DrivesTable'
import { SizeSchools } from './SizeSchools'

/** Drives thought of, side by side against this motor, this wall and these jobs. */
export function Drives() {
  const plan = usePlan()
  const measured = useMeasured()
  const evaluation = useEvaluation()
  const change = useChange()
  const candidates = useCandidates('drive')
  const columns = useMemo(() => compareDrives(plan, measured), [plan, measured])
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
        onEdit={candidates.edit}
        onTake={(column) => change(`Take ${column.name}`, takeDrive(column.plate))}
        onRemove={candidates.remove}
      />
      <CandidateButtons kind="drive" candidates={candidates} />
      {candidates.index !== undefined && (
        <CandidateForm kind="drive" index={candidates.index} onClose={() => candidates.edit(undefined)} />
      )}
    </section>
  )
}
