import { extension, plug } from '../supply'
import type { Plan } from '../plan'
import { regionOf } from './circuitFacts'
import type { DriveFacts } from './driveFacts'
import { isKnown, type Reading } from './figure'
import type { Ledger } from './ledger'
import type { SupplyFacts } from './supplyFacts'

export interface JoiningFacts {
  /** What the plug carries for hours, and whether that is enough and protected. */
  plugA: Reading | undefined
  plugPermitted: boolean | undefined
  plugProtected: boolean | undefined
  extensionA: Reading | undefined
  extensionDrop: Reading | undefined
  extensionPermitted: boolean | undefined
}

/** Plug, socket and extension lead between the wall and the drive. */
export function joiningFacts(plan: Plan, ledger: Ledger, supply: SupplyFacts, drive: DriveFacts): JoiningFacts {
  const region = regionOf(plan)
  const plugged =
    plan.supply.joining === 'plug'
      ? ledger.compute(
          plug,
          { carriesA: { id: 'supply.plugCarriesA', label: 'Plug and socket carry for hours', dimension: 'current' } },
          {
            loadA: drive.inputA,
            plugA: ledger.given('supply.plugA'),
            breakerA: isKnown(supply.breakerA) ? supply.breakerA : undefined,
            region: region
              ? { raw: region, shown: region, label: 'Rules of the land' }
              : { id: 'supply.region', label: 'Rules of the land', missing: ['supply.frequencyHz'] },
          },
        )
      : undefined
  const coiled = plan.supply.extensionCoiled ?? false
  const lead =
    plan.supply.extensionM === undefined && plan.supply.extensionMm2 === undefined
      ? undefined
      : ledger.compute(
          extension,
          {
            ampacityA: { id: 'supply.extensionA', label: 'Extension lead carries', dimension: 'current' },
            dropPercent: { id: 'supply.extensionDrop', label: 'Lost along the extension lead', dimension: 'fraction' },
          },
          {
            loadA: drive.inputA,
            lengthM: ledger.given('supply.extensionM'),
            areaMm2: ledger.given('supply.extensionMm2'),
            coiled: { raw: coiled, shown: coiled, label: 'Used rolled up' },
            voltageV: supply.voltageV,
            phases: supply.phases,
          },
        )
  // The rule speaks in per cent; figures are kept in shares.
  if (lead && isKnown(lead.dropPercent)) lead.dropPercent.value /= 100
  return {
    plugA: plugged?.carriesA,
    plugPermitted: plugged?.output?.permitted,
    plugProtected: plugged?.output?.protected,
    extensionA: lead?.ampacityA,
    extensionDrop: lead?.dropPercent,
    extensionPermitted: lead?.output?.permitted,
  }
}
