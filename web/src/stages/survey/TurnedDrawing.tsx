import { printQuantity } from '@zesty/core'
import { useId } from 'react'
import { useUnits } from '../../state/units'
import type { TurnedStep } from './readTurned'

const WIDTH = 300
const HEIGHT = 120
const EDGE = 14

/** Something turned, cut along its axis and to scale: what is full is hatched, the bore is empty, sizes stand beside. */
export function TurnedDrawing({ steps }: { steps: readonly TurnedStep[] }) {
  const units = useUnits()
  const hatch = useId()
  const known = steps.flatMap(({ outerMm, lengthMm, boreMm }) =>
    outerMm === undefined || lengthMm === undefined ? [] : [{ outerMm, lengthMm, boreMm: boreMm ?? 0 }],
  )
  const total = known.reduce((sum, { lengthMm }) => sum + lengthMm, 0)
  const widest = Math.max(...known.map(({ outerMm }) => outerMm))
  if (known.length === 0) return null
  const scale = Math.min((WIDTH - 2 * EDGE) / total, (HEIGHT - 2 * EDGE) / widest)
  const axis = HEIGHT / 2
  const left = (WIDTH - total * scale) / 2
  const shapes = known.map((step, i) => ({
    ...step,
    x: left + known.slice(0, i).reduce((sum, { lengthMm }) => sum + lengthMm * scale, 0),
  }))
  const size = (mm: number) => printQuantity({ value: mm, dimension: 'length' }, units)
  const says = known
    .map(
      ({ outerMm, lengthMm, boreMm }) =>
        `${size(outerMm)} across, ${size(lengthMm)} long${boreMm > 0 ? `, bored ${size(boreMm)}` : ''}`,
    )
    .join('; ')
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      className="w-full max-w-[420px] rounded border border-rule bg-card"
      role="img"
      aria-label={`Cut along its axis: ${says}`}
    >
      <defs>
        <pattern id={hatch} width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <path d="M0 0v6" stroke="var(--ink-2)" strokeWidth="1" />
        </pattern>
      </defs>
      {shapes.flatMap(({ x, outerMm, lengthMm, boreMm }, i) =>
        [-1, 1].map((side) => {
          const [outer, inner] = [(outerMm / 2) * scale, (boreMm / 2) * scale]
          return (
            <rect
              key={`${i} ${side}`}
              x={x}
              y={side < 0 ? axis - outer : axis + inner}
              width={lengthMm * scale}
              height={outer - inner}
              fill={`url(#${hatch})`}
              stroke="var(--ink)"
              strokeWidth="1.5"
            />
          )
        }),
      )}
      <path
        d={`M${left - 10} ${axis}H${left + total * scale + 10}`}
        stroke="var(--blue)"
        strokeWidth="1"
        strokeDasharray="10 3 2 3"
      />
    </svg>
  )
}
