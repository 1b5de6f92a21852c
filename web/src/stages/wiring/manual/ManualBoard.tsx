import { displayMoments, jumperChoices, type Manual } from '@zesty/core/manual'

/** What is set by hand on the board, drawn in its position; and what display and lamps say. */
export function ManualBoard({ manual }: { manual: Manual }) {
  const { jumpers, display, faults } = manual
  if (jumpers.length + display.length + faults.length === 0) return null
  return (
    <details className="mt-2 border-t border-rule pt-1">
      <summary className="flex min-h-11 items-center pl-px font-semibold text-blue underline underline-offset-4">
        Jumpers, display and faults
      </summary>
      <div className="grid gap-x-6 gap-y-3 text-[15px] @narrow:grid-cols-2">
        {jumpers.map((jumper) => (
          <figure key={jumper.id}>
            <figcaption className="label">
              {jumper.prints}, {jumperChoices[jumper.chooses].toLowerCase()}
              {jumper.onlyWithoutPower && '; only without power'}
            </figcaption>
            <JumperPicture jumper={jumper} />
            <ul>
              {jumper.positions.map(({ prints, means }) => (
                <li key={prints}>
                  <b className="font-cond font-semibold">{prints}</b> {means}
                  {prints === jumper.comesIn && ', as it comes'}
                </li>
              ))}
            </ul>
          </figure>
        ))}
        {display.length > 0 && (
          <div>
            <p className="label">Display and lamps</p>
            <ul>
              {display.map(({ when, prints, lamp }, i) => (
                <li key={i}>
                  {displayMoments[when]}: <b className="font-cond font-semibold">{prints}</b>
                  {lamp !== undefined && `, lamp ${lamp}`}
                </li>
              ))}
            </ul>
          </div>
        )}
        {faults.length > 0 && (
          <div>
            <p className="label">Faults</p>
            <ul>
              {faults.map(({ code, means, causes }) => (
                <li key={code}>
                  <b className="font-cond font-semibold">{code}</b> {means}
                  {causes.length > 0 && <span className="block pl-4 text-ink-2">{causes.join('; ')}</span>}
                </li>
              ))}
            </ul>
          </div>
        )}
      </div>
    </details>
  )
}

const PIN = 22

/** Pins in a row with a cap over the position it comes in; a switch by its lever. */
function JumperPicture({ jumper: { kind, positions, comesIn } }: { jumper: Manual['jumpers'][number] }) {
  const at = positions.findIndex(({ prints }) => prints === comesIn)
  const pins = kind === 'dip' ? positions.length : positions.length + 1
  return (
    <svg
      role="img"
      aria-label={comesIn === undefined ? 'How it comes is not known' : `It comes in position ${comesIn}`}
      width={pins * PIN + 8}
      height={44}
      className="my-1 text-ink"
    >
      <rect x={1} y={1} width={pins * PIN + 6} height={26} rx={3} fill="none" stroke="currentColor" />
      {Array.from({ length: pins }, (_, i) => (
        <circle key={i} cx={4 + PIN * (i + 0.5)} cy={14} r={4} fill="none" stroke="currentColor" />
      ))}
      {at >= 0 && (
        <rect
          x={kind === 'dip' ? 4 + PIN * at + 3 : 4 + PIN * at + 4}
          y={6}
          width={kind === 'dip' ? PIN - 6 : 2 * PIN - 8}
          height={16}
          rx={4}
          fill="currentColor"
          fillOpacity={0.75}
        />
      )}
      {positions.map(({ prints }, i) => (
        <text
          key={prints}
          x={kind === 'dip' ? 4 + PIN * (i + 0.5) : 4 + PIN * (i + 1)}
          y={41}
          textAnchor="middle"
          fontSize={13}
          fill="currentColor"
        >
          {prints}
        </text>
      ))}
    </svg>
  )
}
