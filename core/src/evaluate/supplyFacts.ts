import type { Reading } from './figure'
import type { Ledger } from './ledger'

export interface SupplyFacts {
  voltageV: Reading
  phases: Reading
  frequencyHz: Reading
  breakerA: Reading
}

/** What the wall gives. */
export const supplyFacts = (ledger: Ledger): SupplyFacts => ({
  voltageV: ledger.given('supply.voltageV', 'Supply volts'),
  phases: ledger.given('supply.phases', 'Supply phases'),
  frequencyHz: ledger.given('supply.frequencyHz', 'Mains hertz'),
  breakerA: ledger.given('supply.breakerA', 'Breaker'),
})
