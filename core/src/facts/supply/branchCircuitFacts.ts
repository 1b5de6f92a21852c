import { regionOf } from '../../plan'
import { cable, protection } from '../../supply'
import type { Knowing } from '../context'
import { isKnown, numberOf, type FigureState } from '../figure'
import { choice, named, unknownField } from '../ledger'
import type { DriveFacts } from '../drive/driveFacts'
import type { SupplyFacts } from './supplyFacts'

export interface BranchCircuitFacts {
  region: 'iec' | 'nec' | undefined
  /** Rating the drive asks for. */
  protectionA: FigureState
  earthLeakageType: 'F' | 'B' | undefined
  /** Smallest conductor for the breaker that is there, or else for the rating asked for. */
  cableMm2: FigureState
  /** The same for the rating asked for, where the breaker that is there is another. */
  askedMm2: FigureState | undefined
  drop: FigureState
}

/** The conductors that the drive stands on. */
function standsOn({ plan, supply }: Knowing<{ supply: SupplyFacts }>) {
  if (plan.supply.phases !== 3) return plan.supply.topology
  if (plan.drive.input !== '1') return 'three-phase'
  return supply.betweenLineAndNeutral ? 'line-neutral' : 'line-line'
}

/** How a cable is laid, in the words of its table. */
const methods = {
  iec: { surface: 'C', conduit: 'B2', insulated: 'A2', cord: 'cord' },
  nec: { surface: 'conduit', conduit: 'conduit', insulated: 'conduit', cord: 'cord' },
} as const

/** The circuit that feeds the drive: its protection, its cable and what is lost along it. */
export function branchCircuitFacts(context: Knowing<{ supply: SupplyFacts; drive: DriveFacts }>): BranchCircuitFacts {
  const { plan, ledger, drive } = context
  const region = regionOf(plan)
  const topology = plan.drive.doubler ? 'doubler' : standsOn(context)
  const rating = named('supply.protectionA', 'Breaker the drive asks for', 'current')
  const protectedBy =
    region === undefined || topology === undefined || !isKnown(drive.inputA)
      ? {
          ratingA: ledger.block(rating, [
            ...(region ? [] : [unknownField('supply.frequencyHz', 'Mains hertz')]),
            ...(topology ? [] : [unknownField('supply.topology', 'Live conductors')]),
            drive.inputA,
          ]),
          output: undefined,
        }
      : ledger.compute(
          protection,
          { ratingA: rating },
          {
            inputA: isKnown(drive.computedInputA) ? drive.computedInputA : drive.inputA,
            plateInputA: ledger.givenIfKnown('drive.ratedInputA') ?? drive.inputA,
            manualMaximumA: ledger.givenIfKnown('drive.manualProtectionA'),
            region: choice(region, 'Rules of the land'),
            topology: choice(topology, 'Live conductors'),
          },
        )
  return {
    region,
    protectionA: protectedBy.ratingA,
    earthLeakageType: protectedBy.output?.earthLeakageType,
    ...cableFacts(context, region, protectedBy.ratingA),
  }
}

function cableFacts(
  { plan, ledger, tables, supply, drive }: Knowing<{ supply: SupplyFacts; drive: DriveFacts }>,
  region: 'iec' | 'nec' | undefined,
  asked: FigureState,
): Pick<BranchCircuitFacts, 'cableMm2' | 'askedMm2' | 'drop'> {
  const size = named('supply.neededMm2', 'Smallest conductor for it', 'area')
  const drop = named('supply.drop', 'Lost along the cable at full load', 'fraction')
  const lengthM = ledger.given('supply.cableM')
  const laying = plan.supply.laying
  const missing: FigureState[] = [
    lengthM,
    supply.feedV,
    supply.feedPhases,
    drive.inputA,
    ...(laying ? [] : [unknownField('supply.laying', 'How it is laid')]),
    ...(region ? [] : [unknownField('supply.frequencyHz', 'Mains hertz')]),
  ]
  const protectionA =
    isKnown(supply.breakerA) && (numberOf(drive.inputA) ?? 0) <= supply.breakerA.value ? supply.breakerA : asked
  if (missing.some((r) => !isKnown(r)) || !region || !laying)
    return { cableMm2: ledger.block(size, missing), askedMm2: undefined, drop: ledger.block(drop, missing) }
  const { ambientC, maximumDrop } = tables.planning
  const laid = {
    lengthM,
    system: choice(region === 'iec' ? 'metric' : 'awg', 'Sizes'),
    method: choice(methods[region][laying], 'How it is laid'),
    ambientC: ledger.givenOr('supply.ambientC', () =>
      ledger.typical(
        named('supply.typicalAmbientC', 'Hottest around the cable', 'temperature'),
        ambientC.value,
        ambientC.citation,
      ),
    ),
    phases: supply.feedPhases,
    voltageV: supply.feedV,
    maxDropPercent: {
      raw: maximumDrop.value * 100,
      shown: `${maximumDrop.value * 100} %`,
      label: 'Most that may be lost',
    },
  }
  const made = ledger.compute(
    cable,
    { areaMm2: size, dropFraction: drop },
    { loadA: drive.inputA, protectionA, ...laid },
  )
  const another = isKnown(asked) && isKnown(protectionA) && asked.value !== protectionA.value
  return {
    cableMm2: made.areaMm2,
    askedMm2: another
      ? ledger.derive(cable, 'areaMm2', named('supply.neededAskedMm2', 'Conductor for the breaker asked for', 'area'), {
          loadA: drive.inputA,
          protectionA: asked,
          ...laid,
        })
      : undefined,
    drop: made.dropFraction,
  }
}
