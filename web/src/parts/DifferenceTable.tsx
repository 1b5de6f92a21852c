import { planDifference, type Plan } from '@zesty/core'
import { useUnits } from '../state/units'

/** What differs between two plans, in words. */
export function DifferenceTable({
  before,
  after,
  headings,
}: {
  before: Plan
  after: Plan
  headings: readonly [string, string]
}) {
  const differences = planDifference(before, after, useUnits())
  if (differences.length === 0) return <p className="lead">They are the same.</p>
  return (
    <table className="w-full text-[15px]">
      <thead>
        <tr className="border-b border-ink-2 text-left font-cond text-ink-2">
          <th className="py-1 pr-3 font-semibold">What</th>
          <th className="pr-3 font-semibold">{headings[0]}</th>
          <th className="font-semibold">{headings[1]}</th>
        </tr>
      </thead>
      <tbody>
        {differences.map((d) => (
          <tr key={d.path} className="border-b border-rule align-top">
            <td className="py-1.5 pr-3">{d.label}</td>
            <td className="py-1.5 pr-3">{d.before}</td>
            <td className="py-1.5 font-semibold">{d.after}</td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}
