import { set, type Plan } from '@zesty/core'
import { partsOf, type Wiring } from '@zesty/core/wiring'
import { useChange, usePlan } from '../../state/openPlan'
import { useQuantityText } from './useQuantityText'

type PartState = NonNullable<NonNullable<Plan['wiring']['parts']>[string]['state']>

const words: Record<PartState, string> = { had: 'Had', ordered: 'Ordered', paid: 'Paid, on its way', wanted: 'Wanted' }

/** What is to be bought: how many, what is had, what is on its way, what it costs. */
export function PartsSheet({ wiring }: { wiring: Wiring }) {
  const plan = usePlan()
  const change = useChange()
  const text = useQuantityText()
  const kept = plan.wiring.parts ?? {}
  const parts = partsOf(wiring)
  const write = (key: string, name: string, more: { state?: PartState | undefined; price?: number | undefined }) =>
    change(name, [set('wiring.parts', { ...kept, [key]: { ...kept[key], ...more } })])
  const sum = parts.reduce((total, { key }) => total + (kept[key]?.state === 'had' ? 0 : (kept[key]?.price ?? 0)), 0)
  return (
    <section className="sheet mb-3" aria-labelledby="parts" data-path="wiring.parts">
      <h2 id="parts" tabIndex={-1} className="h-part mb-1">
        Parts
      </h2>
      <ul>
        {parts.map(({ key, name, quantity, unit }) => (
          <li key={key} className="flex flex-wrap items-center gap-x-3 gap-y-1 border-t border-rule py-1.5 text-[15px]">
            <span className="min-w-0 flex-1 basis-[220px]">
              {unit === 'm' ? (quantity === 0 ? 'length not known' : text(quantity, 'distance')) : quantity} {name}
            </span>
            <select
              aria-label={`${name} is`}
              className="field w-[150px]"
              value={kept[key]?.state ?? ''}
              onChange={(e) =>
                write(key, name, { state: e.target.value === '' ? undefined : (e.target.value as PartState) })
              }
            >
              <option value="">Not said</option>
              {Object.entries(words).map(([state, w]) => (
                <option key={state} value={state}>
                  {w}
                </option>
              ))}
            </select>
            <input
              aria-label={`Price of ${name}`}
              className="field w-[100px]"
              inputMode="decimal"
              key={kept[key]?.price}
              placeholder="Price"
              defaultValue={kept[key]?.price ?? ''}
              onBlur={(e) => {
                const price = Number(e.target.value.replace(',', '.'))
                const next = e.target.value.trim() === '' ? undefined : price
                if (
                  next !== kept[key]?.price &&
                  (next === undefined || (Number.isFinite(price) && price >= 0 && price <= 100_000))
                )
                  write(key, name, { price: next })
              }}
            />
          </li>
        ))}
      </ul>
      <p className="mt-2 font-semibold">Still to pay for, as far as prices are typed: {text(sum, 'money')}</p>
    </section>
  )
}
