import { wiringOf } from '@zesty/core/wiring'
import { usePlan } from '../../state/openPlan'

/** Lines that the wiring wants entered, so that this drive's screws do what was wired to them. */
export function WiringLines() {
  const plan = usePlan()
  if (plan.manual === undefined) return null
  const { lines } = wiringOf(plan)
  if (lines.length === 0) return null
  return (
    <section className="sheet mb-3" aria-labelledby="lines">
      <h2 id="lines" tabIndex={-1} className="h-part">
        What the wiring wants entered
      </h2>
      <ul className="mt-1">
        {lines.map(({ code, value, words, means }) => (
          <li key={code} className="flex flex-wrap items-baseline gap-x-3 border-t border-rule py-1.5">
            <span className="hidden size-4 border border-ink print:inline-block" aria-hidden="true" />
            <b className="min-w-[90px] font-cond text-[19px] font-semibold">{code}</b>
            <b className="min-w-[60px] font-cond text-[19px] font-semibold">{value}</b>
            <span className="min-w-0 flex-1 text-[15px]">
              {words}: {means}
            </span>
          </li>
        ))}
      </ul>
    </section>
  )
}
