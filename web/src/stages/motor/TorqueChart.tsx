import { dimensionKind, inShownUnit, numberOf, printNumber, printQuantity, type UnitSystem } from '@zesty/core'
import { shaftPower, torqueCurves, type TorqueCurves, type HertzPoint } from '@zesty/core/speeds'
import { area, line, scaleLinear } from 'd3'
import { useMemo, useState } from 'react'
import { useEvaluation } from '../../state/evaluation'
import { usePlan } from '../../state/openPlan'
import { useUnits } from '../../state/units'
import { FootAxis, LeftAxis } from '../../parts/ChartAxes'
import { useWidth } from '../../parts/useWidth'

const HEIGHT = 340
/** The marks are written above the curves, a line each. */
const MARK_ROW = 19
const MARGIN = { left: 50, right: 16, top: 18 + 3 * MARK_ROW, bottom: 40 }
const heading = { fontFamily: 'Barlow Condensed', fontWeight: 600 }

type Axis = 'hertz' | 'spindle'
type Shown = 'torque' | 'power'

/** Torque or power against hertz, or at the spindle against its speed on the position used most. */
export function TorqueChart() {
  const plan = usePlan()
  const evaluation = useEvaluation()
  const [axis, setAxis] = useState<Axis>('hertz')
  const [shown, setShown] = useState<Shown>('torque')
  const curves = useMemo(() => torqueCurves(plan, evaluation), [plan, evaluation])
  const main = evaluation.positions.find((p) => p.main)
  const ratio = numberOf(main && evaluation.figures[main.speedRatio])
  const efficiency = numberOf(main && evaluation.figures[`position.${main.id}.efficiency`]) ?? 1
  if (!curves)
    return (
      <section className="sheet mt-4">
        <h2 id="torque" tabIndex={-1} className="h-part">
          Torque
        </h2>
        <p className="lead">The curves appear once power, speed, hertz and cooling are on the plate.</p>
      </section>
    )
  return (
    <section className="sheet mt-4" aria-labelledby="torque">
      <div className="flex flex-wrap items-center justify-between gap-2">
        <h2 id="torque" tabIndex={-1} className="h-part">
          {shown === 'torque' ? 'Torque' : 'Power'}{' '}
          {axis === 'hertz' ? 'at the motor against hertz' : `at the spindle against its speed, on ${main?.name ?? ''}`}
        </h2>
        <span className="flex flex-wrap gap-2">
          <button
            type="button"
            className="btn btn-quiet"
            onClick={() => setShown(shown === 'torque' ? 'power' : 'torque')}
          >
            {shown === 'torque' ? 'Show power' : 'Show torque'}
          </button>
          {ratio !== undefined && (
            <button
              type="button"
              className="btn btn-quiet"
              onClick={() => setAxis(axis === 'hertz' ? 'spindle' : 'hertz')}
            >
              {axis === 'hertz' ? 'Show at the spindle' : 'Show at the motor'}
            </button>
          )}
        </span>
      </div>
      <Drawing curves={curves} shown={shown} ratio={axis === 'spindle' ? ratio : undefined} efficiency={efficiency} />
      <Words curves={curves} shown={shown} />
    </section>
  )
}

function Drawing({
  curves,
  shown,
  ratio,
  efficiency,
}: {
  curves: TorqueCurves
  shown: Shown
  ratio: number | undefined
  efficiency: number
}) {
  const units = useUnits()
  const [ref, width] = useWidth(700)
  const { points, baseHz, fieldWeakeningHz, mechanicalHz, lowestHz, highestHz } = curves
  const perHz =
    ratio === undefined
      ? 1
      : ((points[points.length - 1]?.motorRpm ?? 0) / (points[points.length - 1]?.frequencyHz ?? 1)) * ratio
  /** What is drawn for a torque on a curve, in the shop's units. */
  const drawn = (p: HertzPoint, nm: number) =>
    shown === 'power'
      ? inUnits(shaftPower(curves, p, nm) * (ratio === undefined ? 1 : efficiency), 'power', units)
      : inUnits(ratio === undefined ? nm : (nm * efficiency) / ratio, 'torque', units)
  const most = Math.max(...points.map((p) => drawn(p, p.vectorNm)))
  const x = scaleLinear([0, (points[points.length - 1]?.frequencyHz ?? 1) * perHz], [MARGIN.left, width - MARGIN.right])
  const y = scaleLinear([0, most * 1.08], [HEIGHT - MARGIN.bottom, MARGIN.top]).nice()
  const at = (p: HertzPoint) => x(p.frequencyHz * perHz)
  const known = points.filter((p) => p.continuousNm !== undefined)
  const through = (of: (p: HertzPoint) => number) => line<HertzPoint>(at, (p) => y(drawn(p, of(p))))
  const onVf = points.filter((p) => p.vfNm !== undefined)
  const inPlan = points.filter((p) => p.frequencyHz >= lowestHz && p.frequencyHz <= highestHz)
  const shade = area<HertzPoint>(at, y(0), (p) => y(drawn(p, p.continuousNm ?? 0)))
  const marks = [
    { hz: baseHz, text: 'base', colour: 'var(--ink-2)' },
    { hz: fieldWeakeningHz, text: 'pull-out limits from here', colour: 'var(--brass)' },
    ...(mechanicalHz === undefined ? [] : [{ hz: mechanicalHz, text: 'fastest safe', colour: 'var(--oxide)' }]),
  ].sort((a, b) => b.hz - a.hz)
  const box = { ...MARGIN, width, height: HEIGHT }
  return (
    <div ref={ref} className="mt-2">
      <svg
        width={width}
        height={HEIGHT}
        className="block"
        role="img"
        aria-label="Torque curves; the list below says the same in words"
      >
        <LeftAxis box={box} ticks={y.ticks(5)} scale={y} text={(t) => printNumber(t, 3, 1)} />
        <FootAxis
          box={box}
          ticks={x.ticks(width < 500 ? 5 : 9)}
          scale={x}
          text={(t) => printNumber(t, 4, 0)}
          title={ratio === undefined ? 'hertz at the motor' : 'spindle rpm, no load'}
        />
        <text x={4} y={MARGIN.top - 8} fontSize="14" fill="var(--ink-2)">
          {dimensionKind(shown).shown[units]}
        </text>
        <path d={shade(inPlan.filter((p) => p.continuousNm !== undefined)) ?? ''} fill="var(--green-wash)" />
        {marks.map((m, i) => (
          <g key={m.text}>
            <line
              x1={x(m.hz * perHz)}
              x2={x(m.hz * perHz)}
              y1={8 + i * MARK_ROW}
              y2={HEIGHT - MARGIN.bottom}
              stroke={m.colour}
              strokeWidth="1.6"
              strokeDasharray="6 4"
            />
            <text
              x={x(m.hz * perHz) - 6}
              y={20 + i * MARK_ROW}
              textAnchor="end"
              fontSize="15"
              fill={m.colour}
              style={heading}
              stroke="var(--card)"
              strokeWidth="4"
              paintOrder="stroke"
            >
              {m.text}
            </text>
          </g>
        ))}
        <path
          d={through((p) => p.vfNm ?? 0)(onVf) ?? ''}
          fill="none"
          stroke="var(--brass)"
          strokeWidth="2"
          strokeDasharray="10 3 2 3"
        />
        <path
          d={through((p) => p.vectorNm)(points) ?? ''}
          fill="none"
          stroke="var(--oxide)"
          strokeWidth="2"
          strokeDasharray="2 4"
          strokeLinecap="round"
        />
        <path
          d={through((p) => p.blowerNm)(points) ?? ''}
          fill="none"
          stroke="var(--blue)"
          strokeWidth="2"
          strokeDasharray="8 4"
        />
        <path d={through((p) => p.continuousNm ?? 0)(known) ?? ''} fill="none" stroke="var(--green)" strokeWidth="3" />
      </svg>
      <ul className="flex flex-wrap gap-x-5 gap-y-1 text-[15px]" aria-hidden="true">
        <Key colour="var(--green)" width={3} text="all day, as it is cooled" />
        <Key colour="var(--blue)" width={2} dash="8 4" text="all day, with a blower" />
        <Key colour="var(--oxide)" width={2} dash="2 4" text="for moments, sensorless vector" />
        {onVf.length > 0 && (
          <Key colour="var(--brass)" width={2} dash="10 3 2 3" text="for moments, plain V/f without boost" />
        )}
      </ul>
    </div>
  )
}

const inUnits = (value: number, dimension: Shown, units: UnitSystem): number => inShownUnit({ value, dimension }, units)

function Key({ colour, width, dash, text }: { colour: string; width: number; dash?: string; text: string }) {
  return (
    <li className="flex items-center gap-2">
      <svg width="34" height="8" aria-hidden="true">
        <line x1="1" x2="33" y1="4" y2="4" stroke={colour} strokeWidth={width} strokeDasharray={dash} />
      </svg>
      {text}
    </li>
  )
}

/** The curves at the hertz that matter, for print and for screen readers. */
function Words({ curves, shown }: { curves: TorqueCurves; shown: Shown }) {
  const units = useUnits()
  const { points, baseHz, lowestHz, highestHz, typical } = curves
  const near = (hz: number) =>
    points.reduce((a, b) => (Math.abs(b.frequencyHz - hz) < Math.abs(a.frequencyHz - hz) ? b : a))
  const print = (p: HertzPoint, nm: number | undefined) =>
    nm === undefined
      ? 'not known'
      : printQuantity({ value: shown === 'power' ? shaftPower(curves, p, nm) : nm, dimension: shown }, units)
  const rows = [
    { name: 'lowest', hz: lowestHz },
    { name: 'half of base', hz: baseHz / 2 },
    { name: 'base', hz: baseHz },
    { name: 'highest', hz: highestHz },
  ]
  return (
    <details className="mt-2">
      <summary className="min-h-11 content-center font-semibold">The curves in numbers</summary>
      <table className="w-full text-[15px]">
        <thead>
          <tr className="border-b border-ink-2 text-right font-cond text-ink-2">
            <th className="py-1 text-left font-semibold">At</th>
            <th className="font-semibold">All day</th>
            <th className="font-semibold">With a blower</th>
            <th className="font-semibold">For moments, vector</th>
            <th className="font-semibold">Plain V/f</th>
          </tr>
        </thead>
        <tbody>
          {rows.map(({ name, hz }) => (
            <tr key={name} className="border-b border-rule text-right">
              <th scope="row" className="py-1.5 text-left font-normal">
                {printQuantity({ value: hz, dimension: 'frequency' })}, {name}
              </th>
              <td>{print(near(hz), near(hz).continuousNm)}</td>
              <td>{print(near(hz), near(hz).blowerNm)}</td>
              <td>{print(near(hz), near(hz).vectorNm)}</td>
              <td>{print(near(hz), near(hz).vfNm)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {typical && (
        <p className="mt-1 text-[15px] text-ink-2">
          Pull-out is a typical 2.5 times rated; type Ma/Mn from the data sheet where you have it.
        </p>
      )}
    </details>
  )
}
