import type { PlanningTables } from '../data/planningValues'
import type { Measured } from '../measurements/measured'
import type { Plan } from '../plan'
import type { Ledger } from './ledger'

/** What every part of the facts is made from. */
export interface Context {
  plan: Plan
  tables: PlanningTables
  ledger: Ledger
  /** What was read off the machine; where the plan leaves a field open, it is in the plan already. */
  measured: Measured
}

/** The context, and the facts that are known before. */
export type Knowing<Before extends object> = Context & Before
