import { drawnStages, trainLayout, type TransmissionStage } from '@zesty/core'

const WIDTH = 150
const HEIGHT = 54
const MARGIN = 3

/** The pulleys and gears of one position in small; distances as they come. */
export function TrainDrawing({ stages }: { stages: readonly TransmissionStage[] }) {
  const { wheels, runs, shafts } = trainLayout(drawnStages(stages), () => undefined)
  if (wheels.length === 0) return null
  const left = Math.min(...wheels.map((w) => w.x - w.radiusMm))
  const right = Math.max(...wheels.map((w) => w.x + w.radiusMm))
  const top = Math.min(...wheels.map((w) => w.y - w.radiusMm))
  const bottom = Math.max(...wheels.map((w) => w.y + w.radiusMm))
  const scale = Math.min((WIDTH - 2 * MARGIN) / (right - left), (HEIGHT - 2 * MARGIN) / (bottom - top))
  const x = (mm: number) => WIDTH / 2 + (mm - (left + right) / 2) * scale
  const y = (mm: number) => HEIGHT / 2 + (mm - (top + bottom) / 2) * scale
  return (
    <svg
      width={WIDTH}
      height={HEIGHT}
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      aria-hidden="true"
      fill="none"
      strokeWidth="1.8"
    >
      {runs.map((r, i) => (
        <line key={i} x1={x(r.x1)} y1={y(r.y1)} x2={x(r.x2)} y2={y(r.y2)} stroke="var(--blue)" />
      ))}
      {wheels.map((w) => (
        <circle
          key={`${w.stage}${w.end}`}
          cx={x(w.x)}
          cy={y(w.y)}
          r={Math.max(2.5, w.radiusMm * scale)}
          stroke="var(--ink)"
          strokeDasharray={w.toothed ? '3 2' : undefined}
        />
      ))}
      {shafts.map((s, i) => (
        <circle key={i} cx={x(s.x)} cy={y(s.y)} r="1.6" fill="var(--ink)" />
      ))}
    </svg>
  )
}
