import { shippedTables, type PlanningTables } from '../data/planningValues'
import { nothingMeasured, type Measured } from '../measurements/measured'
import { withMeasured } from '../measurements/withMeasured'
import { asJudged, type Plan } from '../plan'
import type { Facts } from './facts'
import { factsOf } from './factsOf'
import { Ledger } from './ledger'
import type { CircuitMemory } from './motor/plateCircuit'
import type { WiringMemory } from './wiring/wiringFacts'

/** What a plan comes to with what was read off the machine, and the book in which every figure of it stands. */
export function factsFor(
  typed: Plan,
  measured: Measured = nothingMeasured,
  tables: PlanningTables = shippedTables,
  memory?: { circuit: CircuitMemory; wiring: WiringMemory },
): { plan: Plan; ledger: Ledger; facts: Facts } {
  const { plan, fields } = withMeasured(asJudged(typed), measured)
  const ledger = new Ledger(plan, fields)
  return { plan, ledger, facts: factsOf({ plan, tables, ledger, measured }, memory?.circuit, memory?.wiring) }
}
