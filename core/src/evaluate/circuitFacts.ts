import type { Library } from '../data/planningValues'
import { cable, protection } from '../supply'
import type { Plan } from '../plan'
import { gaugeArea } from '../quantities'
import type { DriveFacts } from './driveFacts'
import { isKnown, numberOf, type Reading } from './figure'
import type { Ledger } from './ledger'
import type { SupplyFacts } from './supplyFacts'

export interface CircuitFacts {
  region: 'iec' | 'nec' | undefined
  /** Rating the drive asks for. */
  protectionA: Reading
  earthLeakageType: 'F' | 'B' | undefined
  /** Smallest conductor for the breaker that is there, or else for the rating asked for. */
  cableMm2: Reading
  drop: Reading
}

/** Whose rules: as said, else by the mains hertz. */
export const regionOf = ({ supply }: Plan): 'iec' | 'nec' | undefined =>
  supply.region ?? (supply.frequencyHz === undefined ? undefined : supply.frequencyHz > 55 ? 'nec' : 'iec')

/** How a cable is laid, in the words of its table. */
const methods = {
  iec: { surface: 'C', conduit: 'B2', cord: undefined },
  nec: { surface: 'conduit', conduit: 'conduit', cord: 'cord' },
} as const

/** The circuit that feeds the drive: its protection, its cable and what is lost along it. */
export function circuitFacts(
  plan: Plan,
  ledger: Ledger,
  library: Library,
  supply: SupplyFacts,
  drive: DriveFacts,
): CircuitFacts {
  const region = regionOf(plan)
  const topology = plan.drive.doubler ? 'doubler' : plan.supply.phases === 3 ? 'three-phase' : plan.supply.topology
  const named = (key: string, label: string, dimension: 'current' | 'area' | 'fraction') => ({
    id: `supply.${key}`,
    label,
    dimension,
  })
  const needs = (path: string, label: string): Reading => ({ id: path, label, missing: [path] })
  const rating = named('protectionA', 'Breaker the drive asks for', 'current')
  const size = named('neededMm2', 'Smallest conductor for it', 'area')
  const drop = named('drop', 'Lost along the cable at full load', 'fraction')
  const wants: Reading[] = [
    ...(region ? [] : [needs('supply.frequencyHz', 'Mains hertz')]),
    ...(topology ? [] : [needs('supply.topology', 'Live conductors')]),
  ]
  const plateInput = ledger.given('drive.ratedInputA')
  const manual = ledger.given('drive.manualProtectionA')
  const protectedBy =
    wants.length > 0 || !isKnown(drive.inputA)
      ? { ratingA: ledger.block(rating, [...wants, drive.inputA]), output: undefined }
      : ledger.compute(
          protection,
          { ratingA: rating },
          {
            inputA: isKnown(drive.computedInputA) ? drive.computedInputA : drive.inputA,
            plateInputA: isKnown(plateInput) ? plateInput : drive.inputA,
            manualMaximumA: isKnown(manual) ? manual : undefined,
            region: { raw: region, shown: region ?? '', label: 'Rules of the land' },
            topology: { raw: topology, shown: topology ?? '', label: 'Live conductors' },
          },
        )
  return {
    region,
    protectionA: protectedBy.ratingA,
    earthLeakageType: protectedBy.output?.earthLeakageType,
    ...cableFacts(plan, ledger, library, supply, drive, region, protectedBy.ratingA, size, drop),
  }
}

interface Named<D> {
  id: string
  label: string
  dimension: D
}

function cableFacts(
  plan: Plan,
  ledger: Ledger,
  library: Library,
  supply: SupplyFacts,
  drive: DriveFacts,
  region: 'iec' | 'nec' | undefined,
  asked: Reading,
  size: Named<'current' | 'area' | 'fraction'>,
  drop: Named<'current' | 'area' | 'fraction'>,
): Pick<CircuitFacts, 'cableMm2' | 'drop'> {
  const lengthM = ledger.given('supply.cableM')
  const laying = plan.supply.laying
  const missing: Reading[] = [
    lengthM,
    supply.voltageV,
    supply.phases,
    drive.inputA,
    ...(laying ? [] : [{ id: 'supply.laying', label: 'How it is laid', missing: ['supply.laying'] }]),
  ]
  const method = region && laying ? methods[region][laying] : undefined
  const protectionA =
    isKnown(supply.breakerA) && (numberOf(drive.inputA) ?? 0) <= supply.breakerA.value ? supply.breakerA : asked
  if (missing.some((r) => !isKnown(r)) || !region)
    return { cableMm2: ledger.block(size, missing), drop: ledger.block(drop, missing) }
  if (!method) {
    const why = 'The table for cords in mm² is not at hand: a cord is a plug-and-socket matter of its own maker'
    return { cableMm2: ledger.block(size, [], why), drop: ledger.block(drop, [], why) }
  }
  const own = ledger.given('supply.ambientC')
  const { ambientC, maximumDrop } = library.planning
  const system = region === 'iec' ? 'metric' : 'awg'
  const made = ledger.compute(
    cable,
    { size: { ...size, dimension: 'area' }, dropPercent: drop },
    {
      loadA: drive.inputA,
      protectionA,
      lengthM,
      system: { raw: system, shown: system, label: 'Sizes' },
      method: { raw: method, shown: method, label: 'How it is laid' },
      ambientC: isKnown(own)
        ? own
        : ledger.typical(
            { id: 'supply.typicalAmbientC', label: 'Hottest around the cable', dimension: 'temperature' },
            ambientC.value,
            ambientC.source,
          ),
      phases: supply.phases,
      voltageV: supply.voltageV,
      maxDropPercent: {
        raw: maximumDrop.value * 100,
        shown: `${maximumDrop.value * 100} %`,
        label: 'Most that may be lost',
      },
    },
  )
  // The rule speaks in gauge numbers and per cent; figures are kept in mm2 and shares.
  if (isKnown(made.size) && region === 'nec') made.size.value = gaugeArea(made.size.value)
  if (isKnown(made.dropPercent)) made.dropPercent.value /= 100
  return { cableMm2: made.size, drop: made.dropPercent }
}
