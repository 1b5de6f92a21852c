import type { UnitSystem } from '@zesty/core'
import { RadioGroup } from 'radix-ui'
import { useId, useState, type SyntheticEvent } from 'react'
import { useNavigate } from 'react-router'
import { api, problemText } from '../state/api'

const ways: readonly { units: UnitSystem; title: string; says: string }[] = [
  { units: 'metric', title: 'Millimetres, kilowatts', says: 'N m, m/min, mm²' },
  { units: 'imperial', title: 'Inches, horsepower', says: 'lbf ft, ft/min, AWG' },
]

/** Name and units of a new shop. */
export function ShopForm({ onMade }: { onMade?: () => void }) {
  const navigate = useNavigate()
  const id = useId()
  const [name, setName] = useState('')
  const [units, setUnits] = useState<UnitSystem>('metric')
  const [missing, setMissing] = useState(false)
  const [create, { error, isLoading }] = api.useNewShopMutation()
  const submit = async (event: SyntheticEvent) => {
    event.preventDefault()
    setMissing(name.trim() === '')
    if (name.trim() === '') return
    const made = await create({ name: name.trim(), units })
    if (!made.data) return
    onMade?.()
    await navigate(`/shops/${made.data.id}`)
  }
  return (
    <form className="flex flex-col gap-4" onSubmit={(e) => void submit(e)}>
      <div className="flex flex-col gap-0.5">
        <label className="label" htmlFor={id}>
          Name of the shop
        </label>
        <input
          id={id}
          className="field"
          value={name}
          maxLength={80}
          placeholder="Back shed"
          autoComplete="off"
          aria-invalid={missing}
          aria-describedby={missing ? `${id}-why` : undefined}
          onChange={(e) => setName(e.target.value)}
        />
        {missing && (
          <p id={`${id}-why`} role="alert" className="text-[15px] font-medium text-oxide">
            Give the shop a name; any will do.
          </p>
        )}
      </div>
      <RadioGroup.Root
        className="grid grid-cols-1 gap-2 sm:grid-cols-2"
        value={units}
        aria-label="Units shown"
        onValueChange={(v) => setUnits(v === 'imperial' ? 'imperial' : 'metric')}
      >
        {ways.map((w) => (
          <RadioGroup.Item
            key={w.units}
            value={w.units}
            className="rounded-lg border border-edge bg-card px-3.5 py-2.5 text-left data-[state=checked]:border-blue data-[state=checked]:bg-blue-wash data-[state=checked]:shadow-[inset_4px_0_0_var(--blue)]"
          >
            <span className="block font-cond text-[19px] font-semibold">{w.title}</span>
            <span className="text-ink-2">{w.says}</span>
          </RadioGroup.Item>
        ))}
      </RadioGroup.Root>
      <p className="text-[15px] text-ink-2">
        Any field takes both: “3/4 hp”, “1.1 kW”, “4 in”. This only chooses what is shown, and can be changed at any
        time.
      </p>
      {error && (
        <p role="alert" className="text-oxide">
          {problemText(error)}
        </p>
      )}
      <button type="submit" className="btn btn-main self-start" disabled={isLoading}>
        Set up the shop
      </button>
    </form>
  )
}
