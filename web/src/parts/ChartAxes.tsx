/** Where a chart's drawing stands in its picture, px. */
export interface ChartBox {
  width: number
  height: number
  left: number
  right: number
  top: number
  bottom: number
}

type Scale = (value: number) => number

interface AxisProps {
  box: ChartBox
  ticks: readonly number[]
  scale: Scale
  text: (tick: number) => string
  /** Whether lines are drawn across at each tick. */
  lines?: boolean
}

/** Ticks up the left side. */
export function LeftAxis({ box, ticks, scale, text, lines = true }: AxisProps) {
  return ticks.map((t) => (
    <g key={t}>
      {lines && <line x1={box.left} x2={box.width - box.right} y1={scale(t)} y2={scale(t)} stroke="var(--rule)" />}
      <text x={box.left - 8} y={scale(t) + 5} textAnchor="end" fontSize="14" fill="var(--ink-2)">
        {text(t)}
      </text>
    </g>
  ))
}

/** Ticks along the foot, with what they are at its right end. */
export function FootAxis({
  box,
  ticks,
  scale,
  text,
  lines = false,
  title,
  strong,
}: AxisProps & { title: string; strong?: number }) {
  const floor = box.height - box.bottom
  return (
    <>
      {ticks.map((t) => (
        <g key={t}>
          {lines && <line x1={scale(t)} x2={scale(t)} y1={box.top} y2={floor} stroke="var(--rule)" />}
          <text
            x={scale(t)}
            y={floor + 18}
            textAnchor="middle"
            fontSize="14"
            fontWeight={t === strong ? 600 : 400}
            fill={t === strong ? 'var(--ink)' : 'var(--ink-2)'}
          >
            {text(t)}
          </text>
        </g>
      ))}
      <text x={box.width - box.right} y={box.height - 5} textAnchor="end" fontSize="14" fill="var(--ink-2)">
        {title}
      </text>
    </>
  )
}
