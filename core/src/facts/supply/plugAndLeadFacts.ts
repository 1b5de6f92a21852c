import { regionOf } from '../../plan'
import { extension, plug } from '../../supply'
import type { Knowing } from '../context'
import { isKnown, type FigureState } from '../figure'
import { choice, named, unknownField } from '../ledger'
import type { DriveFacts } from '../drive/driveFacts'
import type { SupplyFacts } from './supplyFacts'
import type { SupplyUnitFacts } from './supplyUnitFacts'

export interface PlugAndLeadFacts {
  /** Amps through plug and lead, and the breaker before them: of the wall, or of what stands between it and the drive. */
  loadA: FigureState
  breakerA: FigureState
  /** What the plug carries for hours, and whether that is enough and protected. */
  plugA: FigureState | undefined
  plugPermitted: boolean | undefined
  plugProtected: boolean | undefined
  extensionA: FigureState | undefined
  extensionDrop: FigureState | undefined
  extensionPermitted: boolean | undefined
}

type Before = Knowing<{ supply: SupplyFacts; drive: DriveFacts; supplyUnit: SupplyUnitFacts }>

/** What goes through plug and lead: the drive's amps, or those of the wall before a transformer or converter. */
function lyingOn({ plan, ledger, supply, drive, supplyUnit }: Omit<Before, 'tables' | 'measured'>) {
  const behind = {
    loadA: drive.inputA,
    voltageV: supply.feedV,
    phases: supply.feedPhases,
    breakerA: supply.breakerA,
  }
  if (!supplyUnit.wallA || plan.supply.leadSide === 'drive') return behind
  if (plan.supply.leadSide === undefined) {
    const asked = unknownField('supply.leadSide', 'Where plug and lead lie')
    return { ...behind, loadA: asked }
  }
  return {
    loadA: supplyUnit.wallA,
    voltageV: ledger.given('supply.wallVoltageV'),
    phases: supplyUnit.kind === 'transformer' ? supply.phases : choice(1, 'Phases at the wall'),
    breakerA: ledger.given('supply.wallBreakerA'),
  }
}

/** Plug, socket and extension lead between the wall and the drive. */
export function plugAndLeadFacts({ plan, ledger, supply, drive, supplyUnit }: Before): PlugAndLeadFacts {
  const region = regionOf(plan)
  const { loadA, voltageV, phases, breakerA } = lyingOn({ plan, ledger, supply, drive, supplyUnit })
  const plugged =
    plan.supply.plugOrFixed === 'plug'
      ? ledger.compute(
          plug,
          { carriesA: named('supply.plugCarriesA', 'Plug and socket carry for hours', 'current') },
          {
            loadA,
            plugA: ledger.given('supply.plugA'),
            breakerA: isKnown(breakerA) ? breakerA : undefined,
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
            loadA,
            lengthM: ledger.given('supply.extensionM'),
            areaMm2: ledger.given('supply.extensionMm2'),
            coiled: choice(plan.supply.extensionCoiled ?? false, 'Used rolled up'),
            voltageV,
            phases,
          },
        )
  return {
    loadA,
    breakerA,
    plugA: plugged?.carriesA,
    plugPermitted: plugged?.output?.permitted,
    plugProtected: plugged?.output?.protected,
    extensionA: lead?.ampacityA,
    extensionDrop: lead?.dropFraction,
    extensionPermitted: lead?.output?.permitted,
  }
}
