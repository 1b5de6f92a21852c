import { inShownUnit, printNumber, printQuantity } from '@zesty/core'
import { type RouteComparison } from '@zesty/core/compare'
import { line, scaleLinear } from 'd3'
import { useUnits } from '../../state/units'
import { YesNoField } from '../../parts/ChoiceField'
import { FigureValue } from '../../parts/FigureValue'
import { QuantityField } from '../../parts/QuantityField'
import { FootAxis, LeftAxis } from '../../parts/ChartAxes'
import { useWidth } from '../../parts/useWidth'

const HEIGHT = 300
const MARGIN = { left: 56, right: 16, top: 26, bottom: 42 }

const looks: Readonly<Record<string, { colour: string; dash?: string }>> = {
  'drive-each': { colour: 'var(--blue)' },
  'keep-dc': { colour: 'var(--green)', dash: '8 4' },
  'small-dc': { colour: 'var(--oxide)', dash: '2 4' },
}

const names: Readonly<Record<string, string>> = {
  'drive-each': 'AC motor and drive',
  'keep-dc': 'DC drive kept',
  'small-dc': 'Small DC drive',
}

/** A toolroom machine's DC drive: keep it, go to AC, or a small one with the field set by hand. */
export function DcSheet({ compared }: { compared: RouteComparison }) {
  const { dc, reversals } = compared
  return (
    <section className="sheet mt-4" aria-labelledby="dc">
      <h2 id="dc" tabIndex={-1} className="h-part">
        Where a DC toolroom drive stands
      </h2>
      <p className="lead mb-2">
        Its motor’s plate lets it be held against an AC motor: torque over the spindle’s speed, and where a reversal’s
        energy goes.
      </p>
      <div className="grid grid-cols-2 gap-x-3 gap-y-2 @narrow:grid-cols-4">
        <QuantityField path="route.dcPowerW" label="Power" placeholder="2.2 kW" />
        <QuantityField path="route.dcBaseRpm" label="Base speed" placeholder="1150 rpm" />
        <QuantityField path="route.dcTopRpm" label="Top speed by field" placeholder="2300 rpm" hint="From its plate" />
        <YesNoField path="route.backGearKept" />
        <QuantityField path="route.dcRepairPrice" label="Its repair" placeholder="450" />
        <QuantityField path="route.smallDcPrice" placeholder="240" />
      </div>
      {dc && <Chart dc={dc} />}
      {reversals.length > 0 && (
        <table className="mt-3 w-full text-[15px]">
          <caption className="label border-b border-ink-2 py-1 text-left">
            Each reversal, the heaviest thing on the position used most
          </caption>
          <tbody>
            {reversals.map((r) => (
              <tr key={r.route} className="border-b border-rule">
                <th scope="row" className="py-1 pr-3 text-left font-semibold whitespace-nowrap">
                  {names[r.route]}
                </th>
                <td className="pr-3 leading-tight">{r.says}</td>
                <td className="text-right whitespace-nowrap">
                  <FigureValue id={r.energyJ.id} />
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {dc && (
        <p className="mt-2 text-[15px] text-ink-2">
          Keep a DC drive while it works and parts can be had; with an AC motor keep the back gear. A lost field lets a
          DC motor run away: a field-loss trip is a must.
        </p>
      )}
    </section>
  )
}

function Chart({ dc }: { dc: NonNullable<RouteComparison['dc']> }) {
  const units = useUnits()
  const [ref, width] = useWidth(700)
  const shown = (nm: number) => inShownUnit({ value: nm, dimension: 'torque' }, units)
  const points = dc.ways.flatMap((w) => w.points)
  const x = scaleLinear([0, Math.max(...points.map((p) => p.rpm))], [MARGIN.left, width - MARGIN.right])
  const y = scaleLinear(
    [0, Math.max(...points.map((p) => shown(p.torqueNm)))],
    [HEIGHT - MARGIN.bottom, MARGIN.top],
  ).nice()
  const path = line<{ rpm: number; torqueNm: number }>(
    (p) => x(p.rpm),
    (p) => y(shown(p.torqueNm)),
  )
  const at = (way: (typeof dc.ways)[number], rpm: number) =>
    way.points.length === 0
      ? undefined
      : way.points.reduce((a, b) => (Math.abs(b.rpm - rpm) < Math.abs(a.rpm - rpm) ? b : a))
  const columns = [0.1, 0.25, 0.5, 1].map((share) => share * (x.domain()[1] ?? 0))
  const box = { ...MARGIN, width, height: HEIGHT }
  return (
    <div ref={ref} className="mt-3">
      <svg
        width={width}
        height={HEIGHT}
        className="block"
        role="img"
        aria-label="Torque over spindle speed; the table below says the same"
      >
        <LeftAxis box={box} ticks={y.ticks(5)} scale={y} text={(t) => printNumber(t, 3, 1)} />
        <FootAxis
          box={box}
          ticks={x.ticks(width < 500 ? 4 : 8)}
          scale={x}
          text={(t) => printNumber(t, 4, 0)}
          title="spindle rpm"
        />
        <text x={4} y={14} fontSize="14" fill="var(--ink-2)">
          {units === 'metric' ? 'N m' : 'lbf ft'} at the spindle, on {dc.position}
        </text>
        {dc.ways.map((w) => (
          <path
            key={w.id}
            d={path(w.points) ?? ''}
            fill="none"
            stroke={looks[w.id]?.colour}
            strokeWidth="2.5"
            strokeDasharray={looks[w.id]?.dash}
          />
        ))}
      </svg>
      <table className="mt-1 w-full text-[15px]">
        <thead>
          <tr className="border-b border-ink-2 text-right font-cond text-ink-2">
            <th className="py-1 text-left font-semibold">Torque at</th>
            {columns.map((rpm) => (
              <th key={rpm} className="font-semibold">
                {printQuantity({ value: Number(rpm.toPrecision(3)), dimension: 'speed' })}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {dc.ways.map((w) => (
            <tr key={w.id} className="border-b border-rule text-right">
              <th scope="row" className="py-1.5 text-left font-normal">
                <svg width="30" height="8" aria-hidden="true" className="mr-2 inline">
                  <line
                    x1="1"
                    x2="29"
                    y1="4"
                    y2="4"
                    stroke={looks[w.id]?.colour}
                    strokeWidth="3"
                    strokeDasharray={looks[w.id]?.dash}
                  />
                </svg>
                {w.name}
              </th>
              {columns.map((rpm) => {
                const point = at(w, rpm)
                const reach = (w.points.at(-1)?.rpm ?? 0) * 1.02
                return (
                  <td key={rpm}>
                    {point === undefined || rpm > reach
                      ? 'out of reach'
                      : printQuantity({ value: point.torqueNm, dimension: 'torque' }, units)}
                  </td>
                )
              })}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  )
}
