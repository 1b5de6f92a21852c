import { stopMapOf, turnsToRest, type StopLine, type StopMap } from '@zesty/core/run-in'
import { fieldAt } from '@zesty/core'
import { line, scaleLinear } from 'd3'
import { useMemo, useState } from 'react'
import { useConversion } from '../../parts/useConversion'
import { FootAxis, LeftAxis } from '../../parts/ChartAxes'
import { Labelled } from '../../parts/Labelled'
import { usePrint } from '../../parts/usePrint'
import { useWidth } from '../../parts/useWidth'
import { goToField } from '../../state/goToField'
import { useChange, usePlan } from '../../state/openPlan'
import { usePart } from '../../parts/usePart'

/** Seconds to standstill over speed by each way, with the limits under which a stop must not fall. */
export function StopMapSheet() {
  const { facts } = useConversion()
  const { maps } = usePart('runIn')
  const [at, setAt] = useState(0)
  const chosen = maps[Math.min(at, maps.length - 1)]
  const map = useMemo(() => chosen && stopMapOf(facts, chosen.positionId, chosen.holder), [facts, chosen])
  if (!chosen || !map) return null
  return (
    <section className="sheet mt-3" aria-labelledby="map">
      <div className="flex flex-wrap items-start justify-between gap-2">
        <h2 id="map" tabIndex={-1} className="h-part">
          Stop map
        </h2>
        <Labelled label="What is on the spindle" className="min-w-[240px]">
          {(id) => (
            <select id={id} className="field" value={at} onChange={(e) => setAt(Number(e.target.value))}>
              {maps.map((m, i) => (
                <option key={i} value={i}>
                  {m.of}, {m.positionName}
                </option>
              ))}
            </select>
          )}
        </Labelled>
      </div>
      {map.rpm.length === 0 ? (
        <p>
          It cannot be drawn yet.
          {map.missing[0] !== undefined && (
            <button
              type="button"
              className="ml-1 min-h-11 font-semibold text-blue underline underline-offset-4"
              onClick={() => map.missing[0] && goToField(map.missing[0])}
            >
              {fieldAt(map.missing[0]).label}
            </button>
          )}
        </p>
      ) : (
        <>
          <Chart map={map} />
          <Table map={map} />
          <Correction map={map} />
        </>
      )}
    </section>
  )
}

const HEIGHT = 300
const EDGE = { height: HEIGHT, left: 52, right: 16, top: 12, bottom: 44 }

/** Each line by its own dash, so that none rests on its colour. */
const look: Record<StopLine['id'], { stroke: string; dash?: string }> = {
  coast: { stroke: 'var(--ink)' },
  ramp: { stroke: 'var(--blue)' },
  mushroom: { stroke: 'var(--blue)', dash: '2 4' },
  resistor: { stroke: 'var(--green)', dash: '10 3' },
  trip: { stroke: 'var(--oxide)', dash: '7 4' },
  thread: { stroke: 'var(--oxide)', dash: '2 3' },
  belt: { stroke: 'var(--brass)', dash: '7 3 2 3' },
}

function Chart({ map }: { map: StopMap }) {
  const [measure, width] = useWidth(720)
  const box = { ...EDGE, width }
  const most = Math.max(
    ...map.lines.map((l) => l.seconds.at(-1) ?? 0).filter(Number.isFinite),
    ...map.measured.map((m) => m.seconds),
  )
  const x = scaleLinear([0, map.rpm.at(-1) ?? 1], [EDGE.left, width - EDGE.right])
  const y = scaleLinear([0, most * 1.05], [HEIGHT - EDGE.bottom, EDGE.top]).nice()
  const path = line<number>(
    (_, i) => x(map.rpm[i] ?? 0),
    (s) => y(s),
  )
  return (
    <div ref={measure} className="min-w-0">
      <svg width={width} height={HEIGHT} role="img" aria-label={`Seconds to standstill over speed: ${map.of}`}>
        <LeftAxis box={box} ticks={y.ticks(5)} scale={y} text={(s) => `${s} s`} />
        <FootAxis box={box} ticks={x.ticks(6)} scale={x} text={String} title="rpm at the spindle" />
        {map.lines.map((l) => (
          <path
            key={l.id}
            d={path([...l.seconds]) ?? ''}
            fill="none"
            stroke={look[l.id].stroke}
            strokeWidth={l.kind === 'limit' ? 2.5 : 2}
            strokeDasharray={look[l.id].dash}
          />
        ))}
        {map.measured.map((m, i) => (
          <circle
            key={i}
            cx={x(m.rpm)}
            cy={y(m.seconds)}
            r={5.5}
            fill="var(--card)"
            stroke="var(--ink)"
            strokeWidth={2.5}
          />
        ))}
      </svg>
    </div>
  )
}

function Table({ map }: { map: StopMap }) {
  const print = usePrint()
  const at = [Math.floor(map.rpm.length / 2) - 1, map.rpm.length - 1].filter((i) => i >= 0)
  return (
    <div className="overflow-x-auto">
      <table className="mt-1 w-full max-w-[720px]">
        <thead>
          <tr className="border-b border-ink-2 text-left">
            <th>To standstill</th>
            {at.map((i) => (
              <th key={i} className="text-right" colSpan={2}>
                from {print('speed', map.rpm[i] ?? 0)}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {map.lines.map((l) => (
            <tr key={l.id} className="border-b border-rule">
              <th scope="row" className="py-1.5 text-left font-normal">
                <svg width="34" height="10" aria-hidden="true" className="mr-2 inline-block">
                  <path d="M1 5H33" stroke={look[l.id].stroke} strokeWidth="3" strokeDasharray={look[l.id].dash} />
                </svg>
                {l.name}
              </th>
              {at.map((i) => (
                <Cells key={i} seconds={l.seconds[i] ?? 0} rpm={map.rpm[i] ?? 0} limit={l.kind === 'limit'} />
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      {map.measured.length > 0 && <p className="text-[15px]">Rings: stops that were timed.</p>}
    </div>
  )
}

function Cells({ seconds, rpm, limit }: { seconds: number; rpm: number; limit: boolean }) {
  const print = usePrint()
  return (
    <>
      <td className="text-right whitespace-nowrap tabular-nums">
        {limit ? 'under ' : ''}
        {print('time', seconds)}
      </td>
      <td className="pl-2 text-right whitespace-nowrap text-ink-2 tabular-nums">
        {limit ? '' : `${Math.round(turnsToRest(rpm, seconds))} turns`}
      </td>
    </>
  )
}

/** What the timed stops say of friction, or of what turns. */
function Correction({ map: { correction, patch, of } }: { map: StopMap }) {
  const change = useChange()
  const plan = usePlan()
  if (!correction) return null
  const { factor, from } = correction
  const isTaken = patch?.every(
    ({ path, value }) => value === (path === 'survey.coastS' ? plan.survey.coastS : plan.survey.coastFromRpm),
  )
  return (
    <p className="mt-2">
      By {from === 1 ? 'the stop' : `${from} stops`} that {from === 1 ? 'was' : 'were'} timed{' '}
      {correction.of === 'friction' ? 'the friction is' : 'what turns weighs'} {factor.toFixed(2)} times what was
      planned; the map is drawn with that.
      {patch && isTaken !== true && (
        <button
          type="button"
          className="btn ml-2"
          onClick={() => change(`The coast with ${of}, as it was timed`, patch)}
        >
          Judge everything by it
        </button>
      )}
    </p>
  )
}
