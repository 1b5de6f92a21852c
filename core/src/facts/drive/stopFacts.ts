import { brakeResistor, busCapacitance, busRipple, busThreshold, rampTime, stopWithoutResistor } from '../../drive'
import { coastFriction, frictionShare } from '../../drivetrain'
import type { PlanPath } from '../../plan'
import type { PlanningValue } from '../../data/planningValues'
import { cylinderInertia } from '../../workholding'
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
  const { heaviest, inertia } = heaviestHolder(context)
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
  return { heaviest, inertia, frictionNm, rampS, stopS, resistorOhm, resistorW: braked.peakW, rippleV }
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

function heaviestHolder({ plan, ledger }: Before): Pick<StopFacts, 'heaviest' | 'inertia'> {
  const discs = plan.survey.holders.flatMap((holder, index) => {
    const disc =
      holder.diameterMm === undefined || holder.widthMm === undefined
        ? undefined
        : cylinderInertia.run({ outerMm: holder.diameterMm, lengthMm: holder.widthMm })
    return disc?.ok ? [{ index, name: holderName(holder), inertia: disc.value.inertiaKgM2 }] : []
  })
  const heaviest = discs.reduce<(typeof discs)[number] | undefined>(
    (most, d) => (most && most.inertia >= d.inertia ? most : d),
    undefined,
  )
  if (!heaviest)
    return {
      heaviest,
      inertia: ledger.block(named('stop.inertia', 'Inertia on the spindle', 'inertia'), [
        unknownField('survey.holders', 'Size of what spins'),
      ]),
    }
  const { index, name } = heaviest
  const inertia = ledger.derive(
    cylinderInertia,
    'inertiaKgM2',
    named('stop.inertia', `Inertia of ${name}, as a steel disc`, 'inertia'),
    {
      outerMm: ledger.given(`survey.holders.${index}.diameterMm`, `${name}: diameter`),
      lengthMm: ledger.given(`survey.holders.${index}.widthMm`, `${name}: width`),
    },
    // That it is a full disc of steel is a planning value.
    { planning: true },
  )
  return { heaviest, inertia }
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
