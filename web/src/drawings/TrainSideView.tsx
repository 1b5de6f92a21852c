import {
  drawnStages,
  numberOf,
  preferredDiameters,
  printQuantity,
  set,
  trainLayout,
  type Position,
  type PositionPath,
  type TrainLayout,
  type Wheel,
} from '@zesty/core'
import { motorRotation } from '@zesty/core/speeds'
import { useRef, useState, type PointerEvent } from 'react'
import { useEvaluation } from '../state/evaluation'
import { useChange, usePlan } from '../state/openPlan'
import { useUnits } from '../state/units'
import { useWidth } from '../parts/useWidth'
import { placeLabels } from './placeLabels'

const HIGHEST = 250
const MARGIN = 30
/** Room above, and below for sizes and distances. */
const TOP = 18
const BOTTOM = 44

/** One position seen from its end, to scale; a plain pulley is drawn larger or smaller by its rim. */
export function TrainSideView({ position, path }: { position: Position; path: PositionPath }) {
  const plan = usePlan()
  const change = useChange()
  const units = useUnits()
  const { figures } = useEvaluation()
  const [ref, width] = useWidth(600)
  const svg = useRef<SVGSVGElement>(null)
  const [dragged, setDragged] = useState<{ wheel: Wheel; mm: number }>()
  const sense = motorRotation(plan)
  const layoutOf = (resized?: { wheel: Wheel; mm: number }) =>
    trainLayout(
      drawnStages(
        position.transmission.map((stage, i) =>
          resized?.wheel.stage === i ? { ...stage, [`${resized.wheel.end}Mm`]: resized.mm } : stage,
        ),
      ),
      (i) => numberOf(figures[`position.${position.id}.belt${i + 1}.centre`]) ?? position.transmission[i]?.centreMm,
      sense !== 'counter-clockwise',
    )
  // What is shown keeps its scale while a rim is held, or the pulley would run away from the finger.
  const { wheels } = layoutOf()
  const layout = layoutOf(dragged)
  if (wheels.length === 0) return null
  const left = Math.min(...wheels.map((w) => w.x - w.radiusMm))
  const right = Math.max(...wheels.map((w) => w.x + w.radiusMm))
  const top = Math.min(...wheels.map((w) => w.y - w.radiusMm))
  const bottom = Math.max(...wheels.map((w) => w.y + w.radiusMm))
  const scale = Math.min((width - 2 * MARGIN) / (right - left), (HIGHEST - TOP - BOTTOM) / (bottom - top))
  const height = TOP + BOTTOM + (bottom - top) * scale
  const spare = (width - 2 * MARGIN - (right - left) * scale) / 2
  const x = (mm: number) => MARGIN + spare + (mm - left) * scale
  const y = (mm: number) => TOP + (mm - top) * scale
  const mm = (value: number) => printQuantity({ value, dimension: 'length' }, units)
  const ratedRpm = numberOf(figures['motor.ratedSpeedRpm'])

  /** The stock diameter nearest to where the pointer is, from the middle of the wheel. */
  const sizeAt = (event: PointerEvent, wheel: Wheel): number => {
    const box = svg.current?.getBoundingClientRect()
    if (!box) return 2 * wheel.radiusMm
    const reach = 2 * (Math.hypot(event.clientX - box.left - x(wheel.x), event.clientY - box.top - y(wheel.y)) / scale)
    return preferredDiameters.mm.reduce<number>((a, b) => (Math.abs(b - reach) < Math.abs(a - reach) ? b : a), 50)
  }
  const drawn = (wheel: Wheel) => ({ x: x(wheel.x), y: y(wheel.y), r: wheel.radiusMm * scale })
  const labels = layout.wheels.flatMap((wheel) => {
    const text = `${wheel.toothed ? '' : mm(2 * wheel.radiusMm)}${wrapOf(layout, wheel)}`
    return text === '' ? [] : [{ ...drawn(wheel), text }]
  })
  const places = placeLabels(
    labels,
    layout.wheels.map(drawn),
    layout.runs.map((r) => ({ x1: x(r.x1), y1: y(r.y1), x2: x(r.x2), y2: y(r.y2) })),
    // Under it stand the distances.
    { width, height: height - 22 },
  )
  return (
    <div ref={ref} className="min-w-0">
      <svg
        ref={svg}
        width={width}
        height={height}
        className="block rounded-md border border-rule bg-card"
        role="img"
        aria-label="The train from its end, to scale; the sizes are typed in the fields above"
      >
        {layout.runs.map((r, i) => (
          <line key={i} x1={x(r.x1)} y1={y(r.y1)} x2={x(r.x2)} y2={y(r.y2)} stroke="var(--blue)" strokeWidth="2.5" />
        ))}
        {layout.wraps.map((wrap) => (
          <path
            key={`${wrap.stage}${wrap.end}`}
            d={arc(wrap, x, y, scale)}
            fill="none"
            stroke="var(--blue)"
            strokeWidth="5"
          />
        ))}
        {layout.centres.map(({ stage, mm: distance, supposed }, i) => {
          const [a, b] = [layout.shafts[i], layout.shafts[i + 1]]
          if (!a || !b || a.y !== b.y) return null
          return (
            <text
              key={stage}
              x={(x(a.x) + x(b.x)) / 2}
              y={height - 8}
              textAnchor="middle"
              fontSize="14"
              fill="var(--ink-2)"
            >
              {supposed ? 'distance not measured' : `${mm(distance)} centre to centre`}
            </text>
          )
        })}
        {layout.wheels.map((wheel) => {
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
                  className="cursor-ew-resize touch-none"
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
                        set(`${path}.transmission.${dragged.wheel.stage}.${dragged.wheel.end}Mm`, dragged.mm),
                      ])
                    setDragged(undefined)
                  }}
                  onPointerCancel={() => setDragged(undefined)}
                />
              )}
            </g>
          )
        })}
        {layout.shafts.map((shaft, i) => (
          <g key={i} transform={`translate(${x(shaft.x)} ${y(shaft.y)})`}>
            <circle r="3" fill="var(--ink)" />
            <path
              d="M-15 -9a17.5 17.5 0 0 1 30 0m2 -9l-2 9l-9 -2"
              transform={`scale(${(shaft.clockwise ? 1 : -1) * arrowSize(layout, shaft, scale)} ${arrowSize(layout, shaft, scale)})`}
              fill="none"
              stroke="var(--green)"
              strokeWidth="2.5"
            />
            <text y="17" textAnchor="middle" fontSize="14" fontWeight="700" {...halo}>
              {i + 1}
            </text>
          </g>
        ))}
        {labels.map(({ text }, i) => (
          <text key={i} x={places[i]?.x} y={(places[i]?.y ?? 0) + 5} textAnchor="middle" fontSize="14" {...halo}>
            {text}
          </text>
        ))}
      </svg>
      <ol className="mt-1.5 flex flex-wrap gap-x-4 text-[15px]" aria-label="Shafts">
        {layout.shafts.map((shaft, i) => (
          <li key={i} className="whitespace-nowrap">
            <b>{i + 1}</b> {shaftName(i, layout.shafts.length)}
            {ratedRpm === undefined
              ? ''
              : `, ${printQuantity({ value: ratedRpm * shaft.turns, dimension: 'speed' }, units)}`}
            , {shaft.clockwise ? 'clockwise' : 'counter-clockwise'}
          </li>
        ))}
      </ol>
      <p className="mt-1 text-[14px] leading-tight text-ink-2">
        {sense === undefined
          ? 'Seen at the motor’s shaft end, its leads in order. Say in the survey where its shaft points, and this turns to where you stand.'
          : 'Seen as you face the spindle’s nose, the motor’s leads in order.'}{' '}
        {ratedRpm === undefined ? '' : 'Speeds with the motor at its plate speed. '}
        Take a pulley by its rim to try another size.
      </p>
    </div>
  )
}

/** Keeps letters readable where a belt runs behind them. */
const halo = { fill: 'var(--ink)', stroke: 'var(--card)', strokeWidth: 5, paintOrder: 'stroke' } as const

const shaftName = (i: number, count: number): string => (i === 0 ? 'motor' : i === count - 1 ? 'spindle' : 'between')

/** Size of a shaft's arrow, so that it stays inside its wheels. */
const arrowSize = (layout: TrainLayout, shaft: TrainLayout['shafts'][number], scale: number): number =>
  Math.min(1, Math.max(0.5, (largestAt(layout, shaft) * scale) / 28))

/** Radius of the largest wheel on a shaft, mm. */
const largestAt = ({ wheels }: TrainLayout, shaft: TrainLayout['shafts'][number]): number =>
  Math.max(0, ...wheels.filter((w) => w.x === shaft.x && w.y === shaft.y).map((w) => w.radiusMm))

const wrapOf = ({ wraps }: TrainLayout, wheel: Wheel): string => {
  const wrap = wraps.find((w) => w.stage === wheel.stage && w.end === wheel.end)
  return wrap ? `${wheel.toothed ? '' : ', '}${Math.round(wrap.sweepDeg)}°` : ''
}

/** The belt where it lies on a pulley. */
function arc(
  { x: cx, y: cy, radiusMm, fromDeg, sweepDeg }: TrainLayout['wraps'][number],
  x: (mm: number) => number,
  y: (mm: number) => number,
  scale: number,
): string {
  const at = (deg: number) => {
    const angle = (deg * Math.PI) / 180
    return `${x(cx) + radiusMm * scale * Math.cos(angle)} ${y(cy) + radiusMm * scale * Math.sin(angle)}`
  }
  const r = radiusMm * scale
  return `M${at(fromDeg)}A${r} ${r} 0 ${sweepDeg > 180 ? 1 : 0} 1 ${at(fromDeg + sweepDeg)}`
}
