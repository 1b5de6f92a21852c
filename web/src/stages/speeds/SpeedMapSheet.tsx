import { printNumber, printQuantity } from '@zesty/core'
import { coverage, speedMap, type JobOn } from '@zesty/core/speeds'
import { useMemo, useState } from 'react'
import { useEvaluation } from '../../state/evaluation'
import { usePlan } from '../../state/openPlan'
import { useUnits } from '../../state/units'
import { Mark } from '../../parts/Mark'
import { jobVerdicts } from './jobVerdicts'
import { positionColour } from './positionColour'
import { SpeedMapChart } from './SpeedMapChart'

/** Which job goes on which position, and with what in hand: drawn, in words, and for one position or two alone. */
export function SpeedMapSheet() {
  const plan = usePlan()
  const evaluation = useEvaluation()
  const units = useUnits()
  const map = useMemo(() => speedMap(plan, evaluation), [plan, evaluation])
  const [shaded, setShaded] = useState<number>()
  const [job, setJob] = useState<number>()
  const heading = (
    <h2 id="map" tabIndex={-1} className="h-part">
      Speed map
    </h2>
  )
  if (!map || map.positions.length === 0)
    return (
      <section className="sheet mt-4">
        {heading}
        <p className="lead">The map appears once the motor’s plate, the drive’s amps and one position are known.</p>
      </section>
    )
  const main = map.positions.findIndex((p) => p.main)
  const front = shaded ?? (main < 0 ? 0 : main)
  return (
    <section className="sheet mt-4" aria-labelledby="map">
      {heading}
      <p className="lead mb-2">
        Torque at the spindle over its speed. Shaded: the position that is pressed, green all day, brass for moments;
        above it the motor is too weak.
      </p>
      <div className="mb-1 flex flex-wrap gap-1.5" role="group" aria-label="Position that is shaded">
        {map.positions.map((p, i) => {
          const { colour, dash } = positionColour(i)
          return (
            <button
              key={p.id}
              type="button"
              aria-pressed={i === front}
              className={`btn btn-quiet px-3 ${i === front ? 'border-ink font-semibold' : ''}`}
              onClick={() => setShaded(i)}
            >
              <svg width="30" height="8" aria-hidden="true">
                <line x1="1" x2="29" y1="4" y2="4" stroke={colour} strokeWidth="3" strokeDasharray={dash} />
              </svg>
              {p.name}
            </button>
          )
        })}
      </div>
      <SpeedMapChart map={map} shaded={front} job={job} onJob={setJob} />
      {map.jobs.length > 0 && (
        <div className="relative mt-2 overflow-x-auto">
          <table className="w-full min-w-[560px] text-[15px]">
            <caption className="sr-only">Each job on each position</caption>
            <thead>
              <tr className="border-b border-ink-2 text-left align-bottom font-cond text-ink-2">
                <th className="py-1 font-semibold">Job</th>
                <th className="px-2 py-1 text-right font-semibold">Wants</th>
                <th className="px-2 py-1 text-right font-semibold">Torque</th>
                {map.positions.map((p) => (
                  <th key={p.id} className="px-2 py-1 font-semibold">
                    {p.name}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {map.jobs.map((j, i) => (
                <tr
                  key={j.id}
                  className={`border-b border-rule ${i === job ? 'bg-blue-wash' : ''}`}
                  onMouseEnter={() => setJob(i)}
                  onMouseLeave={() => setJob(undefined)}
                >
                  <th scope="row" className="text-left font-semibold">
                    <button
                      type="button"
                      className="flex min-h-11 min-w-[150px] items-center gap-2 text-left"
                      onFocus={() => setJob(i)}
                      onBlur={() => setJob(undefined)}
                      onClick={() => setJob(i)}
                    >
                      <span className="flex size-6 shrink-0 items-center justify-center rounded-full border-2 border-ink font-cond text-[14px]">
                        {i + 1}
                      </span>
                      {j.name}
                    </button>
                  </th>
                  <td className="px-2 text-right whitespace-nowrap">
                    {printQuantity({ value: j.wanted.rpm, dimension: 'speed' }, units)}
                  </td>
                  <td className="px-2 text-right whitespace-nowrap">
                    {j.wanted.torqueNm === undefined
                      ? 'not known'
                      : printQuantity({ value: j.wanted.torqueNm, dimension: 'torque' }, units)}
                  </td>
                  {j.on.map((on, k) => (
                    <td key={map.positions[k]?.id} className="px-2 py-1">
                      <Verdict on={on} />
                    </td>
                  ))}
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
      <Spans map={map} />
      {map.jobs.length > 0 && <OnePosition map={map} />}
    </section>
  )
}

/** How it goes there, and the torque in hand: 1.5 times what it asks. */
function Verdict({ on }: { on: JobOn }) {
  const { kind, words } = jobVerdicts[on.verdict]
  const margin = on.verdict === 'moments' ? on.marginPeak : (on.marginContinuous ?? on.marginPeak)
  return (
    <span className="flex flex-col">
      <Mark kind={kind} word={words} />
      {margin !== undefined && (
        <span className="text-[14px] text-ink-2">{printNumber(margin, 3, 2)} times what it asks</span>
      )}
    </span>
  )
}

function Spans({ map }: { map: NonNullable<ReturnType<typeof speedMap>> }) {
  const gaps = map.spans.filter((s) => s.kind === 'gap')
  const rpm = (value: number) => printNumber(value, 3, 0)
  if (map.spans.length === 0) return null
  return (
    <p className="mt-2 text-[15px]">
      {gaps.length === 0
        ? `No gap between the positions: ${map.spans.map((s) => `${s.between.join(' and ')} share ${rpm(s.fromRpm)} to ${rpm(s.toRpm)} rpm`).join('; ')}.`
        : `Speeds that no position reaches: ${gaps.map((s) => `${rpm(s.fromRpm)} to ${rpm(s.toRpm)} rpm, between ${s.between.join(' and ')}`).join('; ')}.`}
    </p>
  )
}

const SHOWN = 6

/** How many jobs one position, or two, can do alone, and what is lost. */
function OnePosition({ map }: { map: NonNullable<ReturnType<typeof speedMap>> }) {
  const ways = useMemo(() => coverage(map), [map])
  return (
    <details className="mt-2" open>
      <summary className="min-h-11 content-center font-semibold">One position for nearly everything?</summary>
      <table className="w-full text-[15px]">
        <thead>
          <tr className="border-b border-ink-2 text-left font-cond text-ink-2">
            <th className="py-1 font-semibold">With</th>
            <th className="px-2 py-1 text-right font-semibold">Jobs done</th>
            <th className="px-2 py-1 text-right font-semibold">All day</th>
            <th className="px-2 py-1 font-semibold">Lost</th>
          </tr>
        </thead>
        <tbody>
          {ways.slice(0, SHOWN).map((c) => (
            <tr key={c.positions.join('+')} className="border-b border-rule align-top">
              <th scope="row" className="py-1.5 text-left font-semibold">
                {c.positions.join(' and ')}
              </th>
              <td className="px-2 py-1.5 text-right whitespace-nowrap">
                {c.covered} of {map.jobs.length}
              </td>
              <td className="px-2 py-1.5 text-right">{c.allDay}</td>
              <td className="px-2 py-1.5">
                {c.lost.map((l) => `${l.job}: ${jobVerdicts[l.why].words}`).join('; ') || 'nothing'}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </details>
  )
}
