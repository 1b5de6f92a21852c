import { isCovered, printQuantity, messageText, type Conversion } from '@zesty/core'
import { takeCombination, type Combination } from '@zesty/core/search'
import { speedMap } from '@zesty/core/speeds'
import { useMemo } from 'react'
import { useConversion } from '../../parts/useConversion'
import { DifferenceTable } from '../../parts/DifferenceTable'
import { useChange, usePlan } from '../../state/openPlan'
import { useUnits } from '../../state/units'
import { connectionWords, pulleyWords } from './combinationWords'

/** One way found, beside the present plan: the chain of both, the jobs, and what it would change. */
export function WhatIf({ found, onTaken }: { found: Combination; onTaken: () => void }) {
  const plan = usePlan()
  const units = useUnits()
  const change = useChange()
  const patch = useMemo(() => takeCombination(plan, found), [plan, found])
  const conversion = useConversion()
  const tried = useMemo(() => conversion.tried(patch), [conversion, patch])
  const [now, then] = useMemo(() => [sideOf(conversion), sideOf(tried)], [conversion, tried])
  const rows = now.evaluation.chain.map((link, i) => ({
    name: link.name,
    now: messageText(link.headline, units),
    then: messageText(then.evaluation.chain[i]?.headline ?? [], units),
  }))
  return (
    <section className="mt-3 rounded-md border border-blue bg-blue-wash p-3" aria-label="What if">
      <h3 className="h-part">
        {found.motor.name}, {connectionWords(found)}; {found.drive.name}; {pulleyWords(found)}
      </h3>
      <table className="mt-1 w-full text-[15px]">
        <thead>
          <tr className="border-b border-ink-2 text-left font-cond text-ink-2">
            <th className="py-1 font-semibold">
              <span className="sr-only">Link</span>
            </th>
            <th className="px-2 py-1 font-semibold">As the plan is</th>
            <th className="px-2 py-1 font-semibold">What if</th>
          </tr>
        </thead>
        <tbody>
          {[
            ...rows,
            { name: 'Jobs', now: `${now.covered} of ${now.jobs}`, then: `${then.covered} of ${then.jobs}` },
            { name: 'To stop for', now: String(now.stops), then: String(then.stops) },
            {
              name: 'Cost',
              now: 'as it is',
              then:
                found.cost === undefined
                  ? 'not known'
                  : printQuantity({ value: found.cost, dimension: 'money' }, units),
            },
          ].map((r) => (
            <tr key={r.name} className="border-b border-rule">
              <th scope="row" className="py-1.5 text-left font-normal">
                {r.name}
              </th>
              <td className="px-2 py-1.5">{r.now}</td>
              <td className="px-2 py-1.5 font-semibold">{r.then}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <details className="mt-1">
        <summary className="min-h-11 content-center font-semibold">What it changes in the plan</summary>
        <DifferenceTable before={plan} after={tried.plan} headings={['Now', 'Then']} />
      </details>
      <button
        type="button"
        className="btn btn-main mt-2"
        onClick={() => {
          change(`Take ${found.motor.name}, ${found.train.name}`, patch)
          onTaken()
        }}
      >
        Take it over
      </button>
    </section>
  )
}

function sideOf({ plan, evaluation }: Conversion) {
  const map = speedMap(plan, evaluation)
  return {
    evaluation,
    jobs: evaluation.jobs.length,
    covered: map?.jobs.filter((j) => j.on.some(isCovered)).length ?? 0,
    stops: evaluation.findings.filter((f) => f.severity === 'stop').length,
  }
}
