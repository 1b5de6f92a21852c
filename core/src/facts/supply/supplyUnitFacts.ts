import type { SupplyUnit } from '../../plan'
import { behindSupplyUnit, converter, generator, transformer } from '../../supply'
import type { Knowing } from '../context'
import { isKnown, type FigureState } from '../figure'
import { choice, named } from '../ledger'
import type { DriveFacts } from '../drive/driveFacts'
import type { SupplyFacts } from './supplyFacts'

export interface SupplyUnitFacts {
  /** What stands between wall and drive, if anything does. */
  kind: SupplyUnit
  /** Idler or rating that it should have at the least; undefined for the mains and what cannot feed a drive. */
  needed: FigureState | undefined
  /** What it has. */
  has: FigureState | undefined
  /** Amps taken from the wall behind it. */
  wallA: FigureState | undefined
}

/** A converter, transformer or generator between wall and drive: how large it must be, and what the wall gives it. */
export function supplyUnitFacts(context: Knowing<{ supply: SupplyFacts; drive: DriveFacts }>): SupplyUnitFacts {
  const { plan, ledger, supply, drive } = context
  const kind = plan.supply.supplyUnit ?? 'mains'
  if (kind === 'mains') return { kind, needed: undefined, has: undefined, wallA: undefined }
  const load = { inputA: drive.inputA, voltageV: supply.voltageV, phases: supply.phases }
  const wallA = kind === 'generator' ? undefined : behind(context, kind === 'transformer')
  if (kind === 'transformer' || kind === 'generator') {
    const rule = kind === 'transformer' ? transformer : generator
    const needed = ledger.derive(
      rule,
      'ratedVA',
      named('supply.neededVA', 'It should be rated for', 'apparentPower'),
      load,
    )
    return { kind, needed, has: ledger.given('supply.supplyUnitVA'), wallA }
  }
  if (kind === 'static-converter') return { kind, needed: undefined, has: undefined, wallA }
  const powerW = ledger.given('motor.powerW')
  const needed = ledger.derive(converter, 'idlerW', named('supply.neededIdlerW', 'Idler for this motor', 'power'), {
    // Behind a drive no motor starts hard.
    motors: isKnown(powerW)
      ? { raw: [{ powerW: powerW.value }], shown: 'this one, on its drive', label: 'Motors', from: [powerW] }
      : powerW,
  })
  return { kind, needed, has: ledger.given('supply.supplyUnitW'), wallA }
}

function behind(
  { plan, ledger, tables, supply, drive }: Knowing<{ supply: SupplyFacts; drive: DriveFacts }>,
  isTransformer: boolean,
): FigureState {
  const { value, citation } = isTransformer ? tables.planning.transformerEfficiency : tables.planning.rotaryEfficiency
  const phases = isTransformer ? (plan.supply.phases ?? 1) : 1
  return ledger.derive(
    behindSupplyUnit,
    'currentA',
    named('supply.wallA', 'Taken from the wall behind it', 'current'),
    {
      loadA: drive.inputA,
      loadV: supply.voltageV,
      loadPhases: supply.phases,
      wallV: ledger.given('supply.wallVoltageV'),
      wallPhases: choice(phases, 'Phases at the wall'),
      efficiency: ledger.typical(
        { id: 'supply.unitEfficiency', label: 'Efficiency of converter or transformer', dimension: 'fraction' },
        value,
        citation,
        'overrides.supplyUnitEfficiency',
      ),
    },
  )
}
