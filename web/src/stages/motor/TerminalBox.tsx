/** Six studs in the box, W2 U2 V2 over U1 V1 W1, with the links of star or delta (IEC 60034-8). */
export function TerminalBox({ links }: { links: 'star' | 'delta' }) {
  const columns = [30, 75, 120]
  const [upper, lower] = [44, 98]
  return (
    <svg width="150" height="138" viewBox="0 0 150 138" aria-hidden="true">
      <rect x="2" y="2" width="146" height="134" rx="10" fill="var(--card)" stroke="var(--ink)" strokeWidth="2" />
      <g stroke="var(--copper)" strokeWidth="9" strokeLinecap="round">
        {links === 'star' ? <path d={`M30 ${upper}H120`} /> : columns.map((x) => <path key={x} d={`M${x} ${upper}V${lower}`} />)}
      </g>
      {columns.map((x, i) => (
        <g key={x} fontFamily="Barlow Condensed" fontWeight="600" fontSize="16" textAnchor="middle" fill="var(--ink)">
          <Stud x={x} y={upper} />
          <Stud x={x} y={lower} />
          <text x={x} y={25}>
            {['W2', 'U2', 'V2'][i]}
          </text>
          <text x={x} y={128}>
            {['U1', 'V1', 'W1'][i]}
          </text>
        </g>
      ))}
    </svg>
  )
}

const Stud = ({ x, y }: { x: number; y: number }) => (
  <>
    <circle cx={x} cy={y} r="10.5" fill="var(--stud)" stroke="var(--stud-edge)" strokeWidth="2" />
    <circle cx={x} cy={y} r="3.5" fill="#6b5521" />
  </>
)
