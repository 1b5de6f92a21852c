import { claimOf, fieldAt, messageText, planWork, plannedWork, type Remedy } from '@zesty/core'
import { notice } from '../state/notice'
import { goToField } from '../state/goToField'
import { useChange, usePlan } from '../state/openPlan'
import { takeBack } from '../state/takeBack'
import { useUnits } from '../state/units'
import { Mark } from '../parts/Mark'

/** What mends a finding: in one press where it is a decision; to be planned, and looked at, where somebody must do it. */
export function RemedyButtons({
  remedies,
  tried,
  onTaken,
}: {
  remedies: Remedy[]
  /** Whether they were tried since the last change. */
  tried: boolean
  onTaken: (remedy: Remedy) => void
}) {
  const plan = usePlan()
  const change = useChange()
  const units = useUnits()
  const planned = plannedWork(plan)
  return (
    <div className="mt-2 flex flex-wrap gap-1.5">
      {remedies.map((remedy, i) => {
        const label = messageText(remedy.label, units)
        const claims = claimOf(remedy.patch)
        const main = `btn disabled:opacity-100 ${i === 0 ? 'btn-main' : ''}`
        const take = () => {
          const words = claims === undefined ? label : `Plan it: ${label}`
          change(words, planWork(plan, label, remedy.patch))
          notice(words, { label: 'Undo', onClick: takeBack })
          if (claims === undefined) onTaken(remedy)
        }
        if (claims === undefined)
          return (
            <button key={label} type="button" disabled={!tried} className={main} onClick={take}>
              {label}
            </button>
          )
        const isPlanned = planned.some((p) => p.path === claims && p.label === label)
        return (
          <span key={label} className="flex flex-wrap items-center gap-1.5">
            {isPlanned ? (
              <span className="flex min-h-11 items-center gap-2 text-[15px] font-semibold">
                <Mark kind="note" silent /> Planned: {label}
              </span>
            ) : (
              <button type="button" disabled={!tried} className={main} onClick={take}>
                Plan it: {label}
              </button>
            )}
            {remedies.find((other) => claimOf(other.patch) === claims) === remedy && (
              <button
                type="button"
                className="btn btn-quiet"
                aria-label={`I have checked it: ${fieldAt(claims).label}`}
                onClick={() => goToField(claims)}
              >
                I have checked it
              </button>
            )}
          </span>
        )
      })}
    </div>
  )
}
