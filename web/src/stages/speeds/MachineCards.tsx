import { printNumber, printQuantity, type Evaluation } from '@zesty/core'
import { changeOver, rotations, speedChart, speedChartCsv, type ChangeOverLine } from '@zesty/core/speeds'
import { positionEntries } from '@zesty/core/settings'
import { Download, Printer } from 'lucide-react'
import { useMemo, useState } from 'react'
import { useEvaluation } from '../../state/evaluation'
import { printStage } from '../../state/printing'
import { usePlan } from '../../state/openPlan'
import { useUnits } from '../../state/units'
import { AmountField } from '../../parts/DetachedField'
import { saveFile } from '../../parts/saveFile'

/** The cards that hang at the machine: what changes with the belt, and rpm at each hertz. Print gives these alone. */
export function MachineCards() {
  const plan = usePlan()
  const evaluation = useEvaluation()
  const lines = useMemo(() => changeOver(plan, evaluation), [plan, evaluation])
  if (lines.length === 0) return null
  return (
    <section className="sheet to-print mt-4" aria-labelledby="cards">
      <div className="flex flex-wrap items-center justify-between gap-2">
        <h2 id="cards" tabIndex={-1} className="h-part">
          Cards for the machine
        </h2>
        <button
          type="button"
          className="btn btn-quiet print:hidden"
          onClick={() => void printStage({ cardsOnly: true })}
        >
          <Printer size={18} aria-hidden="true" /> Print them
        </button>
      </div>
      <p className="lead hidden print:block">{plan.name}</p>
      <ChangeOverCard lines={lines} />
      <EntriesCard lines={lines} />
      <SpeedChartCard evaluation={evaluation} name={plan.name} />
    </section>
  )
}

const cell = 'px-2 py-1.5 text-right whitespace-nowrap'

function ChangeOverCard({ lines }: { lines: readonly ChangeOverLine[] }) {
  const rpm = (value: number | undefined) => (value === undefined ? 'not known' : printNumber(value, 4, 0))
  return (
    <div className="relative mt-2 overflow-x-auto">
      <table className="w-full min-w-[600px] text-[15px]">
        <caption className="label border-b border-ink-2 py-1 text-left">
          Change-over: what changes with the belt
        </caption>
        <thead>
          <tr className="border-b border-ink-2 text-right align-bottom font-cond text-ink-2">
            <th className="py-1 text-left font-semibold">Position</th>
            <th className="px-2 py-1 text-left font-semibold">Spindle turns</th>
            <th className="px-2 py-1 font-semibold">From, rpm</th>
            <th className="px-2 py-1 font-semibold">To, rpm</th>
            <th className="px-2 py-1 font-semibold">Rpm a hertz</th>
            <th className="px-2 py-1 font-semibold">Tachometer</th>
            <th className="px-2 py-1 font-semibold">Ramps, s</th>
            <th className="px-2 py-1 text-left font-semibold">Not over</th>
          </tr>
        </thead>
        <tbody>
          {lines.map((l) => (
            <tr key={l.id} className="border-b border-rule align-top">
              <th scope="row" className="py-1.5 text-left font-semibold">
                {l.name}
                {l.main && <span className="block text-[13px] font-medium">used most</span>}
              </th>
              <td className="px-2 py-1.5">
                {l.rotation !== undefined
                  ? rotations[l.rotation].toLowerCase()
                  : l.reversed === undefined
                    ? 'not known'
                    : l.reversed
                      ? 'against the motor'
                      : 'with the motor'}
              </td>
              <td className={cell}>{rpm(l.bottomRpm)}</td>
              <td className={cell}>{rpm(l.topRpm)}</td>
              <td className={cell}>{l.rpmPerHz === undefined ? 'not known' : printNumber(l.rpmPerHz, 4, 2)}</td>
              <td className={cell}>
                {l.tachometerRpm === undefined || l.tachometerHz === undefined
                  ? 'not known'
                  : `${rpm(l.tachometerRpm)} at ${printNumber(l.tachometerHz, 4, 1)} Hz`}
              </td>
              <td className={cell}>
                {l.runUpS === undefined ? '?' : printNumber(l.runUpS, 2, 1)} up,{' '}
                {l.stopS === undefined ? '?' : printNumber(l.stopS, 2, 1)} down
              </td>
              <td className="px-2 py-1.5">
                {l.limit === undefined
                  ? 'nothing marked'
                  : l.limitHz === undefined
                    ? `${l.limit.what}: not met here`
                    : `${printNumber(l.limitHz, 3, 1)} Hz with ${l.limit.what}, ${rpm(l.limit.rpm)} rpm`}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-1 text-[15px] text-ink-2">
        {lines.some((l) => l.rotation !== undefined)
          ? 'Turns as you face the spindle’s nose, forward on the switch.'
          : 'With or against the motor, both seen from the same end; the survey asks where its shaft points.'}{' '}
        Ramps: the shortest with the heaviest thing on the spindle, up on rated torque, down without a resistor, to the
        top speed or its mark. Expected without load; a reading more than a few per cent off means a wrong position, a
        slipping belt or a wrong plate.
      </p>
    </div>
  )
}

/** What is entered in the drive when the belt is moved, in its own codes. */
function EntriesCard({ lines }: { lines: readonly ChangeOverLine[] }) {
  const plan = usePlan()
  const { settings } = useEvaluation()
  const entries = useMemo(() => positionEntries(plan, settings, lines), [plan, settings, lines])
  const heads = [...entries.values()][0] ?? []
  if (heads.length === 0) return null
  return (
    <div className="mt-3 overflow-x-auto">
      <table className="w-full text-[15px]">
        <caption className="label border-b border-ink-2 py-1 text-left">
          To enter in the drive when the belt is moved, standing
        </caption>
        <thead>
          <tr className="border-b border-ink-2 text-right align-bottom font-cond text-ink-2">
            <th className="py-1 text-left font-semibold">Position</th>
            {heads.map(({ id, label, code }) => (
              <th key={id} className="px-2 py-1 font-semibold">
                {code === undefined ? '' : `${code}, `}
                {label}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {lines.map((l) => (
            <tr key={l.id} className="border-b border-rule">
              <th scope="row" className="py-1.5 text-left font-semibold">
                {l.name}
              </th>
              {heads.map(({ id }) => {
                const entry = entries.get(l.id)?.find((e) => e.id === id)
                return (
                  <td key={id} className={`${cell} ${entry?.differs === true ? 'font-semibold' : ''}`}>
                    {entry?.value ?? 'not known'}
                  </td>
                )
              })}
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-1 text-[15px] text-ink-2">
        The hertz stay in the drive when the belt is moved: enter these before RUN, or the card’s own stay in force.
      </p>
    </div>
  )
}

/** Round hertz between lowest and highest, base among them. */
function chartHertz({ figures }: Evaluation): number[] {
  const [low, high, base] = (['settings.minimumHz', 'settings.maximumHz', 'settings.baseFrequencyHz'] as const).map(
    (id) => figures[id]?.value,
  )
  if (low === undefined || high === undefined || low >= high) return []
  const step = [5, 10, 20, 50, 100].find((s) => (high - low) / s <= 14) ?? 200
  const hertz = new Set([low, high])
  if (base !== undefined && base > low && base < high) hertz.add(base)
  for (let hz = Math.ceil(low / step) * step; hz < high; hz += step) hertz.add(hz)
  return [...hertz].sort((a, b) => a - b)
}

function SpeedChartCard({ evaluation, name }: { evaluation: Evaluation; name: string }) {
  const units = useUnits()
  const [typedMm, setDiameterMm] = useState<number>()
  const diameterMm = typedMm === 0 ? undefined : typedMm
  const chart = speedChart(evaluation, chartHertz(evaluation), diameterMm)
  if (chart.rows.length === 0 || chart.positions.length === 0) return null
  return (
    <div className="mt-4">
      <div className="flex flex-wrap items-end gap-3">
        <h3 className="label flex-1 py-1">Speed chart: spindle rpm at each hertz, no load</h3>
        <AmountField
          label="Surface speed at diameter"
          dimension="length"
          className="w-[200px] print:hidden"
          placeholder={units === 'metric' ? '50 mm' : '2 in'}
          onRead={setDiameterMm}
        />
        <button
          type="button"
          className="btn btn-quiet print:hidden"
          onClick={() => saveFile(`${name}, speeds.csv`, 'text/csv', speedChartCsv(chart))}
        >
          <Download size={18} aria-hidden="true" /> CSV
        </button>
      </div>
      <div className="relative overflow-x-auto">
        <table className="w-full text-[15px]">
          <thead>
            <tr className="border-b border-ink-2 text-right align-bottom font-cond text-ink-2">
              <th className="py-1 text-left font-semibold">Hertz</th>
              {chart.positions.map((p) => (
                <th key={p} className="px-2 py-1 font-semibold">
                  {p}, rpm
                  {diameterMm !== undefined && (
                    <span className="block">at {printQuantity({ value: diameterMm, dimension: 'length' }, units)}</span>
                  )}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {chart.rows.map((row) => (
              <tr key={row.frequencyHz} className="border-b border-rule">
                <th scope="row" className="py-1 text-left font-semibold">
                  {printNumber(row.frequencyHz, 4, 1)}
                </th>
                {row.cells.map((c, i) => (
                  <td key={chart.positions[i]} className="px-2 py-1 text-right whitespace-nowrap">
                    {printNumber(c.rpm, 4, 0)}
                    {c.surfaceMPerMin !== undefined && (
                      <span className="ml-2 text-ink-2">
                        {printQuantity({ value: c.surfaceMPerMin, dimension: 'surfaceSpeed' }, units)}
                      </span>
                    )}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </div>
  )
}
