import { dialScale, type DialPosition } from '@zesty/core/dial'
import { line, scaleLinear } from 'd3'
import { FootAxis, LeftAxis } from '../../parts/ChartAxes'
import { useWidth } from '../../parts/useWidth'
import { useReadings } from '../../measurements/useReadings'
import { usePlan } from '../../state/openPlan'

const HEIGHT = 240
const BOX = { height: HEIGHT, left: 56, right: 16, top: 12, bottom: 44 }

/** Readings of one dial and what they come to; one that was left out is crossed. */
export function DialChart({ position }: { position: DialPosition }) {
  const [measure, width] = useWidth(640)
  const { from, to } = dialScale(usePlan().dial)
  const { readings } = useReadings()
  const { fit, planned, name, id } = position
  if (!fit) return null
  const points = readings.flatMap((r) =>
    r.kind === 'spindle-speed' && r.dial !== undefined && (r.positionId ?? id) === id
      ? [{ dial: r.dial, rpm: r.value, id: r.id }]
      : [],
  )
  const odd = new Set(fit.outliers.map((o) => o.id))
  const box = { ...BOX, width }
  const most = Math.max(...points.map((p) => p.rpm), planned?.toRpm ?? 0)
  const x = scaleLinear([from, to], [box.left, width - box.right])
  const y = scaleLinear([0, most * 1.05], [HEIGHT - box.bottom, box.top]).nice()
  const shown = fit.straight
    ? [from, to].map((dial) => ({ dial, rpm: Math.max(0, fit.intercept + fit.slope * dial) }))
    : fit.table
  const path = line<{ dial: number; rpm: number }>(
    (p) => x(p.dial),
    (p) => y(p.rpm),
  )
  return (
    <div ref={measure} className="mt-2 min-w-0">
      <svg width={width} height={HEIGHT} role="img" aria-label={`Speed over the marks of the dial, ${name}`}>
        <LeftAxis box={box} ticks={y.ticks(5)} scale={y} text={String} />
        <FootAxis
          box={box}
          ticks={x.ticks(Math.min(10, Math.abs(to - from)))}
          scale={x}
          text={String}
          title="mark; rpm"
        />
        {planned && (
          <path
            d={
              path([
                { dial: from, rpm: planned.fromRpm },
                { dial: to, rpm: planned.toRpm },
              ]) ?? ''
            }
            stroke="var(--ink-2)"
            strokeDasharray="3 5"
            strokeWidth={1.5}
            fill="none"
          />
        )}
        <path d={path([...shown]) ?? ''} stroke="var(--blue)" strokeWidth={2.5} fill="none" />
        {points.map((p) =>
          odd.has(p.id) ? (
            <path
              key={p.id}
              d={`M${x(p.dial) - 6} ${y(p.rpm) - 6}l12 12m0-12l-12 12`}
              stroke="var(--brass)"
              strokeWidth={3}
            />
          ) : (
            <circle
              key={p.id}
              cx={x(p.dial)}
              cy={y(p.rpm)}
              r={4.5}
              fill="var(--card)"
              stroke="var(--ink)"
              strokeWidth={2}
            />
          ),
        )}
      </svg>
    </div>
  )
}
