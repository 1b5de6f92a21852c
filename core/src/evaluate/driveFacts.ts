import type { Library } from '../data/planningValues'
import * as rules from '../drive'
import type { Plan } from '../plan'
import { isKnown, numberOf, type Reading } from './figure'
import type { Ledger, Naming } from './ledger'
import type { MountFacts } from './mountFacts'
import type { MotorFacts } from './motorFacts'
import type { SupplyFacts } from './supplyFacts'

export interface DriveFacts {
  /** Most volts the drive can give the motor: its supply, twice that with a doubler. */
  ceilingV: Reading
  busV: Reading
  /** Output amps after derating for one phase, carrier, height and heat. */
  outputA: Reading
  /** True where a three-phase-input drive stands on one phase. */
  onOnePhase: boolean
  /** From the motor at full load. */
  computedInputA: Reading
  /** The larger of that and the drive's plate: what the circuit must carry. */
  inputA: Reading
}

/** What the drive can give this motor from this wall, and what it takes. */
export function driveFacts(
  plan: Plan,
  ledger: Ledger,
  library: Library,
  supply: SupplyFacts,
  motor: MotorFacts,
  mount: MountFacts,
): DriveFacts {
  const doubler = { raw: plan.drive.doubler ?? false, shown: plan.drive.doubler ?? false, label: 'Doubles the voltage' }
  const { busV } = ledger.compute(
    rules.busVoltage,
    { busV: { id: 'drive.busV', label: 'Bus volts, no load', dimension: 'voltage' } },
    { supplyV: supply.voltageV, doubler },
  )
  const naming = { id: 'drive.ceilingV', label: 'Most volts to the motor', dimension: 'voltage' as const }
  const ceilingV = isKnown(supply.voltageV)
    ? ledger.stated(
        naming,
        supply.voltageV.value * (plan.drive.doubler ? 2 : 1),
        'computed',
        [supply.voltageV],
        'A drive gives at most its supply, twice that with a doubler; about a tenth less under full load on one phase',
      )
    : ledger.block(naming, [supply.voltageV])
  const onOnePhase = plan.drive.input === '3' && plan.supply.phases === 1
  const computedInputA = computeInput(ledger, library, supply, motor, mount)
  return {
    ceilingV,
    busV,
    outputA: computeOutput(plan, ledger, library, onOnePhase, mount),
    onOnePhase,
    computedInputA,
    inputA: largerInput(ledger, computedInputA),
  }
}

function computeOutput(
  plan: Plan,
  ledger: Ledger,
  library: Library,
  onOnePhase: boolean,
  { airC }: MountFacts,
): Reading {
  const rated = ledger.given('drive.ratedOutputA', 'Drive output amps')
  const naming = { id: 'drive.outputA', label: 'Usable output amps', dimension: 'current' as const }
  if (!isKnown(rated)) return ledger.block(naming, [rated])
  const { drive, mount } = plan
  const carrier = drive.carrierHz !== undefined && drive.ratedCarrierHz !== undefined
  const air = mount.roomC !== undefined || mount.place === 'in-box'
  const derated = carrier || mount.altitudeM !== undefined || (air && isKnown(airC))
  const fed = onOnePhase
    ? onePhaseOutput(
        plan,
        ledger,
        library,
        rated,
        derated ? { ...naming, id: 'drive.onePhaseA', label: 'Left on one phase' } : naming,
      )
    : rated
  if (!derated) return onOnePhase ? fed : ledger.stated(naming, rated.value, 'given', [rated])
  // A drive whose manual forbids one phase has nothing left to derate.
  if (isKnown(fed) && fed.value === 0) return ledger.stated(naming, 0, 'computed', [fed])
  const known = (reading: Reading): Reading | undefined => (isKnown(reading) ? reading : undefined)
  return ledger.compute(
    rules.derating,
    { outputA: naming },
    {
      outputA: fed,
      carrierHz: known(ledger.given('drive.carrierHz')),
      ratedCarrierHz: known(ledger.given('drive.ratedCarrierHz')),
      altitudeM: known(ledger.given('mount.altitudeM')),
      airC: air ? known(airC) : undefined,
      ratedAirC: known(ledger.given('drive.ratedAmbientC')),
    },
  ).outputA
}

function onePhaseOutput(plan: Plan, ledger: Ledger, library: Library, ratedOutputA: Reading, naming: Naming): Reading {
  const own = ledger.given('drive.singlePhaseFactor')
  const { value, source } = library.planning.singlePhaseFactor
  const factor = isKnown(own)
    ? own
    : ledger.typical({ id: 'drive.factor', label: 'Share left on one phase', dimension: 'fraction' }, value, source)
  const permitted = plan.drive.singlePhasePermitted ?? false
  return ledger.compute(
    rules.singlePhaseRating,
    { outputA: naming },
    { ratedOutputA, factor, permitted: { raw: permitted, shown: permitted, label: 'Manual allows one phase' } },
  ).outputA
}

function computeInput(
  ledger: Ledger,
  library: Library,
  supply: SupplyFacts,
  motor: MotorFacts,
  { driveEfficiency }: MountFacts,
): Reading {
  const { planning } = library
  const phases = numberOf(supply.phases)
  const lambda = phases === 3 ? planning.truePowerFactorThreePhase : planning.truePowerFactorSinglePhase
  return ledger.compute(
    rules.inputCurrent,
    { currentA: { id: 'drive.computedInputA', label: 'Input amps at full load', dimension: 'current' } },
    {
      shaftW: ledger.given('motor.powerW'),
      motorEfficiency: motor.efficiency,
      driveEfficiency,
      supplyV: supply.voltageV,
      phases: supply.phases,
      powerFactor: ledger.typical(
        { id: 'drive.truePowerFactor', label: 'True power factor at the wall', dimension: 'fraction' },
        lambda.value,
        lambda.source,
        'overrides.truePowerFactor',
      ),
    },
  ).currentA
}

function largerInput(ledger: Ledger, computed: Reading): Reading {
  const plate = ledger.given('drive.ratedInputA', 'Drive input amps on its plate')
  const naming = { id: 'drive.inputA', label: 'Input amps the circuit must carry', dimension: 'current' as const }
  const known = [computed, plate].filter(isKnown)
  if (known.length === 0) return ledger.block(naming, [computed])
  const larger = known.reduce((a, b) => (b.value > a.value ? b : a))
  return ledger.stated(
    naming,
    larger.value,
    'computed',
    known,
    'The larger of the computed input and the drive’s plate input',
  )
}
