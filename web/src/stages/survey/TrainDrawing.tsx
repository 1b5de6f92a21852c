import type { Stage } from '@zesty/core'

const WIDTH = 150
const HEIGHT = 54
const LARGEST = 22

/** The pulleys and gears of one position, their sizes true to each other stage by stage. */
export function TrainDrawing({ stages }: { stages: readonly Stage[] }) {
  const known = stages.flatMap((s) =>
    s.driverMm !== undefined && s.drivenMm !== undefined ? [{ ...s, driverMm: s.driverMm, drivenMm: s.drivenMm }] : [],
  )
  if (known.length === 0) return null
  const room = WIDTH / known.length
  return (
    <svg
      width={WIDTH}
      height={HEIGHT}
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      aria-hidden="true"
      fill="none"
      strokeWidth="1.8"
    >
      {known.map((s, i) => {
        const scale = Math.min(LARGEST, room / 4.2) / Math.max(s.driverMm, s.drivenMm)
        const [r1, r2] = [Math.max(3, s.driverMm * scale), Math.max(3, s.drivenMm * scale)]
        const gears = s.kind === 'gear-pair' || s.kind === 'worm'
        const left = i * room + (gears ? room / 2 - (r1 + r2) + r1 : r1 + 2)
        const right = gears ? left + r1 + r2 : (i + 1) * room - r2 - 4
        const crossed = s.kind === 'crossed-belt'
        const y = HEIGHT / 2
        return (
          <g key={i}>
            <circle cx={left} cy={y} r={r1} stroke="var(--ink)" strokeDasharray={gears ? '3 2' : undefined} />
            <circle cx={right} cy={y} r={r2} stroke="var(--ink)" strokeDasharray={gears ? '3 2' : undefined} />
            <circle cx={left} cy={y} r="1.6" fill="var(--ink)" />
            <circle cx={right} cy={y} r="1.6" fill="var(--ink)" />
            {!gears && (
              <path
                d={`M${left} ${y - r1}L${right} ${crossed ? y + r2 : y - r2}M${left} ${y + r1}L${right} ${crossed ? y - r2 : y + r2}`}
                stroke="var(--blue)"
              />
            )}
          </g>
        )
      })}
    </svg>
  )
}
