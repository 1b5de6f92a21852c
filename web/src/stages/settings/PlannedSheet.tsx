import { plannedWork, set } from '@zesty/core'
import { RemoveButton } from '../../parts/RemoveButton'
import { goToField } from '../../state/goToField'
import { useChange, usePlan } from '../../state/openPlan'

/** Work that is planned and that nobody has done, or not looked at since. */
export function PlannedSheet() {
  const plan = usePlan()
  const change = useChange()
  const planned = plannedWork(plan)
  if (planned.length === 0) return null
  return (
    <section className="sheet mb-3" aria-labelledby="planned" data-path="planned">
      <h2 id="planned" className="h-part">
        Planned, to be done and looked at
      </h2>
      <ul className="mt-1">
        {planned.map((work) => (
          <li key={work.path} className="flex flex-wrap items-center gap-2 border-t border-rule py-1">
            <span className="hidden size-4 border border-ink print:inline-block" aria-hidden="true" />
            <span className="min-w-0 flex-1 font-medium">{work.label}</span>
            <button type="button" className="btn" onClick={() => goToField(work.path)}>
              I have checked it
            </button>
            <RemoveButton
              what={work.label}
              onClick={() =>
                change(`Not planned: ${work.label}`, [
                  set(
                    'planned',
                    planned.filter((other) => other !== work),
                  ),
                ])
              }
            />
          </li>
        ))}
      </ul>
    </section>
  )
}
