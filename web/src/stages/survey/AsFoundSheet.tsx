import { set, type Plan } from '@zesty/core'
import { Plus } from 'lucide-react'
import { Photos } from '../../photos/Photos'
import { newId } from '../../parts/newId'
import { RemoveButton } from '../../parts/RemoveButton'
import { useChange, usePlan } from '../../state/openPlan'

type FoundWire = NonNullable<Plan['wiring']['asFound']>[number]
const columns = [
  ['tag', 'Tag'],
  ['from', 'From'],
  ['to', 'To'],
  ['colour', 'Colour'],
  ['note', 'Note'],
] as const

/** How it was wired before anything was stripped, so that it can be put back. */
export function AsFoundSheet() {
  const plan = usePlan()
  const change = useChange()
  const found = plan.wiring.asFound ?? []
  const write = (words: string, next: FoundWire[]) =>
    change(words, [set('wiring.asFound', next.length === 0 ? undefined : next)])
  return (
    <section className="sheet mb-3" aria-labelledby="as-found" data-path="wiring.asFound">
      <h2 id="as-found" tabIndex={-1} className="h-part">
        As it was found
      </h2>
      <p className="lead text-[15px]">
        Photographs of switch, motor box and every strip, and a line for each wire, before anything comes off its screw:
        so the machine can be put back as it was.
      </p>
      <Photos of="found" what="as found" />
      <ul className="mt-1">
        {found.map((wire) => (
          <li
            key={wire.id}
            className="grid grid-cols-2 items-end gap-2 border-t border-rule py-1.5 @narrow:grid-cols-3"
          >
            {columns.map(([key, label]) => (
              <label key={key} className="flex min-w-0 flex-col gap-0.5">
                <span className="label">{label}</span>
                <input
                  className="field"
                  maxLength={key === 'note' ? 200 : key === 'colour' ? 30 : key === 'tag' ? 20 : 60}
                  key={wire[key]}
                  defaultValue={wire[key] ?? ''}
                  onBlur={(e) => {
                    const text = e.target.value.trim()
                    if (text !== (wire[key] ?? ''))
                      write(
                        label,
                        found.map((w) => (w.id === wire.id ? { ...w, [key]: text === '' ? undefined : text } : w)),
                      )
                  }}
                />
              </label>
            ))}
            <RemoveButton
              what={`wire ${wire.tag ?? ''}`}
              onClick={() =>
                write(
                  'A wire as found',
                  found.filter((w) => w.id !== wire.id),
                )
              }
            />
          </li>
        ))}
      </ul>
      <button
        type="button"
        className="btn no-print mt-2"
        onClick={() => write('A wire as found', [...found, { id: newId(), tag: String(found.length + 1) }])}
      >
        <Plus size={18} aria-hidden="true" /> A wire
      </button>
    </section>
  )
}
