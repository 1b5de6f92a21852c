import type { TerminalLinks } from '@zesty/core'

const COLUMNS = [42, 90, 138]
const ROW = 54
const TOP = 40

/** Leads by row, as boards and bundles are laid out: second ends above the lines (IEC 60034-8; nine leads by number). */
const layouts: Readonly<Record<string, readonly (readonly string[])[]>> = {
  '6': [
    ['W2', 'U2', 'V2'],
    ['U1', 'V1', 'W1'],
  ],
  '9-star': [
    ['4', '5', '6'],
    ['7', '8', '9'],
    ['1', '2', '3'],
  ],
  '9-delta': [
    ['6', '4', '5'],
    ['7', '8', '9'],
    ['1', '2', '3'],
  ],
  // Twelve are a loose bundle: laid out so that what is joined lies together.
  '12-low-delta': [
    ['6', '4', '5'],
    ['12', '10', '11'],
    ['7', '8', '9'],
    ['1', '2', '3'],
  ],
  '12-high-delta': [
    ['4', '5', '6'],
    ['7', '8', '9'],
    ['12', '10', '11'],
    ['1', '2', '3'],
  ],
  '12-low-star': [
    ['10', '11', '12'],
    ['4', '5', '6'],
    ['7', '8', '9'],
    ['1', '2', '3'],
  ],
  '12-high-star': [
    ['10', '11', '12'],
    ['7', '8', '9'],
    ['4', '5', '6'],
    ['1', '2', '3'],
  ],
}

/** The studs or leads of a box with what is tied together; the lines come in at the bottom. */
export function TerminalBox({ leads, linked }: { leads: string; linked: TerminalLinks }) {
  const rows = layouts[leads] ?? layouts[`${leads}-${linked.connection}`]
  if (!rows) return null
  const place = new Map(
    rows.flatMap((row, r) =>
      row.map((name, c): [string, { x: number; y: number }] => [name, { x: COLUMNS[c] ?? 0, y: TOP + r * ROW }]),
    ),
  )
  const height = TOP + rows.length * ROW + 6
  const linesAt = Object.entries(linked.lines).flatMap(([line, lead]) => {
    const at = place.get(lead)
    return at ? [{ line, at }] : []
  })
  return (
    <svg width="166" height={height} viewBox={`0 0 166 ${height}`} aria-hidden="true">
      <rect
        x="2"
        y="2"
        width="162"
        height={height - 22}
        rx="10"
        fill="var(--card)"
        stroke="var(--ink)"
        strokeWidth="2"
      />
      {linesAt.map(({ line, at }) => (
        <g key={line}>
          <path d={`M${at.x} ${at.y}V${height - 20}`} stroke="var(--ink)" strokeWidth="3" />
          <text
            x={at.x}
            y={height - 3}
            textAnchor="middle"
            fontFamily="Barlow Condensed"
            fontWeight="600"
            fontSize="16"
            fill="var(--ink)"
          >
            {line}
          </text>
        </g>
      ))}
      <g fill="none" stroke="var(--copper)" strokeWidth="9" strokeLinecap="round" strokeLinejoin="round">
        {linked.links.map((group) => {
          const points = group.flatMap((name) => place.get(name) ?? []).sort((a, b) => a.y - b.y || a.x - b.x)
          return <path key={group.join()} d={points.map((p, i) => `${i === 0 ? 'M' : 'L'}${p.x} ${p.y}`).join('')} />
        })}
      </g>
      {[...place].map(([name, { x, y }]) => (
        <g key={name}>
          <circle cx={x} cy={y} r="10.5" fill="var(--stud)" stroke="var(--stud-edge)" strokeWidth="2" />
          <circle cx={x} cy={y} r="3.5" fill="#6b5521" />
          <text
            x={y === TOP ? x : x - 15}
            y={y === TOP ? y - 14 : y + 5}
            textAnchor={y === TOP ? 'middle' : 'end'}
            fontFamily="Barlow Condensed"
            fontWeight="600"
            fontSize="16"
            fill="var(--ink)"
            stroke="var(--card)"
            strokeWidth="4"
            paintOrder="stroke"
          >
            {name}
          </text>
        </g>
      ))}
    </svg>
  )
}

/** The same in words, for screen readers and for reading out at the bench. */
export const linksInWords = ({ links, lines }: TerminalLinks): string =>
  `${links.map((g) => g.join(' to ')).join('; ')}. Lines on ${lines.L1}, ${lines.L2}, ${lines.L3}.`
