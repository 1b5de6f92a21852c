import * as rules from '../../drive'
import type { Knowing } from '../context'
import { isKnown, numberOf, type FigureState } from '../figure'
import { choice, named, type Naming } from '../ledger'
import type { InstallationFacts } from './installationFacts'
import type { MotorFacts } from '../motor/motorKnown'
import type { SupplyFacts } from '../supply/supplyFacts'

export interface DriveFacts {
  /** Most volts the drive can give the motor: its supply, twice that with a doubler. */
  ceilingV: FigureState
  busV: FigureState
  /** Output amps after derating for one phase, carrier, height and heat. */
  outputA: FigureState
  /** True where a three-phase-input drive stands on one phase. */
  onOnePhase: boolean
  /** From the motor at full load. */
  computedInputA: FigureState
  /** The larger of that and the drive's plate: what the circuit must carry. */
  inputA: FigureState
}

type Before = Knowing<{ supply: SupplyFacts; motor: MotorFacts; installation: InstallationFacts }>

/** What the drive can give this motor from this wall, and what it takes. */
export function driveFacts(context: Before): DriveFacts {
  const { plan, ledger, supply } = context
  const doubler = choice(plan.drive.doubler ?? false, 'Doubles the voltage')
  const onOnePhase = plan.drive.input === '3' && plan.supply.phases === 1
  const outputA = output(context, onOnePhase)
  const computedInputA = computedInput(context, outputA)
  return {
    ceilingV: ledger.derive(
      rules.ceilingVoltage,
      'outputV',
      named('drive.ceilingV', 'Most volts to the motor', 'voltage'),
      { supplyV: supply.feedV, doubler },
    ),
    busV: ledger.derive(rules.busVoltage, 'busV', named('drive.busV', 'Bus volts, no load', 'voltage'), {
      supplyV: supply.feedV,
      doubler,
    }),
    outputA,
    onOnePhase,
    computedInputA,
    inputA: circuitInput(context, computedInputA),
  }
}

/** Usable output amps: as on the plate, left on one phase, derated for carrier, height and heat. */
function output(context: Before, onOnePhase: boolean): FigureState {
  const { plan, ledger } = context
  const rated = ledger.given('drive.ratedOutputA')
  const naming = named('drive.outputA', 'Usable output amps', 'current')
  if (!isKnown(rated)) return ledger.block(naming, [rated])
  const { drive, installation } = plan
  const { airC } = context.installation
  // What was read in it counts before what was planned.
  const carrierHz = ledger.givenIfKnown('settings.inDrive.carrierHz') ?? ledger.givenIfKnown('drive.carrierHz')
  const carrier = carrierHz !== undefined && drive.ratedCarrierHz !== undefined
  const air = installation.roomC !== undefined || installation.place === 'in-box'
  const derated = carrier || installation.altitudeM !== undefined || (air && isKnown(airC))
  const onePhase = derated ? named('drive.onePhaseA', 'Left on one phase', 'current') : naming
  const fed = onOnePhase ? onePhaseOutput(context, rated, onePhase) : rated
  if (!derated) return onOnePhase ? fed : ledger.stated(naming, rated.value, 'given', [rated])
  // A drive whose manual forbids one phase has nothing left to derate.
  if (isKnown(fed) && fed.value === 0) return ledger.stated(naming, 0, 'computed', [fed])
  return ledger.derive(rules.derating, 'outputA', naming, {
    outputA: fed,
    carrierHz,
    ratedCarrierHz: ledger.givenIfKnown('drive.ratedCarrierHz'),
    altitudeM: ledger.givenIfKnown('installation.altitudeM'),
    airC: air && isKnown(airC) ? airC : undefined,
    ratedAirC: ledger.givenIfKnown('drive.ratedAmbientC'),
  })
}

function onePhaseOutput({ plan, ledger, tables }: Before, ratedOutputA: FigureState, naming: Naming): FigureState {
  const { value, citation } = tables.planning.singlePhaseFactor
  return ledger.derive(rules.singlePhaseRating, 'outputA', naming, {
    ratedOutputA,
    factor: ledger.givenOr('drive.singlePhaseFactor', () =>
      ledger.typical(named('drive.factor', 'Share left on one phase', 'fraction'), value, citation),
    ),
    permitted: choice(plan.drive.singlePhasePermitted ?? false, 'Manual allows one phase'),
  })
}

function computedInput(context: Before, outputA: FigureState): FigureState {
  const { plan, ledger, tables, supply, motor, installation } = context
  const { truePowerFactorThreePhase, truePowerFactorSinglePhase, truePowerFactorDoubler } = tables.planning
  const onOne = plan.drive.doubler === true ? truePowerFactorDoubler : truePowerFactorSinglePhase
  const lambda = numberOf(supply.feedPhases) === 3 ? truePowerFactorThreePhase : onOne
  return ledger.derive(
    rules.inputCurrent,
    'currentA',
    named('drive.computedInputA', 'Input amps at full load', 'current'),
    {
      shaftW: drawn(context, outputA),
      motorEfficiency: motor.efficiency,
      driveEfficiency: installation.driveEfficiency,
      supplyV: supply.feedV,
      phases: supply.feedPhases,
      powerFactor: ledger.typical(
        named('drive.truePowerFactor', 'True power factor at the wall', 'fraction'),
        lambda.value,
        lambda.citation,
        'overrides.truePowerFactor',
      ),
    },
  )
}

/** The motor's power, or as much of it as the drive's output amps can draw. */
function drawn({ ledger, motor }: Before, outputA: FigureState): FigureState {
  const powerW = ledger.given('motor.powerW')
  const [output, plate] = [numberOf(outputA), numberOf(motor.plateCurrentA)]
  if (!isKnown(powerW) || output === undefined || plate === undefined || output >= plate || output === 0) return powerW
  return ledger.derive(rules.drawnPower, 'drawnW', named('drive.drawnW', 'Power that its output amps draw', 'power'), {
    powerW,
    outputA,
    plateA: motor.plateCurrentA,
  })
}

/** The larger of the computed input and the plate's; where neither is known, it waits for what the computed one waits for. */
function circuitInput({ ledger }: Before, computed: FigureState): FigureState {
  const plate = ledger.given('drive.ratedInputA')
  const naming = named('drive.inputA', 'Input amps the circuit must carry', 'current')
  if (!isKnown(computed) && !isKnown(plate)) return ledger.block(naming, [computed])
  return ledger.derive(rules.circuitCurrent, 'currentA', naming, {
    computedA: isKnown(computed) ? computed : undefined,
    plateInputA: isKnown(plate) ? plate : undefined,
  })
}
