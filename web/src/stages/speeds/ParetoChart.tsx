import { printNumber } from '@zesty/core'
import { type Combination } from '@zesty/core/search'
import { scaleLinear } from 'd3'
import { FootAxis, LeftAxis } from '../../parts/ChartAxes'
import { useWidth } from '../../parts/useWidth'

const HEIGHT = 220
const MARGIN = { left: 46, right: 20, top: 14, bottom: 40 }

/** Cost against jobs done: each point is the cheapest way to do so many. */
export function ParetoChart({
  front,
  jobs,
  picked,
  onPick,
}: {
  front: readonly Combination[]
  jobs: number
  picked: Combination | undefined
  onPick: (found: Combination) => void
}) {
  const [ref, width] = useWidth(700)
  const most = Math.max(1, ...front.map((f) => f.cost ?? 0))
  const x = scaleLinear([0, most * 1.05], [MARGIN.left, width - MARGIN.right]).nice()
  const y = scaleLinear([0, jobs], [HEIGHT - MARGIN.bottom, MARGIN.top])
  const steps = front.map((f) => ({ found: f, x: x(f.cost ?? 0), y: y(f.covered) }))
  const box = { ...MARGIN, width, height: HEIGHT }
  return (
    <div ref={ref}>
      <svg
        width={width}
        height={HEIGHT}
        className="block"
        role="img"
        aria-label="Cost against jobs done; the list below says the same"
      >
        <FootAxis
          box={box}
          ticks={x.ticks(width < 500 ? 4 : 8)}
          scale={x}
          text={(t) => printNumber(t, 6, 0)}
          title="cost, your own money; jobs done upwards"
          lines
        />
        <LeftAxis
          box={box}
          ticks={y.ticks(Math.min(jobs, 6))}
          scale={y}
          text={(t) => printNumber(t, 3, 0)}
          lines={false}
        />
        <path
          d={steps.map((s, i) => (i === 0 ? `M${s.x} ${s.y}` : `H${s.x}V${s.y}`)).join('')}
          fill="none"
          stroke="var(--blue)"
          strokeWidth="2"
        />
        {steps.map((s) => (
          <circle
            key={s.found.order}
            cx={s.x}
            cy={s.y}
            r={s.found.order === picked?.order ? 9 : 6.5}
            fill={s.found.order === picked?.order ? 'var(--blue)' : 'var(--card)'}
            stroke="var(--blue)"
            strokeWidth="3"
            onClick={() => onPick(s.found)}
          />
        ))}
      </svg>
      <ul className="flex flex-wrap gap-2">
        {front.map((f) => (
          <li key={f.order}>
            <button
              type="button"
              className={`btn btn-quiet ${f.order === picked?.order ? 'border-blue font-semibold' : ''}`}
              aria-pressed={f.order === picked?.order}
              onClick={() => onPick(f)}
            >
              {f.covered} of {jobs} jobs for {printNumber(f.cost ?? 0, 7, 0)}
            </button>
          </li>
        ))}
      </ul>
    </div>
  )
}
