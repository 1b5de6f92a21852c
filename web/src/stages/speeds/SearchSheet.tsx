import { printNumber, printQuantity, messageText } from '@zesty/core'
import { ofMachine, withMeasured } from '@zesty/core/measurements'
import { usualCriteria, whyFirst, type Combination, type SearchState, type SearchCriteria } from '@zesty/core/search'
import { Search, Square } from 'lucide-react'
import { memo, useState } from 'react'
import { useKept } from '../../state/useItems'
import { notice } from '../../state/notice'
import { useEvaluation } from '../../state/evaluation'
import { useMeasured, usePlan, useShopId } from '../../state/openPlan'
import { useUnits } from '../../state/units'
import { connectionWords, pulleyWords } from './combinationWords'
import { ParetoChart } from './ParetoChart'
import { useSearch } from './useSearch'
import { WhatIf } from './WhatIf'
import { CriteriaForm } from './CriteriaForm'

const NONE: readonly never[] = []

/** Looks through every motor, drive, link, hertz and pulley that is allowed, for what does most. */
export function SearchSheet() {
  const plan = usePlan()
  const measured = useMeasured()
  const { jobs } = useEvaluation()
  const shopId = useShopId()
  const library = useKept(shopId)
  const [criteria, setWishes] = useState<SearchCriteria>(usualCriteria)
  const [picked, setPicked] = useState<Combination>()
  const { searching, start, stop } = useSearch()
  const { phase, state } = searching
  const begin = () => {
    setPicked(undefined)
    // Every way that is tried has another motor or other pulleys; what was read of the machine stays.
    void start(withMeasured(plan, ofMachine(measured)).plan, library ?? NONE, criteria)
  }
  return (
    <section className="sheet mt-4" aria-labelledby="search">
      <h2 id="search" tabIndex={-1} className="h-part">
        Search for the best combination
      </h2>
      <p className="lead mb-2">
        Motors and drives of the plan, those thought of and those in the shop’s library, linked each way, with every
        pair of stock pulleys that a stock belt drives, held against the jobs of this machine.
      </p>
      <CriteriaForm criteria={criteria} onChange={setWishes} />
      <div className="mt-3 flex flex-wrap items-center gap-3">
        {phase === 'running' ? (
          <button type="button" className="btn" onClick={stop}>
            <Square size={16} aria-hidden="true" /> Stop
          </button>
        ) : (
          <button type="button" className="btn btn-main" disabled={jobs.length === 0} onClick={begin}>
            <Search size={18} aria-hidden="true" /> Search
          </button>
        )}
        {jobs.length === 0 && <p className="lead">It wants at least one job, in the survey.</p>}
        {state && <Progress state={state} running={phase === 'running'} />}
      </div>
      {phase === 'done' && state?.best.length === 0 && (
        <div className="mt-3" role="status">
          <p className="font-semibold">Nothing goes with these wishes.</p>
          <p>
            {(searching.relaxed ?? []).length === 0
              ? 'No single one of them alone would help; let go of two, or add motors and drives to the library.'
              : `Let go of one: ${(searching.relaxed ?? []).map((r) => `${r.criterion} (then ${r.covered} jobs)`).join('; ')}.`}
          </p>
        </div>
      )}
      {state && state.best.length > 0 && (
        <>
          <Results best={state.best} jobs={jobs.length} picked={picked} onPick={setPicked} />
          <Why best={state.best} criteria={searching.criteria ?? criteria} />
          {state.front.length > 1 && (
            <details className="mt-2">
              <summary className="min-h-11 content-center font-semibold">Cost against jobs done</summary>
              <ParetoChart front={state.front} jobs={jobs.length} picked={picked} onPick={setPicked} />
            </details>
          )}
        </>
      )}
      {picked && (
        <WhatIf
          found={picked}
          onTaken={() => {
            setPicked(undefined)
            notice('Taken over. Undo brings back what was.')
          }}
        />
      )}
    </section>
  )
}

function Progress({ state, running }: { state: SearchState; running: boolean }) {
  const { done, total } = state
  const million = (n: number) => (n < 1e6 ? printNumber(n, 7, 0) : `${printNumber(n / 1e6, 3, 2)} million`)
  return (
    <div className="flex min-w-[220px] flex-1 items-center gap-3" role="status">
      {running && (
        <span className="h-3 flex-1 overflow-hidden rounded-full border border-edge bg-card">
          <span className="block h-full bg-blue" style={{ width: `${(100 * done) / Math.max(1, total)}%` }} />
        </span>
      )}
      <span className="text-[15px] text-ink-2">
        {running ? `${million(done)} of ${million(total)}` : `${million(done)} combinations looked through`}
      </span>
    </div>
  )
}

const Results = memo(function Results({
  best,
  jobs,
  picked,
  onPick,
}: {
  best: readonly Combination[]
  jobs: number
  picked: Combination | undefined
  onPick: (found: Combination) => void
}) {
  const units = useUnits()
  return (
    <div className="relative mt-3 overflow-x-auto" role="region" aria-label="Combinations found" tabIndex={0}>
      <table className="w-full min-w-[640px] text-[15px]">
        <thead>
          <tr className="border-b border-ink-2 text-left align-bottom font-cond text-ink-2">
            <th className="py-1 font-semibold">Motor, drive, pulleys</th>
            <th className="px-2 py-1 font-semibold">Hertz</th>
            <th className="px-2 py-1 text-right font-semibold">Jobs</th>
            <th className="px-2 py-1 text-right font-semibold">Belt moves</th>
            <th className="px-2 py-1 text-right font-semibold">Slowest job</th>
            <th className="px-2 py-1 text-right font-semibold">Cost</th>
            <th className="px-2 py-1">
              <span className="sr-only">Open</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {best.map((f) => (
            <tr
              key={f.order}
              className={`border-b border-rule align-top ${f.order === picked?.order ? 'bg-blue-wash' : ''}`}
            >
              <th scope="row" className="py-1.5 text-left font-normal">
                <span className="block font-semibold">
                  {f.motor.name}, {connectionWords(f)}
                </span>
                {f.drive.name}; {pulleyWords(f)}
              </th>
              <td className="px-2 py-1.5 whitespace-nowrap">
                {printNumber(f.bottomHz, 3, 1)} to {printNumber(f.topHz, 4, 1)}
              </td>
              <td className="px-2 py-1.5 text-right whitespace-nowrap">
                {f.covered} of {jobs}
                <span className="block text-[14px] text-ink-2">{f.allDay} all day</span>
              </td>
              <td className="px-2 py-1.5 text-right">{f.moves}</td>
              <td className="px-2 py-1.5 text-right whitespace-nowrap">
                {printQuantity({ value: f.slowNm, dimension: 'torque' }, units)}
              </td>
              <td className="px-2 py-1.5 text-right whitespace-nowrap">
                {f.cost === undefined ? 'not known' : printQuantity({ value: f.cost, dimension: 'money' }, units)}
              </td>
              <td className="px-2 py-0.5">
                <button
                  type="button"
                  className="btn btn-quiet px-3 whitespace-nowrap"
                  aria-label={`What if ${f.motor.name}, ${f.drive.name}, ${f.train.name}`}
                  onClick={() => onPick(f)}
                >
                  What if
                </button>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  )
})

const Why = memo(function Why({ best, criteria }: { best: readonly Combination[]; criteria: SearchCriteria }) {
  const units = useUnits()
  const [winner, other] = best
  if (!winner || !other) return null
  return (
    <p className="mt-2 text-[15px]">
      <strong className="font-semibold">Why the first before the second: </strong>
      {messageText(whyFirst(criteria.first, winner, other), units)}
    </p>
  )
})
