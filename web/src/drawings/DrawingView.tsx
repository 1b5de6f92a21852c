import type { Drawing, Paint, Shape } from '@zesty/core/wiring'
import type { ReactNode } from 'react'

const paints: Readonly<Record<string, string>> = {
  ink: 'var(--ink)',
  'ink-2': 'var(--ink-2)',
  paper: 'var(--paper)',
  card: 'var(--card)',
  rule: 'var(--rule)',
  band: 'var(--manila)',
  brass: 'var(--stud)',
  blue: 'var(--blue)',
  halo: 'var(--paper)',
  none: 'none',
}

const colour = (paint: Paint | undefined): string => (paint === undefined ? 'none' : (paints[paint] ?? paint))

/** What of a drawing is dimmed, and which wire is marked. */
export interface Emphasis {
  /** Wire under the finger. */
  marked?: string | undefined
  /** Wires in full colour; all where it is not said. */
  only?: ReadonlySet<string> | undefined
}

/** A drawing of core on the page: its wires can be pressed. */
export function DrawingView({
  drawing: { width, height, shapes },
  label,
  emphasis = {},
  onWire,
}: {
  drawing: Drawing
  label: string
  emphasis?: Emphasis
  onWire?: (key: string) => void
}) {
  const one = (shape: Shape, key: number): ReactNode => {
    const painted =
      shape.kind === 'text' || shape.kind === 'group'
        ? {}
        : {
            fill: colour(shape.fill),
            ...(shape.stroke === undefined ? {} : { stroke: colour(shape.stroke), strokeWidth: shape.width ?? 0.3 }),
            strokeLinecap: 'round' as const,
            strokeLinejoin: 'round' as const,
            ...(shape.dash === undefined ? {} : { strokeDasharray: shape.dash }),
          }
    switch (shape.kind) {
      case 'path':
        return <path key={key} d={shape.d} {...painted} />
      case 'rect':
        return <rect key={key} x={shape.x} y={shape.y} width={shape.w} height={shape.h} rx={shape.r} {...painted} />
      case 'circle':
        return <circle key={key} cx={shape.x} cy={shape.y} r={shape.r} {...painted} />
      case 'text':
        return (
          <text
            key={key}
            x={shape.x}
            y={shape.y}
            fontSize={shape.size}
            fontWeight={shape.weight ?? 500}
            textAnchor={shape.anchor}
            fill={colour(shape.paint ?? 'ink')}
          >
            {shape.text}
          </text>
        )
      case 'group': {
        const dim = shape.of === 'wire' && emphasis.only !== undefined && !emphasis.only.has(shape.id)
        const marked = shape.of === 'wire' && emphasis.marked === shape.id
        const line = shape.shapes.find((s) => s.kind === 'path')
        return (
          <g
            key={key}
            opacity={dim ? 0.22 : undefined}
            onClick={shape.of === 'wire' && onWire ? () => onWire(shape.id) : undefined}
            className={shape.of === 'wire' && onWire ? 'cursor-pointer' : undefined}
          >
            {marked && line?.kind === 'path' && (
              <path d={line.d} fill="none" stroke="var(--blue)" strokeWidth={4.6} strokeOpacity={0.35} />
            )}
            {shape.of === 'wire' && onWire && line?.kind === 'path' && (
              <path d={line.d} fill="none" stroke="transparent" strokeWidth={6} />
            )}
            {shape.shapes.map(one)}
          </g>
        )
      }
    }
  }
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      role="img"
      aria-label={label}
      className="h-auto w-full font-cond [font-variant-numeric:proportional-nums]"
      style={{ maxHeight: '78vh' }}
    >
      {shapes.map(one)}
    </svg>
  )
}
