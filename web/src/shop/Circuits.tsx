import { printQuantity, type UnitSystem } from '@zesty/core'
import { isReadable, type MachineLine, type ReadableLine } from '@zesty/core/http'
import { circuitLoad, type CircuitLoad } from '@zesty/core/library'
import { Pencil, Plus } from 'lucide-react'
import { useState } from 'react'
import { api, problemText } from '../state/api'
import { notice } from '../state/notice'
import { useItems, type KeptOf } from '../state/useItems'
import { Mark } from '../parts/Mark'
import { RemoveButton } from '../parts/RemoveButton'
import { CircuitForm } from './CircuitForm'

/** The circuits of the shop with what hangs on each, at full load against its breaker. */
export function Circuits({
  shopId,
  machines,
  units,
}: {
  shopId: string
  machines: readonly MachineLine[]
  units: UnitSystem
}) {
  const readable = machines.filter(isReadable)
  const unread = machines.filter((m) => !isReadable(m)).map((m) => m.name)
  const circuits = useItems(shopId, 'circuit')
  const [keep] = api.useKeepItemMutation()
  const [remove] = api.useRemoveItemMutation()
  const [editing, setEditing] = useState<string>()
  if (!circuits) return null
  const add = async () => {
    const { data, error } = await keep({
      shopId,
      item: { kind: 'circuit', name: `Circuit ${circuits.length + 1}`, item: {} },
    })
    if (data) setEditing(data.id)
    else notice(problemText(error))
  }
  const takeOut = async ({ id, name }: KeptOf<'circuit'>) => {
    const { error } = await remove(id)
    notice(error ? problemText(error) : `${name} is out; its machines keep what they say of their wall`)
  }
  const edited = circuits.find((c) => c.id === editing)
  return (
    <section className="sheet" aria-labelledby="circuits">
      <div className="mb-2 flex flex-wrap items-center gap-3">
        <h2 id="circuits" className="h-part flex-1">
          Circuits at the wall
        </h2>
        <button type="button" className="btn btn-quiet" onClick={() => void add()}>
          <Plus size={18} aria-hidden="true" /> Add a circuit
        </button>
      </div>
      {circuits.length === 0 && (
        <p className="lead">None yet. Add one, then choose it in the survey of each machine that hangs on it.</p>
      )}
      {circuits.length > 0 && unread.length > 0 && (
        <p className="mb-1">
          <Mark kind="watch" word={`Not counted on any: ${unread.join(', ')}, whose plan this release cannot read`} />
        </p>
      )}
      <ul className="flex flex-col">
        {circuits.map((circuit) => {
          const users = readable.filter((m) => m.branchCircuitId === circuit.id)
          const load = circuitLoad(
            circuit.item.breakerA,
            users.map(({ name, inputA }) => ({ name, inputA })),
          )
          return (
            <li
              key={circuit.id}
              className="grid grid-cols-[minmax(0,1fr)] items-center gap-x-4 gap-y-1 border-t border-rule py-2 md:grid-cols-[220px_minmax(0,1fr)_auto]"
            >
              <div>
                <h3 className="font-cond text-[18px] font-semibold">{circuit.name}</h3>
                <p className="text-[15px] text-ink-2">{described(circuit, units)}</p>
              </div>
              <div className="flex flex-col gap-1">
                <LoadOf breakerA={circuit.item.breakerA} users={users} units={units} />
                <Verdict load={load} users={users.length} units={units} />
              </div>
              <div className="flex gap-1">
                <button
                  type="button"
                  className="btn btn-quiet w-11 px-0"
                  aria-label={`Change ${circuit.name}`}
                  onClick={() => setEditing(circuit.id)}
                >
                  <Pencil size={18} aria-hidden="true" />
                </button>
                <RemoveButton what={circuit.name} onClick={() => void takeOut(circuit)} />
              </div>
            </li>
          )
        })}
      </ul>
      {edited && <CircuitForm key={edited.id} circuit={edited} onClose={() => setEditing(undefined)} />}
    </section>
  )
}

function described({ item }: KeptOf<'circuit'>, units: UnitSystem): string {
  const { voltageV, phases, breakerA } = item
  const parts = [
    voltageV === undefined ? 'volts not known' : printQuantity({ value: voltageV, dimension: 'voltage' }, units),
    phases === undefined ? 'phases not known' : phases === 1 ? 'one phase' : 'three phases',
    breakerA === undefined
      ? 'breaker not known'
      : `${printQuantity({ value: breakerA, dimension: 'current' }, units)} breaker`,
  ]
  return parts.join(', ')
}

/** The machines one after the other, over the amps that the breaker holds. */
function LoadOf({
  breakerA,
  users,
  units,
}: {
  breakerA: number | undefined
  users: readonly ReadableLine[]
  units: UnitSystem
}) {
  const known = users.filter((u) => u.inputA !== undefined)
  const total = known.reduce((sum, u) => sum + (u.inputA ?? 0), 0)
  const scale = Math.max(total, breakerA ?? 0)
  const amps = (value: number) => printQuantity({ value, dimension: 'current' }, units)
  const share = (value: number) => ({ width: `${(100 * value) / scale}%` })
  if (known.length === 0) return null
  return (
    <div className="flex flex-col gap-1">
      <div className="flex h-11 w-full">
        {known.map((u) => (
          <div
            key={u.id}
            className="flex min-w-0 flex-col justify-center border border-l-0 border-edge bg-blue-wash px-1.5 text-[14px] leading-tight first:rounded-l-md first:border-l last:rounded-r-md"
            style={share(u.inputA ?? 0)}
          >
            <span className="truncate">{u.name}</span>
            <span className="truncate font-semibold">{amps(u.inputA ?? 0)}</span>
          </div>
        ))}
      </div>
      {breakerA !== undefined && (
        <div
          className={`min-w-fit border-t-[3px] border-r-[3px] pr-1.5 text-right text-[14px] leading-tight ${total > breakerA ? 'border-brass' : 'border-green'}`}
          style={share(breakerA)}
        >
          breaker {amps(breakerA)}
        </div>
      )}
    </div>
  )
}

function Verdict({ load, users, units }: { load: CircuitLoad; users: number; units: UnitSystem }) {
  const { totalA, unknown, tooLarge, allAtOnce, spareA } = load
  const amps = (value: number) => printQuantity({ value, dimension: 'current' }, units)
  if (users === 0) return <p className="text-[15px] text-ink-2">No machine is put on it yet.</p>
  return (
    <p className="flex flex-wrap gap-x-4 text-[15px]">
      {tooLarge.length > 0 && <Mark kind="stop" word={`${tooLarge.join(', ')}: alone more than the breaker`} />}
      {allAtOnce === false && <Mark kind="watch" word={`${amps(totalA)} if all ran at full load: not all at once`} />}
      {allAtOnce === true && spareA !== undefined && (
        <Mark kind="ok" word={`all may run at once, ${amps(spareA)} to spare`} />
      )}
      {unknown.length > 0 && <span className="text-ink-2">Amps not known yet: {unknown.join(', ')}</span>}
    </p>
  )
}
