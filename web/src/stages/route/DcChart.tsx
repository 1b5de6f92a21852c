import { inShownUnit, printNumber, printQuantity } from '@zesty/core'
import { type RouteComparison } from '@zesty/core/compare'
import { line, scaleLinear } from 'd3'
import { useUnits } from '../../state/units'
import { FootAxis, LeftAxis } from '../../parts/ChartAxes'
import { useWidth } from '../../parts/useWidth'

const HEIGHT = 300
const MARGIN = { left: 56, right: 16, top: 26, bottom: 42 }

const looks: Readonly<Record<string, { colour: string; dash?: string }>> = {
  'drive-each': { colour: 'var(--blue)' },
  'keep-dc': { colour: 'var(--green)', dash: '8 4' },
  'fixed-dc': { colour: 'var(--brass)', dash: '12 3 2 3' },
  'small-dc': { colour: 'var(--oxide)', dash: '2 4' },
}

/** Torque over the spindle's speed, each way, and the same in numbers. */
export function DcChart({ dc }: { dc: NonNullable<RouteComparison['dc']> }) {
  const units = useUnits()
  const [ref, width] = useWidth(700)
  const shown = (nm: number) => inShownUnit({ value: nm, dimension: 'torque' }, units)
  const points = dc.curves.flatMap((w) => w.points)
  const x = scaleLinear([0, Math.max(...points.map((p) => p.rpm))], [MARGIN.left, width - MARGIN.right])
  const y = scaleLinear(
    [0, Math.max(...points.map((p) => shown(p.torqueNm)))],
    [HEIGHT - MARGIN.bottom, MARGIN.top],
  ).nice()
  const path = line<{ rpm: number; torqueNm: number }>(
    (p) => x(p.rpm),
    (p) => y(shown(p.torqueNm)),
  )
  const at = (way: (typeof dc.curves)[number], rpm: number) =>
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
        {dc.curves.map((w) => (
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
          {dc.curves.map((w) => (
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
