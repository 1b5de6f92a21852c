import { takeMotor } from '@zesty/core'
import { compareMotors } from '@zesty/core/compare'
import { useMemo } from 'react'
import { useChange, useMeasured, usePlan } from '../../state/openPlan'
import { CandidateButtons } from '../../candidates/CandidateButtons'
import { CandidateForm } from '../../candidates/CandidateForm'
import { useCandidates } from '../../candidates/useCandidates'
import { MotorsTable } from './MotorsTable'
import { OldMotorSheet } from './OldMotorSheet'

/** Motors thought of, side by side with the one that stands there: what each does, and whether it fits. */
export function Motors() {
  const plan = usePlan()
  const measured = useMeasured()
  const change = useChange()
  const candidates = useCandidates('motor')
  const columns = useMemo(() => compareMotors(plan, measured), [plan, measured])
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
        onEdit={candidates.edit}
        onTake={(column) => change(`Take ${column.name}`, takeMotor(column.plate))}
        onRemove={candidates.remove}
      />
      <CandidateButtons kind="motor" candidates={candidates} />
      {candidates.index !== undefined && (
        <CandidateForm kind="motor" index={candidates.index} onClose={() => candidates.edit(undefined)} />
      )}
    </section>
  )
}
