import { extension, plug } from '../../supply'
import type { Knowing } from '../context'
import { isKnown, type FigureState } from '../figure'
import { choice, named, unknownField } from '../ledger'
import { regionOf } from './branchCircuitFacts'
import type { DriveFacts } from '../drive/driveFacts'
import type { SupplyFacts } from './supplyFacts'

export interface PlugAndLeadFacts {
  /** What the plug carries for hours, and whether that is enough and protected. */
  plugA: FigureState | undefined
  plugPermitted: boolean | undefined
  plugProtected: boolean | undefined
  extensionA: FigureState | undefined
  extensionDrop: FigureState | undefined
  extensionPermitted: boolean | undefined
}

/** Plug, socket and extension lead between the wall and the drive. */
export function plugAndLeadFacts({
  plan,
  ledger,
  supply,
  drive,
}: Knowing<{ supply: SupplyFacts; drive: DriveFacts }>): PlugAndLeadFacts {
  const region = regionOf(plan)
  const plugged =
    plan.supply.plugOrFixed === 'plug'
      ? ledger.compute(
          plug,
          { carriesA: named('supply.plugCarriesA', 'Plug and socket carry for hours', 'current') },
          {
            loadA: drive.inputA,
            plugA: ledger.given('supply.plugA'),
            breakerA: isKnown(supply.breakerA) ? supply.breakerA : undefined,
            region: region
              ? choice(region, 'Rules of the land')
              : { ...unknownField('supply.frequencyHz', 'Rules of the land'), id: 'supply.region' },
          },
        )
      : undefined
  const lead =
    plan.supply.extensionM === undefined && plan.supply.extensionMm2 === undefined
      ? undefined
      : ledger.compute(
          extension,
          {
            ampacityA: named('supply.extensionA', 'Extension lead carries', 'current'),
            dropFraction: named('supply.extensionDrop', 'Lost along the extension lead', 'fraction'),
          },
          {
            loadA: drive.inputA,
            lengthM: ledger.given('supply.extensionM'),
            areaMm2: ledger.given('supply.extensionMm2'),
            coiled: choice(plan.supply.extensionCoiled ?? false, 'Used rolled up'),
            voltageV: supply.feedV,
            phases: supply.feedPhases,
          },
        )
  return {
    plugA: plugged?.carriesA,
    plugPermitted: plugged?.output?.permitted,
    plugProtected: plugged?.output?.protected,
    extensionA: lead?.ampacityA,
    extensionDrop: lead?.dropFraction,
    extensionPermitted: lead?.output?.permitted,
  }
}
