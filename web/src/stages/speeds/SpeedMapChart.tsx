import { dimensionKind, inShownUnit, printNumber } from '@zesty/core'
import { type MapPosition, type SpeedMap } from '@zesty/core/speeds'
import { area, line, scaleLog } from 'd3'
import { useUnits } from '../../state/units'
import { FootAxis, LeftAxis } from '../../parts/ChartAxes'
import { useWidth } from '../../parts/useWidth'
import { positionColour } from './positionColour'

const HEIGHT = 380
const MARGIN = { left: 52, right: 14, top: 46, bottom: 42 }
const condensed = { fontFamily: 'Barlow Condensed', fontWeight: 600 }

/** Torque over spindle speed: one position shaded, the others as lines, the jobs by their numbers. */
export function SpeedMapChart({
  map,
  shaded,
  job,
  onJob,
}: {
  map: SpeedMap
  /** Index of the position that is shaded. */
  shaded: number
  job: number | undefined
  onJob: (index: number | undefined) => void
}) {
  const units = useUnits()
  const [ref, width] = useWidth(728)
  const nm = (value: number) => inShownUnit({ value, dimension: 'torque' }, units)
  const all = map.positions.flatMap((p) => p.points)
  const asked = map.jobs.flatMap((j) => j.wanted.torqueNm ?? [])
  const least = Math.min(...all.map((p) => p.continuousNm ?? p.peakNm), ...asked)
  const most = Math.max(...all.map((p) => p.peakNm), ...asked)
  const [slowest, fastest] = [
    Math.min(...all.map((p) => p.rpm), ...map.jobs.map((j) => j.wanted.rpm * j.wanted.slower)),
    Math.max(...all.map((p) => p.rpm), ...map.jobs.map((j) => j.wanted.rpm * j.wanted.faster)),
  ]
  const x = scaleLog([slowest / 1.08, fastest * 1.08], [MARGIN.left, width - MARGIN.right])
  const y = scaleLog([nm(least) / 1.4, nm(most) * 1.25], [HEIGHT - MARGIN.bottom, MARGIN.top])
  const floor = HEIGHT - MARGIN.bottom
  const chosen = map.positions[shaded]
  const box = { ...MARGIN, width, height: HEIGHT }
  return (
    <div ref={ref}>
      <svg
        width={width}
        height={HEIGHT}
        className="block"
        role="img"
        aria-label="Torque at the spindle over its speed for each belt position, with the jobs; the table below says the same"
      >
        <defs>
          <pattern id="over" width="8" height="8" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
            <line x1="0" y1="0" x2="0" y2="8" stroke="var(--oxide)" strokeWidth="1.4" strokeOpacity="0.55" />
          </pattern>
        </defs>
        <FootAxis
          box={box}
          ticks={ticks(x.domain())}
          scale={x}
          text={(t) => printNumber(t, 4, 0)}
          title="spindle rpm"
          lines
        />
        <LeftAxis box={box} ticks={ticks(y.domain())} scale={y} text={(t) => printNumber(t, 2, 1)} />
        <text x={4} y={15} fontSize="14" fill="var(--ink-2)">
          {dimensionKind('torque').shown[units]} at the spindle
        </text>
        {chosen && <Shades position={chosen} x={x} y={(value) => y(nm(value))} floor={floor} />}
        {map.limit && map.limit.rpm < (x.domain()[1] ?? 0) && (
          <g>
            <rect
              x={x(map.limit.rpm)}
              y={MARGIN.top}
              width={width - MARGIN.right - x(map.limit.rpm)}
              height={floor - MARGIN.top}
              fill="url(#over)"
            />
            <text
              x={x(map.limit.rpm) - 6}
              y={MARGIN.top - 8}
              textAnchor="end"
              fontSize="15"
              fill="var(--oxide)"
              style={condensed}
            >
              {map.limit.what}, {printNumber(map.limit.rpm, 4, 0)} rpm at most
            </text>
          </g>
        )}
        {map.positions.map((p, i) => (
          <Curves key={p.id} position={p} index={i} strong={i === shaded} x={x} y={(value) => y(nm(value))} />
        ))}
        {map.jobs.map((j, i) => {
          const at = j.wanted.torqueNm === undefined ? floor - 12 : y(nm(j.wanted.torqueNm))
          const on = i === job
          return (
            <g key={j.id} onMouseEnter={() => onJob(i)} onMouseLeave={() => onJob(undefined)}>
              <line
                x1={x(j.wanted.rpm * j.wanted.slower)}
                x2={x(j.wanted.rpm * j.wanted.faster)}
                y1={at}
                y2={at}
                stroke="var(--ink)"
                strokeWidth={on ? 4 : 2}
                strokeDasharray={j.wanted.torqueNm === undefined ? '3 3' : undefined}
              />
              <circle
                cx={x(j.wanted.rpm)}
                cy={at}
                r={on ? 13 : 11}
                fill={on ? 'var(--ink)' : 'var(--card)'}
                stroke="var(--ink)"
                strokeWidth="2"
              />
              <text
                x={x(j.wanted.rpm)}
                y={at + 5}
                textAnchor="middle"
                fontSize="14"
                style={condensed}
                fill={on ? 'var(--card)' : 'var(--ink)'}
              >
                {i + 1}
              </text>
            </g>
          )
        })}
      </svg>
    </div>
  )
}

type Scale = (value: number) => number

/** Good all day, good for moments, and where the motor is too weak, for one position. */
function Shades({ position, x, y, floor }: { position: MapPosition; x: Scale; y: Scale; floor: number }) {
  const known = position.points.filter((p) => p.continuousNm !== undefined)
  const allDay = area<(typeof known)[number]>(
    (p) => x(p.rpm),
    floor,
    (p) => y(p.continuousNm ?? 0),
  )
  const moments = area<(typeof known)[number]>(
    (p) => x(p.rpm),
    (p) => (p.continuousNm === undefined ? floor : y(p.continuousNm)),
    (p) => y(p.peakNm),
  )
  return (
    <>
      <path d={allDay(known) ?? ''} fill="var(--green-wash)" />
      <path d={moments(position.points) ?? ''} fill="var(--brass-wash)" />
    </>
  )
}

function Curves({
  position,
  index,
  strong,
  x,
  y,
}: {
  position: MapPosition
  index: number
  strong: boolean
  x: Scale
  y: Scale
}) {
  const known = position.points.filter((p) => p.continuousNm !== undefined)
  const through = (of: (p: MapPosition['points'][number]) => number) =>
    line<MapPosition['points'][number]>(
      (p) => x(p.rpm),
      (p) => y(of(p)),
    )
  const { colour, dash } = positionColour(index)
  return (
    <g fill="none" stroke={colour}>
      <path d={through((p) => p.peakNm)(position.points) ?? ''} strokeWidth="1.5" strokeDasharray="2 4" />
      <path
        d={through((p) => p.continuousNm ?? 0)(known) ?? ''}
        strokeWidth={strong ? 3.5 : 2}
        strokeDasharray={dash}
      />
    </g>
  )
}

/** One, two and five of each decade. */
function ticks([low = 1, high = 10]: number[]): number[] {
  const made: number[] = []
  for (let decade = 10 ** Math.floor(Math.log10(low)); decade <= high; decade *= 10)
    for (const step of [1, 2, 5]) if (step * decade >= low && step * decade <= high) made.push(step * decade)
  return made
}
