import { printNumber } from '@zesty/core'
import { useEvaluation } from '../../state/evaluation'
import { useWidth } from '../../parts/useWidth'
import { layoutLadder, MARGIN, type JobFlag, type Rail } from './ladderLayout'

const rpmText = (rpm: number) => printNumber(rpm, 4, 0)
const condensed = { fontFamily: 'Barlow Condensed', fontWeight: 600 }

/** Hertz on the rails, spindle rpm below, one rail a belt position; the table under it says the same. */
export function Ladder() {
  const evaluation = useEvaluation()
  const [ref, width] = useWidth(728)
  const layout = layoutLadder(evaluation, width)
  return (
    <div ref={ref} id="ladder" tabIndex={-1} className="rounded-lg border border-rule bg-card">
      {layout ? (
        <svg
          width={width}
          height={layout.height}
          className="block"
          role="img"
          aria-label="Spindle speed at each hertz, one ladder for each belt position, with the jobs; the tables below say the same"
        >
          {layout.ticks.map((t) => (
            <g key={t}>
              <line
                x1={layout.scale(t)}
                x2={layout.scale(t)}
                y1={8}
                y2={layout.height - MARGIN.bottom}
                stroke="var(--rule)"
              />
              <text
                x={layout.scale(t)}
                y={layout.height - MARGIN.bottom + 17}
                textAnchor="middle"
                fontSize="14"
                fill="var(--ink-2)"
              >
                {rpmText(t)}
              </text>
            </g>
          ))}
          <text x={width - MARGIN.right} y={layout.height - 6} textAnchor="end" fontSize="14" fill="var(--ink-2)">
            spindle rpm, no load; hertz on the rails
          </text>
          {layout.limits.map((l) => {
            const leftwards = l.x > width / 2
            return (
              <g key={`${l.what}${l.row}`}>
                <line
                  x1={l.x}
                  x2={l.x}
                  y1={10 + l.row * 20}
                  y2={layout.height - MARGIN.bottom}
                  stroke="var(--oxide)"
                  strokeWidth="1.6"
                  strokeDasharray="7 4"
                />
                <text
                  x={l.x + (leftwards ? -6 : 6)}
                  y={21 + l.row * 20}
                  textAnchor={leftwards ? 'end' : 'start'}
                  fontSize="15"
                  fill="var(--oxide)"
                  style={condensed}
                  stroke="var(--card)"
                  strokeWidth="4"
                  paintOrder="stroke"
                >
                  {l.what}, {rpmText(l.rpm)} rpm at most
                </text>
              </g>
            )
          })}
          {layout.rails.map((r) => (
            <RailDrawing key={r.id} rail={r} />
          ))}
        </svg>
      ) : (
        <p className="lead p-4">
          The ladder appears once the plate’s speed and hertz and one position’s pulleys are known.
        </p>
      )}
    </div>
  )
}

function RailDrawing({ rail }: { rail: Rail }) {
  const { name, main, y, from, to, rungs, flags } = rail
  return (
    <g>
      <text
        x={Math.max(MARGIN.left, Math.min(from, to - name.length * 8))}
        y={y - 29}
        fontSize="17"
        fill="var(--ink)"
        style={condensed}
        stroke="var(--card)"
        strokeWidth="4"
        paintOrder="stroke"
      >
        {name}
        {main ? ', used most' : ''}
      </text>
      <rect
        x={from}
        y={y - 9}
        width={Math.max(0, to - from)}
        height={18}
        fill={main ? 'var(--blue-wash)' : 'var(--paper)'}
      />
      <path d={`M${from} ${y - 9}H${to}M${from} ${y + 9}H${to}`} stroke="var(--ink)" strokeWidth={main ? 2.6 : 1.5} />
      {rungs.map((r) => (
        <g key={r.hertz}>
          <line x1={r.x} x2={r.x} y1={y - 9} y2={y + 9} stroke="var(--ink)" strokeWidth="2" />
          {r.labelled && (
            <text
              x={r.x}
              y={y - 13}
              textAnchor="middle"
              fontSize="14"
              fill="var(--ink-2)"
              stroke="var(--card)"
              strokeWidth="3"
              paintOrder="stroke"
            >
              {r.hertz}
            </text>
          )}
        </g>
      ))}
      {flags.map((f) => (
        <Flag key={f.id} flag={f} railY={y} />
      ))}
    </g>
  )
}

function Flag({ flag, railY }: { flag: JobFlag; railY: number }) {
  const { x, level, leftwards, name, reached } = flag
  const y = railY + 27 + level * 21
  const colour = reached ? 'var(--green)' : 'var(--brass)'
  return (
    <g>
      <line x1={x} x2={x} y1={railY} y2={y} stroke={colour} strokeWidth="2" />
      {reached ? (
        <circle cx={x} cy={railY} r="5.5" fill="var(--card)" stroke={colour} strokeWidth="3" />
      ) : (
        <path d={`M${x} ${railY - 8}l8 14h-16z`} fill="var(--card)" stroke={colour} strokeWidth="3" />
      )}
      <text
        x={x + (leftwards ? -7 : 7)}
        y={y + 3}
        textAnchor={leftwards ? 'end' : 'start'}
        fontSize="15"
        fontWeight="500"
        fill="var(--ink)"
        stroke="var(--card)"
        strokeWidth="4"
        paintOrder="stroke"
      >
        {name}
      </text>
    </g>
  )
}
