import { compareMotors, takeMotor } from '@zesty/core'
import { useMemo } from 'react'
import { useChange, usePlan } from '../../conversion/openPlan'
import { BesideButtons } from '../../library/BesideButtons'
import { BesideForm } from '../../library/BesideForm'
import { useBeside } from '../../library/useBeside'
import { MotorsTable } from './MotorsTable'
import { OldMotorSheet } from './OldMotorSheet'

/** Motors thought of, side by side with the one that stands there: what each does, and whether it fits. */
export function Motors() {
  const plan = usePlan()
  const change = useChange()
  const beside = useBeside('motor')
  const columns = useMemo(() => compareMotors(plan), [plan])
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
        onEdit={beside.edit}
        onTake={(column) => change(`Take ${column.name}`, takeMotor(column.plate))}
        onRemove={beside.remove}
      />
      <BesideButtons kind="motor" beside={beside} />
      {beside.index !== undefined && (
        <BesideForm kind="motor" index={beside.index} onClose={() => beside.edit(undefined)} />
      )}
    </section>
  )
}
