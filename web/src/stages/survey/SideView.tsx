import { numberOf, preferredDiameters, printQuantity, set, trainLayout, type Position, type Wheel } from '@zesty/core'
import { useRef, useState, type PointerEvent } from 'react'
import { useChange, useEvaluation, useUnits } from '../../conversion/openPlan'
import { useWidth } from '../../parts/useWidth'

const HEIGHT = 210
const MARGIN = 26

/** One position seen from its end, to scale; a plain pulley is drawn larger or smaller by its rim. */
export function SideView({ position, path }: { position: Position; path: string }) {
  const change = useChange()
  const units = useUnits()
  const { figures } = useEvaluation()
  const [ref, width] = useWidth(600)
  const svg = useRef<SVGSVGElement>(null)
  const [dragged, setDragged] = useState<{ wheel: Wheel; mm: number }>()
  const stages = position.stages.map((stage, i) =>
    dragged?.wheel.stage === i ? { ...stage, [`${dragged.wheel.end}Mm`]: dragged.mm } : stage,
  )
  const layout = trainLayout(
    stages,
    (i) => numberOf(figures[`position.${position.id}.belt${i + 1}.centre`]) ?? position.stages[i]?.centreMm,
  )
  if (layout.wheels.length === 0) return null
  const left = Math.min(...layout.wheels.map((w) => w.x - w.radiusMm))
  const right = Math.max(...layout.wheels.map((w) => w.x + w.radiusMm))
  const top = Math.min(...layout.wheels.map((w) => w.y - w.radiusMm))
  const bottom = Math.max(...layout.wheels.map((w) => w.y + w.radiusMm))
  const scale = Math.min((width - 2 * MARGIN) / (right - left), (HEIGHT - 2 * MARGIN) / (bottom - top))
  const spare = (width - 2 * MARGIN - (right - left) * scale) / 2
  const x = (mm: number) => MARGIN + spare + (mm - left) * scale
  const y = (mm: number) => MARGIN + (mm - top) * scale
  const mm = (value: number) => printQuantity({ value, dimension: 'length' }, units)

  /** The stock diameter nearest to where the pointer is, from the middle of the wheel. */
  const sizeAt = (event: PointerEvent, wheel: Wheel): number => {
    const box = svg.current?.getBoundingClientRect()
    if (!box) return 2 * wheel.radiusMm
    const reach = 2 * (Math.hypot(event.clientX - box.left - x(wheel.x), event.clientY - box.top - y(wheel.y)) / scale)
    return preferredDiameters.mm.reduce<number>((a, b) => (Math.abs(b - reach) < Math.abs(a - reach) ? b : a), 50)
  }
  return (
    <div ref={ref}>
      <svg
        ref={svg}
        width={width}
        height={HEIGHT}
        className="block touch-none rounded-md border border-rule bg-card"
        role="img"
        aria-label="The train from its end, to scale; the sizes are typed in the fields above"
      >
        {layout.runs.map((r, i) => (
          <line key={i} x1={x(r.x1)} y1={y(r.y1)} x2={x(r.x2)} y2={y(r.y2)} stroke="var(--blue)" strokeWidth="2.5" />
        ))}
        {layout.centres.map(({ stage, mm: distance, supposed }, i) => {
          const [a, b] = [layout.shafts[i], layout.shafts[i + 1]]
          if (!a || !b || a.y !== b.y) return null
          return (
            <text
              key={stage}
              x={(x(a.x) + x(b.x)) / 2}
              y={HEIGHT - 8}
              textAnchor="middle"
              fontSize="14"
              fill="var(--ink-2)"
            >
              {supposed ? 'distance not measured' : `${mm(distance)} centre to centre`}
            </text>
          )
        })}
        {layout.wheels.map((wheel) => {
          const size = wheel.toothed ? '' : mm(2 * wheel.radiusMm)
          const radius = wheel.radiusMm * scale
          return (
            <g key={`${wheel.stage}${wheel.end}`}>
              <circle
                cx={x(wheel.x)}
                cy={y(wheel.y)}
                r={radius}
                fill="none"
                stroke="var(--ink)"
                strokeWidth="2"
                strokeDasharray={wheel.toothed ? '4 3' : undefined}
              />
              {!wheel.toothed && (
                // The rim to take hold of, as wide as a thumb.
                <circle
                  cx={x(wheel.x)}
                  cy={y(wheel.y)}
                  r={radius}
                  fill="none"
                  stroke="transparent"
                  strokeWidth="22"
                  className="cursor-ew-resize"
                  onPointerDown={(e) => {
                    e.currentTarget.setPointerCapture(e.pointerId)
                    setDragged({ wheel, mm: sizeAt(e, wheel) })
                  }}
                  onPointerMove={(e) => {
                    if (dragged) setDragged({ ...dragged, mm: sizeAt(e, dragged.wheel) })
                  }}
                  onPointerUp={() => {
                    if (dragged)
                      change('Pulley', [
                        set(`${path}.stages.${dragged.wheel.stage}.${dragged.wheel.end}Mm`, dragged.mm),
                      ])
                    setDragged(undefined)
                  }}
                  onPointerCancel={() => setDragged(undefined)}
                />
              )}
              <text x={x(wheel.x)} y={y(wheel.y) + radius + 15} textAnchor="middle" fontSize="14" fill="var(--ink)">
                {size}
              </text>
            </g>
          )
        })}
        {layout.shafts.map((s, i) => (
          <g key={i}>
            <circle cx={x(s.x)} cy={y(s.y)} r="3" fill="var(--ink)" />
            <path
              d={s.clockwise ? 'M-7 -3a8 8 0 0 1 14 0l1 -5m-1 5l-5 -1' : 'M7 -3a8 8 0 0 0 -14 0l-1 -5m1 5l5 -1'}
              transform={`translate(${x(s.x)} ${y(s.y) - 4})`}
              fill="none"
              stroke="var(--green)"
              strokeWidth="2"
            />
          </g>
        ))}
        <text x={6} y={15} fontSize="14" fill="var(--ink-2)">
          motor
        </text>
        <text x={width - 6} y={15} textAnchor="end" fontSize="14" fill="var(--ink-2)">
          spindle
        </text>
      </svg>
    </div>
  )
}
