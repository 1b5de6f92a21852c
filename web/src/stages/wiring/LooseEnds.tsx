import { set } from '@zesty/core'
import type { LooseEnd } from '@zesty/core/wiring'
import { useState } from 'react'
import { Mark } from '../../parts/Mark'
import { newId } from '../../parts/newId'
import { goToField } from '../../state/goToField'
import { useChange, usePlan } from '../../state/openPlan'

/** What is temporary or left; in use with these open only where none is a stop. */
export function LooseEnds({ ends, onStep }: { ends: readonly LooseEnd[]; onStep: (id: string) => void }) {
  const plan = usePlan()
  const change = useChange()
  const [what, setWhat] = useState('')
  const [stop, setStop] = useState(true)
  const typed = plan.wiring.looseEnds ?? []
  const stops = ends.filter((e) => e.stop).length
  const add = () => {
    if (what.trim() === '') return
    change('A loose end', [set('wiring.looseEnds', [...typed, { id: newId(), what: what.trim(), stop }])])
    setWhat('')
  }
  return (
    <div className="mt-3 border-t border-rule pt-2" data-path="wiring.looseEnds">
      <h3 className="font-semibold">Loose ends, {ends.length}</h3>
      <p className="text-[15px] text-ink-2">
        {stops > 0
          ? `Not to be used: ${stops} of them ${stops === 1 ? 'is a stop' : 'are stops'}.`
          : ends.length > 0
            ? 'It may be in use with these open.'
            : 'Nothing temporary is noted.'}
      </p>
      <ul className="mt-1">
        {ends.map((end) => (
          <li key={`${end.from} ${end.id}`} className="flex flex-wrap items-center gap-2 border-t border-rule py-1">
            <Mark kind={end.stop ? 'stop' : 'watch'} />
            <span className="min-w-0 flex-1">{end.what}</span>
            {end.from === 'mount' && (
              <button
                type="button"
                className="btn btn-quiet no-print"
                onClick={() => goToField(end.id === 'guard' ? 'mount.guard' : 'mount.keeper')}
              >
                To the mount
              </button>
            )}
            {(end.from === 'step' || end.from === 'change') && (
              <button
                type="button"
                className="btn btn-quiet no-print"
                aria-label={`Go to: ${end.what}`}
                onClick={() => onStep(end.id)}
              >
                {end.from === 'change' ? 'Prove it again' : 'To the step'}
              </button>
            )}
            {end.from === 'typed' && (
              <button
                type="button"
                className="btn no-print"
                onClick={() =>
                  change(`Undone: ${end.what}`, [
                    set(
                      'wiring.looseEnds',
                      typed.map((t) => (t.id === end.id ? { ...t, undone: true } : t)),
                    ),
                  ])
                }
              >
                It is undone
              </button>
            )}
          </li>
        ))}
      </ul>
      <div className="no-print mt-2 flex flex-wrap items-end gap-2">
        <label className="flex min-w-0 flex-1 basis-[220px] flex-col gap-0.5">
          <span className="label">Something temporary</span>
          <input
            className="field"
            maxLength={200}
            value={what}
            placeholder="Test switch at the enable"
            onChange={(e) => setWhat(e.target.value)}
          />
        </label>
        <label className="flex min-h-11 items-center gap-2">
          <input type="checkbox" className="size-5" checked={stop} onChange={(e) => setStop(e.target.checked)} />
          Not to be used with it
        </label>
        <button type="button" className="btn" disabled={what.trim() === ''} onClick={add}>
          Note it
        </button>
      </div>
    </div>
  )
}
