import type { Manual } from '@zesty/core/manual'

const PIN = 22

/** Pins in a row with a cap over one position; a switch by its lever. */
export function JumperPicture({
  jumper: { kind, positions },
  position,
  words,
}: {
  jumper: Manual['jumpers'][number]
  position: string | undefined
  words: string
}) {
  const at = positions.findIndex(({ prints }) => prints === position)
  const pins = kind === 'dip' ? positions.length : positions.length + 1
  return (
    <svg role="img" aria-label={words} width={pins * PIN + 8} height={44} className="my-1 text-ink">
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
