import { cut, set } from '@zesty/core'
import { branchCircuitOf, takeBranchCircuit } from '@zesty/core/library'
import { api, problemText } from '../../state/api'
import { notice } from '../../state/notice'
import { useChange, usePlan, useShopId } from '../../state/openPlan'
import { useItems } from '../../state/useItems'
import { Field } from '../../parts/Field'

const OWN = ''

/** Puts the machine on a circuit of the shop, or makes what stands here one. */
export function CircuitChoice() {
  const plan = usePlan()
  const change = useChange()
  const shopId = useShopId()
  const circuits = useItems(shopId, 'circuit')
  const [keep, { isLoading }] = api.useKeepItemMutation()
  const { branchCircuitId, voltageV, calledAs } = plan.supply
  const chosen = circuits?.find((c) => c.id === branchCircuitId)
  const choose = (id: string) => {
    const circuit = circuits?.find((c) => c.id === id)
    if (circuit) change(`Put on ${circuit.name}`, takeBranchCircuit(id, circuit.item))
    else change('On a circuit of its own', [set('supply.branchCircuitId', undefined)])
  }
  const share = async () => {
    const name = calledAs ?? cut(`Circuit of ${plan.name}`, 80)
    const { data, error } = await keep({ shopId, item: { kind: 'circuit', name, item: branchCircuitOf(plan) } })
    if (data) change(`Put on ${name}`, [set('supply.branchCircuitId', data.id)])
    notice(error ? problemText(error) : `${name} is a circuit of the shop`)
  }
  return (
    <div className="col-span-full flex flex-wrap items-end gap-2">
      <div className="min-w-[180px] flex-1">
        <Field
          path="supply.branchCircuitId"
          hint={chosen ? 'What is changed below is this machine’s alone.' : undefined}
        >
          {({ id, describedBy }) => (
            <select
              id={id}
              aria-describedby={describedBy}
              data-path="supply.branchCircuitId"
              className="field"
              value={chosen?.id ?? OWN}
              onChange={(e) => choose(e.target.value)}
            >
              <option value={OWN}>None of them: as typed below</option>
              {circuits?.map((c) => (
                <option key={c.id} value={c.id}>
                  {c.name}
                </option>
              ))}
            </select>
          )}
        </Field>
      </div>
      {!chosen && voltageV !== undefined && (
        <button type="button" className="btn" disabled={isLoading} onClick={() => void share()}>
          Share it with the shop
        </button>
      )}
    </div>
  )
}
