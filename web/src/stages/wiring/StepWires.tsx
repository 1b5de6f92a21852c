import type { StepRecord } from '@zesty/core'
import { colourWords, endNames, type Wire, type Wiring } from '@zesty/core/wiring'

/** The wires of a step as pairs of screws: made, and tugged. */
export function StepWires({
  wiring,
  wires,
  record,
  write,
}: {
  wiring: Wiring
  wires: readonly Wire[]
  record: StepRecord
  write: (words: string, more: Partial<StepRecord>) => void
}) {
  const toggled = (of: readonly string[] | undefined, key: string): string[] =>
    of?.includes(key) === true ? of.filter((k) => k !== key) : [...(of ?? []), key]
  return (
    <ul className="mt-2 flex flex-col">
      {wires.map((wire) => {
        const [from, to] = [endNames(wiring, wire.from), endNames(wiring, wire.to)]
        const made = record.ticked?.includes(wire.key) === true
        const tugged = record.tugged?.includes(wire.key) === true
        return (
          <li key={wire.key} className="flex flex-wrap items-center gap-x-3 gap-y-1 border-t border-rule py-1.5">
            <Tick
              label={`Wire ${wire.number} is made`}
              words="made"
              on={made}
              onPress={() => write(`Wire ${wire.number}`, { ticked: toggled(record.ticked, wire.key) })}
            />
            <span className="min-w-8 font-cond text-[20px] font-semibold">{wire.number}</span>
            <span className="min-w-0 flex-1 basis-[120px] text-[15px]">
              {from.device} <b className="font-semibold">{from.terminal}</b> to {to.device}{' '}
              <b className="font-semibold">{to.terminal}</b>
              <br />
              <span className="text-ink-2">
                {colourWords(wire.colour)}, {wire.purpose}
              </span>
            </span>
            <Tick
              label={`Wire ${wire.number} is tugged`}
              words="tugged"
              on={tugged}
              onPress={() => write(`Wire ${wire.number} tugged`, { tugged: toggled(record.tugged, wire.key) })}
            />
          </li>
        )
      })}
    </ul>
  )
}

function Tick({ label, words, on, onPress }: { label: string; words: string; on: boolean; onPress: () => void }) {
  return (
    <button
      type="button"
      role="checkbox"
      aria-checked={on}
      aria-label={label}
      className={`flex size-[52px] flex-col items-center justify-center rounded-md border-2 text-[13px] leading-none ${on ? 'border-green bg-green-wash text-green' : 'border-edge bg-card text-ink-2'}`}
      onClick={onPress}
    >
      <span aria-hidden="true" className="text-[20px] leading-none">
        {on ? '✓' : ''}
      </span>
      {words}
    </button>
  )
}
