import { brakeResistor, busCapacitance, busRipple, busThreshold, rampTime, stopWithoutResistor } from '../../drive'
import { coastFriction, frictionShare } from '../../drivetrain'
import type { Holder, PlanPath } from '../../plan'
import type { PlanningValue } from '../../data/planningValues'
import { cylinderInertia, massInertia, ringInertia } from '../../workholding'
import type { Knowing } from '../context'
import { isKnown, type FigureState } from '../figure'
import { choice, named, unknownField, type Naming } from '../ledger'
import { holderName } from '../spindle/spindleLimits'
import type { DriveFacts } from './driveFacts'
import type { InstallationFacts } from './installationFacts'
import type { SettingsFacts } from '../settings/settingsFacts'
import type { SpeedFacts } from '../spindle/speedFacts'
import type { SupplyFacts } from '../supply/supplyFacts'

export interface StopFacts {
  /** The heaviest thing on the spindle, as a steel disc. */
  heaviest: { name: string; index: number } | undefined
  inertia: FigureState
  /** Of each thing that may spin, in the order of the plan. */
  holders: FigureState[]
  frictionNm: FigureState
  /** Quickest run-up on the motor's rated torque. */
  rampS: FigureState
  /** Shortest stop that does not trip the drive, without a resistor. */
  stopS: FigureState
  resistorOhm: FigureState
  resistorW: FigureState
  /** Between crest and trough of the bus at full load; only on one phase, where the capacitors are known. */
  rippleV: FigureState | undefined
}

type Before = Knowing<{
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
  const { heaviest, inertia, holders } = heaviestHolder(context)
  const speedRpm: FigureState =
    speeds.main?.unloadedTopRpm ?? unknownField('survey.mainPositionId', 'Position used most')
  const torqueNm: FigureState = speeds.main?.torqueNm ?? speedRpm
  const frictionNm = friction(context, inertia, speedRpm, torqueNm)
  const shaft = { inertiaKgM2: inertia, speedRpm, frictionNm }
  const typical = (naming: Naming, { value, citation }: PlanningValue): FigureState =>
    ledger.typical(naming, value, citation)
  const capacitance = busFarad(context)
  const threshold = (path: PlanPath, naming: Naming, { value }: PlanningValue): FigureState =>
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
      lossW: typical(named('drive.lossW', 'Standing loss of the drive', 'power'), planning.driveStandingLossW),
    },
  )
  const names = {
    suggestedOhm: named('stop.resistorOhm', 'Brake resistor for the deceleration', 'resistance'),
    peakW: named('stop.resistorW', 'It takes at its peak', 'power'),
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
    cycleSeconds: typical(named('stop.cycleS', 'From one stop to the next', 'time'), planning.stopCycleS),
  })
  const fits = braked.output?.suggestedOhm !== undefined
  const resistorOhm =
    braked.output && !fits
      ? ledger.block(
          names.suggestedOhm,
          [],
          braked.output.feasible
            ? 'None is needed for this deceleration'
            : 'No standard resistor fits between the drive’s smallest and what the peak needs: a longer deceleration',
        )
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
  return { heaviest, inertia, holders, frictionNm, rampS, stopS, resistorOhm, resistorW: braked.peakW, rippleV }
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

/** Inertia of one thing that spins, by the way that is chosen: a full disc, its rim, or its mass as a full disc. */
function holderInertia({ ledger }: Before, holder: Holder, index: number): FigureState {
  const name = holderName(holder)
  const path = `survey.holders.${index}` as const
  const outer = ledger.given(`${path}.diameterMm`, `${name}: diameter`)
  const naming = (how: string) => named(`holder.${holder.id}.inertia`, `Inertia of ${name}, ${how}`, 'inertia')
  switch (holder.inertiaFrom) {
    case 'rim':
      return ledger.derive(ringInertia, 'inertiaKgM2', naming('as a rim'), {
        outerMm: outer,
        innerMm: ledger.given(`${path}.boreMm`, `${name}: inside of the rim`),
        lengthMm: ledger.given(`${path}.widthMm`, `${name}: width`),
      })
    case 'mass':
      return ledger.derive(
        massInertia,
        'inertiaKgM2',
        naming('by its mass'),
        { massKg: ledger.given(`${path}.massKg`, `${name}: mass`), outerMm: outer },
        // That it is a full disc is a planning value.
        { planning: true },
      )
    case 'timing':
      return ledger.block(
        naming('by timing'),
        [],
        'Inertia by timing is not worked out yet: choose its size, rim or mass',
      )
    default:
      return ledger.derive(
        cylinderInertia,
        'inertiaKgM2',
        naming('as a steel disc'),
        { outerMm: outer, lengthMm: ledger.given(`${path}.widthMm`, `${name}: width`) },
        // That it is a full disc of steel is a planning value.
        { planning: true },
      )
  }
}

function heaviestHolder(context: Before): Pick<StopFacts, 'heaviest' | 'inertia' | 'holders'> {
  const { plan, ledger } = context
  const holders = plan.survey.holders.map((holder, index) => holderInertia(context, holder, index))
  const naming = named('stop.inertia', 'Inertia on the spindle', 'inertia')
  const known = holders.flatMap((inertia, index) => (isKnown(inertia) ? [{ inertia, index }] : []))
  const most = known.reduce<(typeof known)[number] | undefined>(
    (best, one) => (best && best.inertia.value >= one.inertia.value ? best : one),
    undefined,
  )
  const holder = most && plan.survey.holders[most.index]
  if (!most || !holder)
    return {
      heaviest: undefined,
      holders,
      inertia: ledger.block(naming, [unknownField('survey.holders', 'Size of what spins')]),
    }
  return {
    heaviest: { name: holderName(holder), index: most.index },
    holders,
    inertia: ledger.stated({ ...naming, label: most.inertia.label }, most.inertia.value, 'computed', [most.inertia]),
  }
}

/** Friction from a timed coast: what brings the inertia to rest in that time; a typical share of torque until then. */
function friction(
  { plan, ledger, tables }: Before,
  inertia: FigureState,
  speedRpm: FigureState,
  torqueNm: FigureState,
): FigureState {
  const naming = named('stop.frictionNm', 'Friction on the spindle', 'torque')
  if (plan.survey.coastS !== undefined)
    return ledger.derive(coastFriction, 'torqueNm', naming, {
      inertiaKgM2: inertia,
      speedRpm,
      coastS: ledger.given('survey.coastS'),
    })
  return ledger.derive(
    frictionShare,
    'torqueNm',
    naming,
    { torqueNm, share: choice(tables.planning.frictionShare.value, 'Share of torque') },
    { planning: true, basis: () => 'typical' },
  )
}
