import { brakeResistor, busCapacitance, busRipple, busThreshold, rampTime, stopWithoutResistor } from '../../drive'
import { coastFriction, coastTwoSpeeds, frictionShare, spindleTorque } from '../../drivetrain'
import type { MeasuredCoast } from '../../measurements/measured'
import { coastOf } from '../../measurements/withMeasured'
import { torqueCapability } from '../../motor'
import type { PlanningValue } from '../../data/planningValues'
import type { Knowing } from '../context'
import { isKnown, numberOf, type FigureState } from '../figure'
import type { FieldFigureId, FigureId } from '../figureId'
import { NO_HERTZ } from '../hearts/motorWithoutHertz'
import { heartOf } from '../../plan'
import { choice, named, unknownField, type Naming } from '../ledger'
import type { MotorFacts } from '../motor/motorKnown'
import type { MotorPhysics } from '../motor/motorPhysics'
import { spinningMass, type SpinningMass } from './spinningMass'
import type { DriveFacts } from './driveFacts'
import type { InstallationFacts } from './installationFacts'
import type { SettingsFacts } from '../settings/settingsFacts'
import type { SpeedFacts } from '../spindle/speedFacts'
import type { SupplyFacts } from '../supply/supplyFacts'

export interface StopFacts extends SpinningMass {
  frictionNm: FigureState
  /** Quickest run-up on the least of the motor's rated torque over the range. */
  rampS: FigureState
  /** Shortest stop that does not trip the drive, without a resistor. */
  stopS: FigureState
  resistorOhm: FigureState
  resistorW: FigureState
  /** What it takes on the average of the stops in an hour. */
  resistorMeanW: FigureState
  /** Most ohms that still take the peak of the deceleration. */
  resistorMostOhm: FigureState
  /** Energy of one stop from full speed. */
  energyJ: FigureState
  /** Between crest and trough of the bus at full load; only on one phase, where the capacitors are known. */
  rippleV: FigureState | undefined
}

type Before = Knowing<{
  motor: MotorFacts
  physics: MotorPhysics
  supply: SupplyFacts
  drive: DriveFacts
  settings: SettingsFacts
  speeds: SpeedFacts
  installation: InstallationFacts
}>

/** Run-up and stop of the heaviest thing the spindle carries, on the position used most. All on the spindle's shaft. */
export function stopFacts(context: Before): StopFacts {
  const { plan, ledger, tables, drive, settings, speeds, supply, installation } = context
  const { planning } = tables
  const mass = spinningMass(context)
  const { inertia } = mass
  const speedRpm: FigureState =
    speeds.main?.unloadedTopRpm ?? unknownField('survey.mainPositionId', 'Position used most')
  const torqueNm = leastTorque(context)
  const frictionNm = friction(context, inertia, speedRpm, speeds.main?.torqueNm ?? torqueNm)
  const shaft = { inertiaKgM2: inertia, speedRpm, frictionNm }
  const typical = (naming: Naming, { value, citation }: PlanningValue): FigureState =>
    ledger.typical(naming, value, citation)
  const capacitance = busFarad(context)
  const threshold = (path: FieldFigureId, naming: Naming, { value }: PlanningValue): FigureState =>
    ledger.givenOr(path, () =>
      ledger.derive(
        busThreshold,
        'thresholdV',
        naming,
        { busV: drive.busV, timesBus: choice(value, 'Times the bus at no load') },
        { planning: true, basis: () => 'typical' },
      ),
    )
  const efficiency = typical(
    named('drive.generatingEfficiency', 'Comes back to the bus', 'fraction'),
    planning.generatingEfficiency,
  )
  const rampS = ledger.derive(rampTime, 'seconds', named('stop.rampS', 'Quickest run-up on rated torque', 'time'), {
    ...shaft,
    torqueNm,
  })
  if (heartOf(plan) !== 'inverter') return { ...mass, frictionNm, rampS, ...withoutBus(context) }
  const stopS = ledger.derive(
    stopWithoutResistor,
    'seconds',
    named('stop.withoutResistorS', 'Shortest stop without a resistor', 'time'),
    {
      ...shaft,
      efficiency,
      busCapacitanceF: capacitance,
      busV: drive.busV,
      tripV: threshold(
        'drive.tripV',
        named('drive.typicalTripV', 'Over-voltage trip', 'voltage'),
        planning.tripOverBus,
      ),
      lossW: standingLoss(context),
      torqueNm,
    },
  )
  const names = {
    suggestedOhm: named('stop.resistorOhm', 'Brake resistor for the deceleration', 'resistance'),
    peakW: named('stop.resistorW', 'It takes at its peak', 'heat'),
    averageW: named('stop.resistorMeanW', 'It takes on the average', 'heat'),
    maxOhm: named('stop.resistorMostOhm', 'Most ohms that take the peak', 'resistance'),
    energyJ: named('stop.energyJ', 'Energy of one stop', 'energy'),
  }
  const braked = ledger.compute(brakeResistor, names, {
    ...shaft,
    stopSeconds: settings.decelerationS,
    efficiency,
    chopperV: threshold(
      'drive.chopperV',
      named('drive.typicalChopperV', 'Chopper works at', 'voltage'),
      planning.chopperOverBus,
    ),
    minOhm: ledger.given('drive.minimumOhm'),
    cycleSeconds: stopCycle(context),
  })
  const { output } = braked
  const suggested = output?.suggestedOhm
  const resistorOhm =
    output && (suggested === undefined || suggested >= THOUSAND)
      ? ledger.block(names.suggestedOhm, [], output.feasible ? NONE_NEEDED : NONE_FITS)
      : braked.suggestedOhm
  const rippleV =
    plan.supply.phases === 1 && plan.drive.busFarad !== undefined
      ? ledger.derive(busRipple, 'rippleV', named('drive.rippleV', 'Ripple of the bus at full load', 'voltage'), {
          inputW: installation.throughW,
          frequencyHz: supply.frequencyHz,
          capacitanceF: capacitance,
          busV: drive.busV,
        })
      : undefined
  return {
    ...mass,
    frictionNm,
    rampS,
    stopS,
    resistorOhm,
    resistorW: braked.peakW,
    resistorMeanW: braked.averageW,
    resistorMostOhm: braked.maxOhm,
    energyJ: braked.energyJ,
    rippleV,
  }
}

/** No bus of a drive for hertz takes up its stop: what it pumps, and into what, is asked of its own kind. */
function withoutBus({ ledger }: Before): Omit<StopFacts, keyof SpinningMass | 'frictionNm' | 'rampS'> {
  const none = (id: FigureId, label: string): FigureState => ledger.block({ id, label }, [], NO_HERTZ)
  return {
    stopS: none('stop.withoutResistorS', 'Shortest stop without a resistor'),
    resistorOhm: none('stop.resistorOhm', 'Brake resistor for the deceleration'),
    resistorW: none('stop.resistorW', 'It takes at its peak'),
    resistorMeanW: none('stop.resistorMeanW', 'It takes on the average'),
    resistorMostOhm: none('stop.resistorMostOhm', 'Most ohms that take the peak'),
    energyJ: none('stop.energyJ', 'Energy of one stop'),
    rippleV: undefined,
  }
}

/** So little comes back that no resistor is worth its lead. */
const THOUSAND = 1000
const NONE_NEEDED = 'None is needed for this deceleration'
export const NONE_FITS =
  'No standard resistor fits between the drive’s smallest and what the peak needs: a longer deceleration'

/** A stop in days is one in so many seconds. */
const SELDOM_S = 1e5

/** From one stop to the next: by the stops an hour that are told, else planned. */
function stopCycle({ plan, ledger, tables }: Before): FigureState {
  const naming = named('stop.cycleS', 'From one stop to the next', 'time')
  const { stopsPerHour } = plan.controls
  if (stopsPerHour !== undefined && stopsPerHour > 0)
    return ledger.stated(naming, Math.min(3600 / stopsPerHour, SELDOM_S), 'given', [
      ledger.given('controls.stopsPerHour'),
    ])
  return ledger.typical(naming, tables.planning.stopCycleS.value, tables.planning.stopCycleS.citation)
}

/** Rated torque at the spindle, or what is left of it at the highest hertz where that is over the base that is set. */
function leastTorque({ plan, ledger, tables, motor, settings, speeds }: Before): FigureState {
  const { main, fluxFraction } = speeds
  if (!main) return unknownField('survey.mainPositionId', 'Position used most')
  const [plateRpm, mostRpm] = [motor.ratedSpeedRpm, settings.mostSpeedRpm].map((f) => f && numberOf(f))
  if (plateRpm !== undefined && mostRpm !== undefined && mostRpm > plateRpm)
    return ledger.derive(
      frictionShare,
      'torqueNm',
      named('stop.leastTorque', 'Least torque of the run-up, at the spindle', 'torque'),
      { torqueNm: main.torqueNm, share: choice(plateRpm / mostRpm, 'Plate’s speed over the most') },
    )
  const [top, base] = [settings.maximumHz, settings.baseFrequencyHz].map((f) => (isKnown(f) ? f.value : undefined))
  if (top === undefined || base === undefined || top <= base) return main.torqueNm
  const { value, citation } = tables.planning.breakdownRatio
  const atTop = ledger.derive(
    torqueCapability,
    'continuousNm',
    named('motor.topTorque', 'Rated torque left at the highest hertz', 'torque'),
    {
      frequencyHz: settings.maximumHz,
      ratedFrequencyHz: settings.baseFrequencyHz,
      ratedTorqueNm: motor.torqueNm,
      breakdownRatio: ledger.givenOr('motor.breakdownRatio', () =>
        ledger.typical(named('motor.pullOut', 'Pull-out over rated torque', 'number'), value, citation),
      ),
      // For seconds its fan does not matter.
      cooling: choice('blower', 'Cooling'),
      fluxFraction: plan.motor.kind === 'high-frequency' ? undefined : fluxFraction,
    },
  )
  return ledger.derive(
    spindleTorque,
    'torqueNm',
    named('stop.leastTorque', 'Least torque of the run-up, at the spindle', 'torque'),
    { torqueNm: atTop, speedRatio: main.speedRatio, efficiency: main.efficiency },
  )
}

/** Share of a motor's no-load loss that is counted on until it is measured. */
const NO_LOAD_COUNTED = 0.5

/** What swallows a stop beside the capacitors: the drive's standing loss, and half of the motor's friction and fan. */
function standingLoss({ ledger, tables, physics }: Before): FigureState {
  const { value, citation } = tables.planning.driveStandingLossW
  const naming = named('stop.lossW', 'Standing loss of drive and motor', 'heat')
  const { rotationalLossW } = physics
  return ledger.typical(
    naming,
    value + NO_LOAD_COUNTED * (rotationalLossW ?? 0),
    rotationalLossW !== undefined
      ? `${citation}; and half of the motor’s friction and fan, until it is measured`
      : citation,
  )
}

/** Bus capacitors as printed, or as drives of that power usually have them. */
const busFarad = ({ plan, ledger, tables }: Before): FigureState =>
  ledger.givenOr('drive.busFarad', () => {
    const naming = named('drive.typicalBusFarad', 'Bus capacitors', 'capacitance')
    const path = plan.drive.powerW === undefined ? 'motor.powerW' : 'drive.powerW'
    const powerW = ledger.given(path)
    if (!isKnown(powerW)) return ledger.block(naming, [unknownField('drive.powerW', 'Drive power')])
    return ledger.derive(
      busCapacitance,
      'capacitanceF',
      naming,
      { powerW, faradPerW: choice(tables.planning.busFaradPerWatt.value, 'Farad for each watt') },
      { planning: true, basis: () => 'typical' },
    )
  })

/** The coast from a lower speed that goes with the one the plan is judged by; none where that one was typed. */
function slowerCoast({ plan, ledger, measured }: Before): MeasuredCoast['slower'] {
  const coastS = ledger.given('survey.coastS')
  return isKnown(coastS) && coastS.basis === 'measured' ? coastOf(plan, measured)?.slower : undefined
}

/** Friction from a timed coast: what brings the inertia to rest in that time; a typical share of torque until then. */
function friction(context: Before, inertia: FigureState, speedRpm: FigureState, torqueNm: FigureState): FigureState {
  const { plan, ledger, tables } = context
  const naming = named('stop.frictionNm', 'Friction on the spindle', 'torque')
  if (plan.survey.coastS !== undefined) {
    const fromRpm = ledger.givenOr('survey.coastFromRpm', () => speedRpm)
    const coastS = ledger.given('survey.coastS')
    const slower = slowerCoast(context)
    if (slower === undefined)
      return ledger.derive(coastFriction, 'torqueNm', naming, { inertiaKgM2: inertia, speedRpm: fromRpm, coastS })
    // Two coasts tell how friction grows with speed, and so what it is from the top.
    return ledger.derive(coastFriction, 'torqueNm', naming, {
      inertiaKgM2: inertia,
      speedRpm,
      coastS: ledger.derive(
        coastTwoSpeeds,
        'coastS',
        named('stop.coastS', 'Coast from the highest speed, by two coasts', 'time'),
        {
          fasterRpm: fromRpm,
          fasterS: coastS,
          slowerRpm: choice(slower.fromRpm, 'Slower coast began at, rpm'),
          slowerS: choice(slower.seconds, 'Slower coast, s'),
          fromRpm: speedRpm,
        },
        { basis: () => 'measured' },
      ),
    })
  }
  return ledger.derive(
    frictionShare,
    'torqueNm',
    naming,
    { torqueNm, share: choice(tables.planning.frictionShare.value, 'Share of torque') },
    { planning: true, basis: () => 'typical' },
  )
}
