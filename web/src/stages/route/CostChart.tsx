import { isKnown, printNumber } from '@zesty/core'
import { type RouteComparison } from '@zesty/core/compare'
import { line, scaleLinear } from 'd3'
import { FigureValue } from '../../parts/FigureValue'
import { FootAxis, LeftAxis } from '../../parts/ChartAxes'
import { useWidth } from '../../parts/useWidth'

const HEIGHT = 300
const MARGIN = { left: 58, right: 16, top: 14, bottom: 42 }

const looks: Readonly<Record<string, { colour: string; dash?: string; name: string }>> = {
  'drive-each': { colour: 'var(--blue)', name: 'A drive on each machine' },
  'converter-starters': { colour: 'var(--brass)', dash: '8 4', name: 'Converter, starters' },
  'converter-drives': { colour: 'var(--green)', dash: '2 4', name: 'Converter, three-phase drives' },
}

/** Cost as machines are added, and where the lines cross. */
export function CostChart({ compared }: { compared: RouteComparison }) {
  const { costCurve, crossovers, machines } = compared
  const [ref, width] = useWidth(700)
  const most = Math.max(1, ...costCurve.flatMap((c) => c.points.map((p) => p.cost)))
  const last = Math.max(2, ...costCurve.flatMap((c) => c.points.map((p) => p.machines)))
  const x = scaleLinear([1, last], [MARGIN.left, width - MARGIN.right])
  const y = scaleLinear([0, most], [HEIGHT - MARGIN.bottom, MARGIN.top]).nice()
  const path = line<{ machines: number; cost: number }>(
    (p) => x(p.machines),
    (p) => y(p.cost),
  )
  const box = { ...MARGIN, width, height: HEIGHT }
  return (
    <section className="sheet mt-4" aria-labelledby="crossover">
      <h2 id="crossover" tabIndex={-1} className="h-part">
        Cost as machines are added
      </h2>
      {costCurve.length < 2 ? (
        <p className="lead">
          The lines appear once a drive’s price and a converter’s are typed above, with the starter or drive each
          machine then needs.
        </p>
      ) : (
        <div ref={ref} className="mt-2">
          <svg
            width={width}
            height={HEIGHT}
            role="img"
            aria-label="Cost over the number of machines; the table below says the same"
            className="block"
          >
            <LeftAxis box={box} ticks={y.ticks(5)} scale={y} text={(t) => printNumber(t, 6, 0)} />
            <FootAxis
              box={box}
              ticks={Array.from({ length: last }, (_, i) => i + 1)}
              scale={x}
              text={String}
              title={`machines; this plan has ${machines}`}
              strong={machines}
            />
            <line
              x1={x(machines)}
              x2={x(machines)}
              y1={MARGIN.top}
              y2={HEIGHT - MARGIN.bottom}
              stroke="var(--ink-2)"
              strokeDasharray="2 4"
            />
            {costCurve.map(({ route, points }) => (
              <g key={route} fill="none" stroke={looks[route]?.colour} strokeWidth="2.5">
                <path d={path(points) ?? ''} strokeDasharray={looks[route]?.dash} />
                {points.map((p) => (
                  <circle
                    key={p.machines}
                    cx={x(p.machines)}
                    cy={y(p.cost)}
                    r={p.machines === machines ? 5 : 3}
                    fill={looks[route]?.colour}
                  />
                ))}
              </g>
            ))}
          </svg>
          <table className="mt-1 w-full text-[15px]">
            <thead>
              <tr className="border-b border-ink-2 text-right font-cond text-ink-2">
                <th className="py-1 text-left font-semibold">Cost, your own money</th>
                {costCurve[0]?.points.map((p) => (
                  <th
                    key={p.machines}
                    className={`font-semibold ${p.machines === machines ? 'text-ink' : 'max-sm:hidden'}`}
                  >
                    {p.machines}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {costCurve.map(({ route, points }) => (
                <tr key={route} className="border-b border-rule text-right">
                  <th scope="row" className="py-1.5 text-left font-normal">
                    <svg width="30" height="8" aria-hidden="true" className="mr-2 inline">
                      <line
                        x1="1"
                        x2="29"
                        y1="4"
                        y2="4"
                        stroke={looks[route]?.colour}
                        strokeWidth="3"
                        strokeDasharray={looks[route]?.dash}
                      />
                    </svg>
                    {looks[route]?.name}
                  </th>
                  {points.map((p) => (
                    <td key={p.machines} className={p.machines === machines ? 'font-semibold' : 'max-sm:hidden'}>
                      {printNumber(p.cost, 7, 0)}
                    </td>
                  ))}
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
      <ul className="mt-1 text-[15px]">
        {crossovers.map((c) => (
          <li key={c.id} className="flex flex-wrap items-center gap-x-2">
            {c.label} <FigureValue id={c.id} /> {isKnown(c) && 'machines on'}
          </li>
        ))}
      </ul>
    </section>
  )
}
