import { foundWireFates, set, type Plan } from '@zesty/core'
import type { Wiring } from '@zesty/core/wiring'
import { openStage } from '../../state/goToField'
import { useChange, usePlan } from '../../state/openPlan'

type FoundWire = NonNullable<Plan['wiring']['asFound']>[number]

/** From as found to as it will be: what becomes of every wire that was there. */
export function OldWires({ wiring }: { wiring: Wiring }) {
  const plan = usePlan()
  const change = useChange()
  const found = plan.wiring.asFound ?? []
  const write = (of: FoundWire, more: Partial<FoundWire>) =>
    change(`Old wire ${of.tag ?? ''}`, [
      set(
        'wiring.asFound',
        found.map((w) => (w === of ? { ...w, ...more } : w)),
      ),
    ])
  const open = found.filter(({ becomes }) => becomes === undefined).length
  return (
    <section className="sheet mb-3" aria-labelledby="old-wires">
      <h2 id="old-wires" tabIndex={-1} className="h-part">
        From as found to as it will be
      </h2>
      {found.length === 0 ? (
        <p className="lead">
          No wire stands in the list of the survey. List and photograph them there before anything is stripped: the
          machine must be able to go back.{' '}
          <button
            type="button"
            className="no-print font-semibold text-blue underline underline-offset-4"
            onClick={() => openStage('survey')}
          >
            To the survey
          </button>
        </p>
      ) : (
        <>
          <p className="lead">
            Say what becomes of each; the step <i>From as found to as it will be</i> lists it.{' '}
            {open > 0 && `${open} of ${found.length} stand open.`}
          </p>
          <ul>
            {found.map((w) => (
              <li key={w.id} className="flex flex-wrap items-center gap-x-3 gap-y-1 border-t border-rule py-1.5">
                <span className="min-w-0 flex-1 basis-[220px]">
                  <b className="font-semibold">{w.tag ?? 'No tag'}</b>
                  {w.colour && `, ${w.colour}`}, {w.from ?? 'from not written'} to {w.to ?? 'not written'}
                </span>
                <select
                  className="field w-[190px]"
                  aria-label={`What becomes of ${w.tag ?? 'it'}`}
                  value={w.becomes ?? ''}
                  onChange={(e) =>
                    write(w, {
                      becomes: e.target.value === '' ? undefined : (e.target.value as FoundWire['becomes']),
                      as: undefined,
                    })
                  }
                >
                  <option value="">Not said yet</option>
                  {Object.entries(foundWireFates).map(([fate, words]) => (
                    <option key={fate} value={fate}>
                      {words}
                    </option>
                  ))}
                </select>
                {w.becomes === 'used' && (
                  <select
                    className="field w-[220px]"
                    aria-label={`${w.tag ?? 'It'} is used again as`}
                    value={wiring.wires.some(({ key }) => key === w.as) ? w.as : ''}
                    onChange={(e) => write(w, { as: e.target.value === '' ? undefined : e.target.value })}
                  >
                    <option value="">As which wire</option>
                    {wiring.wires.map(({ key, number, purpose }) => (
                      <option key={key} value={key}>
                        {number}, {purpose}
                      </option>
                    ))}
                  </select>
                )}
              </li>
            ))}
          </ul>
        </>
      )}
    </section>
  )
}
