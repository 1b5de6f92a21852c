import { endOf, type Wiring } from '@zesty/core/wiring'

/** Every terminal of the wiring, by its device. */
export function TerminalChoice({
  label,
  wiring,
  value,
  onChange,
}: {
  label: string
  wiring: Wiring
  value: string
  onChange: (end: string) => void
}) {
  return (
    <label className="flex flex-col gap-0.5">
      <span className="label">{label}</span>
      <select className="field" value={value} onChange={(e) => onChange(e.target.value)}>
        <option value="">Choose a terminal</option>
        {wiring.devices.map((d) => (
          <optgroup key={d.id} label={d.name}>
            {d.terminals.map((t) => (
              <option key={t.id} value={endOf(d.id, t.id)}>
                {d.name} {t.prints} {t.note ?? ''}
              </option>
            ))}
          </optgroup>
        ))}
      </select>
    </label>
  )
}
