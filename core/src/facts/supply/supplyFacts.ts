import type { Context } from '../context'
import type { FigureState } from '../figure'

export interface SupplyFacts {
  voltageV: FigureState
  phases: FigureState
  frequencyHz: FigureState
  breakerA: FigureState
}

/** What the wall gives. */
export const supplyFacts = ({ ledger }: Context): SupplyFacts => ({
  voltageV: ledger.given('supply.voltageV', 'Supply volts'),
  phases: ledger.given('supply.phases', 'Supply phases'),
  frequencyHz: ledger.given('supply.frequencyHz', 'Mains hertz'),
  breakerA: ledger.given('supply.breakerA', 'Breaker'),
})
