import { set } from '@zesty/core'
import { isReadable } from '@zesty/core/http'
import { Plus } from 'lucide-react'
import { api } from '../../state/api'
import { useChange, useConversionId, usePlan, useShopId } from '../../state/openPlan'
import { YesNoField } from '../../parts/ChoiceField'
import { newId } from '../../parts/newId'
import { QuantityField } from '../../parts/QuantityField'
import { RemoveButton } from '../../parts/RemoveButton'
import { WordsField } from '../../parts/WordsField'

const MOST = 20

/** The other machines that a converter would feed too, taken from the shop or typed. */
export function OtherMachines() {
  const { route } = usePlan()
  const id = useConversionId()
  const shopId = useShopId()
  const change = useChange()
  const { data } = api.useMachinesQuery(shopId)
  const listed = new Set(route.machines.map((m) => m.name))
  const offered = (data ?? []).filter((m) => m.id !== id && !listed.has(m.name))
  const { machines } = route
  return (
    <section className="sheet" aria-labelledby="other-machines" data-path="route.machines">
      <h2 id="other-machines" tabIndex={-1} className="h-part">
        Other machines of the shop
      </h2>
      <p className="lead mb-2">What a converter would feed too. The more there are, the sooner one pays.</p>
      <ul className="flex flex-col gap-2">
        {machines.map((m, i) => (
          <li
            key={m.id}
            className="grid grid-cols-[minmax(0,1.4fr)_minmax(0,1fr)_44px] gap-2 rounded-md border border-rule bg-paper p-2"
          >
            <WordsField path={`route.machines.${i}.name`} />
            <QuantityField path={`route.machines.${i}.powerW`} placeholder="1.5 kW" />
            <RemoveButton
              what={m.name ?? 'the machine'}
              className="self-end"
              onClick={() =>
                change(`Take ${m.name ?? 'a machine'} away`, [
                  set(
                    'route.machines',
                    machines.filter((other) => other !== m),
                  ),
                ])
              }
            />
            <YesNoField path={`route.machines.${i}.runsTogether`} />
            <YesNoField path={`route.machines.${i}.hardStart`} />
          </li>
        ))}
      </ul>
      <div className="mt-2 flex flex-wrap gap-2">
        {offered.length > 0 && (
          <button
            type="button"
            className="btn"
            onClick={() =>
              change('Take the shop’s machines', [
                set(
                  'route.machines',
                  [
                    ...machines,
                    ...offered.map((m) => ({
                      id: newId(),
                      name: m.name,
                      ...(isReadable(m) && m.powerW !== undefined && { powerW: m.powerW }),
                    })),
                  ].slice(0, MOST),
                ),
              ])
            }
          >
            Take the shop’s other {offered.length === 1 ? 'machine' : offered.length}
          </button>
        )}
        <button
          type="button"
          className="btn"
          disabled={machines.length >= MOST}
          onClick={() => change('Add a machine', [set('route.machines', [...machines, { id: newId() }])])}
        >
          <Plus size={18} aria-hidden="true" /> Add a machine
        </button>
      </div>
    </section>
  )
}
