import type { Library } from '../data/planningValues'
import { behindSource, converter, generator, transformer } from '../supply'
import type { Plan } from '../plan'
import type { DriveFacts } from './driveFacts'
import { isKnown, type Reading } from './figure'
import type { Ledger } from './ledger'
import type { SupplyFacts } from './supplyFacts'

export interface SourceFacts {
  /** What stands between wall and drive, if anything does. */
  source: NonNullable<Plan['supply']['source']>
  /** Idler or rating that it should have at the least; undefined for the mains and what cannot feed a drive. */
  needed: Reading | undefined
  /** What it has. */
  has: Reading | undefined
  /** Amps taken from the wall behind it. */
  wallA: Reading | undefined
}

/** A converter, transformer or generator between wall and drive: how large it must be, and what the wall gives it. */
export function sourceFacts(
  plan: Plan,
  ledger: Ledger,
  library: Library,
  supply: SupplyFacts,
  drive: DriveFacts,
): SourceFacts {
  const source = plan.supply.source ?? 'mains'
  if (source === 'mains') return { source, needed: undefined, has: undefined, wallA: undefined }
  const load = { inputA: drive.inputA, voltageV: supply.voltageV, phases: supply.phases }
  const kVA = { id: 'supply.neededVA', label: 'It should be rated for', dimension: 'apparentPower' as const }
  const wallA =
    source === 'generator' ? undefined : behind(plan, ledger, library, supply, drive, source === 'transformer')
  if (source === 'transformer' || source === 'generator') {
    const rule = source === 'transformer' ? transformer : generator
    const made = ledger.compute(rule, { kVA }, load)
    // The rule speaks in kVA; figures are kept in VA.
    if (isKnown(made.kVA)) made.kVA.value *= 1000
    return { source, needed: made.kVA, has: ledger.given('supply.sourceVA'), wallA }
  }
  if (source === 'static-converter') return { source, needed: undefined, has: undefined, wallA }
  const powerW = ledger.given('motor.powerW')
  const { idlerW } = ledger.compute(
    converter,
    { idlerW: { id: 'supply.neededIdlerW', label: 'Idler for this motor', dimension: 'power' } },
    {
      // Behind a drive no motor starts hard.
      motors: isKnown(powerW)
        ? { raw: [{ powerW: powerW.value }], shown: 'this one, on its drive', label: 'Motors', from: [powerW] }
        : powerW,
    },
  )
  return { source, needed: idlerW, has: ledger.given('supply.sourceW'), wallA }
}

function behind(
  plan: Plan,
  ledger: Ledger,
  library: Library,
  supply: SupplyFacts,
  drive: DriveFacts,
  isTransformer: boolean,
): Reading {
  const { value, source } = isTransformer ? library.planning.transformerEfficiency : library.planning.rotaryEfficiency
  const phases = isTransformer ? (plan.supply.phases ?? 1) : 1
  return ledger.compute(
    behindSource,
    { currentA: { id: 'supply.wallA', label: 'Taken from the wall behind it', dimension: 'current' } },
    {
      loadA: drive.inputA,
      loadV: supply.voltageV,
      loadPhases: supply.phases,
      wallV: ledger.given('supply.wallVoltageV'),
      wallPhases: { raw: phases, shown: phases, label: 'Phases at the wall' },
      efficiency: ledger.typical(
        { id: 'supply.sourceEfficiency', label: 'Efficiency of converter or transformer', dimension: 'fraction' },
        value,
        source,
        'overrides.sourceEfficiency',
      ),
    },
  ).currentA
}
