import type { Library } from '../data/planningValues'
import { brakeResistor, busRipple, rampTime, stopWithoutResistor } from '../drive'
import { angularSpeed } from '../drivetrain/angularSpeed'
import type { Plan } from '../plan'
import { cylinderInertia } from '../workholding'
import type { DriveFacts } from './driveFacts'
import { isKnown, numberOf, onPlanning, type Reading } from './figure'
import type { Ledger } from './ledger'
import type { MountFacts } from './mountFacts'
import type { SettingsFacts } from './settingsFacts'
import type { SpeedFacts } from './speedFacts'
import type { SupplyFacts } from './supplyFacts'
import { holderName } from './spindleLimits'

export interface StopFacts {
  /** The heaviest thing on the spindle, as a steel disc. */
  heaviest: { name: string; index: number } | undefined
  inertia: Reading
  frictionNm: Reading
  /** Quickest run-up on the motor's rated torque. */
  rampS: Reading
  /** Shortest stop that does not trip the drive, without a resistor. */
  stopS: Reading
  resistorOhm: Reading
  resistorW: Reading
  /** Between crest and trough of the bus at full load; only on one phase, where the capacitors are known. */
  rippleV: Reading | undefined
}

/** Run-up and stop of the heaviest thing the spindle carries, on the position used most. All on the spindle's shaft. */
export function stopFacts(
  plan: Plan,
  ledger: Ledger,
  library: Library,
  drive: DriveFacts,
  settings: SettingsFacts,
  speeds: SpeedFacts,
  supply: SupplyFacts,
  mount: MountFacts,
): StopFacts {
  const { heaviest, inertia } = heaviestHolder(plan, ledger)
  const speedRpm: Reading = speeds.main?.unloadedTopRpm ?? {
    id: 'survey.mainPositionId',
    label: 'Position used most',
    missing: ['survey.mainPositionId'],
  }
  const torqueNm: Reading = speeds.main?.torqueNm ?? speedRpm
  const frictionNm = friction(plan, ledger, library, inertia, speedRpm, torqueNm)
  const shaft = { inertiaKgM2: inertia, speedRpm, frictionNm }
  const { planning } = library
  const typical = (
    id: string,
    label: string,
    dimension: 'capacitance' | 'voltage' | 'power' | 'fraction' | 'time',
    value: number,
    source: string,
  ): Reading => ledger.typical({ id, label, dimension }, value, source)
  const busV = numberOf(drive.busV) ?? 0
  const driveW = plan.drive.powerW ?? plan.motor.powerW
  const ownOr = (path: 'drive.busFarad' | 'drive.tripV' | 'drive.chopperV', other: () => Reading): Reading => {
    const own = ledger.given(path)
    return isKnown(own) ? own : other()
  }
  const capacitance = ownOr('drive.busFarad', () =>
    driveW === undefined
      ? ledger.block({ id: 'drive.typicalBusFarad', label: 'Bus capacitors' }, [
          { id: 'drive.powerW', label: 'Drive power', missing: ['drive.powerW'] },
        ])
      : typical(
          'drive.typicalBusFarad',
          'Bus capacitors',
          'capacitance',
          driveW * planning.busFaradPerWatt.value,
          planning.busFaradPerWatt.source,
        ),
  )
  const efficiency = typical(
    'drive.generatingEfficiency',
    'Comes back to the bus',
    'fraction',
    planning.generatingEfficiency.value,
    planning.generatingEfficiency.source,
  )
  const { seconds: rampS } = ledger.compute(
    rampTime,
    { seconds: { id: 'stop.rampS', label: 'Quickest run-up on rated torque', dimension: 'time' } },
    { ...shaft, torqueNm },
  )
  const { seconds: stopS } = ledger.compute(
    stopWithoutResistor,
    { seconds: { id: 'stop.withoutResistorS', label: 'Shortest stop without a resistor', dimension: 'time' } },
    {
      ...shaft,
      efficiency,
      busCapacitanceF: capacitance,
      busV: drive.busV,
      tripV: ownOr('drive.tripV', () =>
        typical(
          'drive.typicalTripV',
          'Over-voltage trip',
          'voltage',
          busV * planning.tripOverBus.value,
          planning.tripOverBus.source,
        ),
      ),
      lossW: typical(
        'drive.lossW',
        'Standing loss of the drive',
        'power',
        planning.driveStandingLossW.value,
        planning.driveStandingLossW.source,
      ),
    },
  )
  const minimum = ledger.given('drive.minimumOhm')
  const names = {
    suggestedOhm: {
      id: 'stop.resistorOhm',
      label: 'Brake resistor for the deceleration',
      dimension: 'resistance' as const,
    },
    peakW: { id: 'stop.resistorW', label: 'It takes at its peak', dimension: 'power' as const },
  }
  const braked = ledger.compute(brakeResistor, names, {
    ...shaft,
    stopSeconds: settings.decelerationS,
    efficiency,
    chopperV: ownOr('drive.chopperV', () =>
      typical(
        'drive.typicalChopperV',
        'Chopper works at',
        'voltage',
        busV * planning.chopperOverBus.value,
        planning.chopperOverBus.source,
      ),
    ),
    minOhm: minimum,
    cycleSeconds: typical(
      'stop.cycleS',
      'From one stop to the next',
      'time',
      planning.stopCycleS.value,
      planning.stopCycleS.source,
    ),
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
      ? ledger.compute(
          busRipple,
          { rippleV: { id: 'drive.rippleV', label: 'Ripple of the bus at full load', dimension: 'voltage' } },
          {
            inputW: mount.throughW,
            frequencyHz: supply.frequencyHz,
            capacitanceF: capacitance,
            busV: drive.busV,
          },
        ).rippleV
      : undefined
  return { heaviest, inertia, frictionNm, rampS, stopS, resistorOhm, resistorW: braked.peakW, rippleV }
}

function heaviestHolder(plan: Plan, ledger: Ledger): Pick<StopFacts, 'heaviest' | 'inertia'> {
  const naming = { id: 'stop.inertia', label: 'Inertia on the spindle', dimension: 'inertia' as const }
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
      inertia: ledger.block(naming, [
        { id: 'survey.holders', label: 'Size of what spins', missing: ['survey.holders'] },
      ]),
    }
  const path = `survey.holders.${heaviest.index}`
  const { inertiaKgM2 } = ledger.compute(
    cylinderInertia,
    { inertiaKgM2: { ...naming, label: `Inertia of ${heaviest.name}, as a steel disc` } },
    {
      outerMm: ledger.given(`${path}.diameterMm`, `${heaviest.name}: diameter`),
      lengthMm: ledger.given(`${path}.widthMm`, `${heaviest.name}: width`),
    },
  )
  onPlanning(inertiaKgM2)
  return { heaviest, inertia: inertiaKgM2 }
}

/** Friction from a timed coast: what brings the inertia to rest in that time; a typical share of torque until then. */
function friction(
  plan: Plan,
  ledger: Ledger,
  library: Library,
  inertia: Reading,
  speedRpm: Reading,
  torqueNm: Reading,
): Reading {
  const naming = { id: 'stop.frictionNm', label: 'Friction on the spindle', dimension: 'torque' as const }
  const coastS = plan.survey.coastS
  const { value, source } = library.planning.frictionShare
  if (coastS === undefined)
    return isKnown(torqueNm)
      ? ledger.stated(naming, torqueNm.value * value, 'typical', [torqueNm], source)
      : ledger.block(naming, [torqueNm])
  if (!isKnown(inertia) || !isKnown(speedRpm)) return ledger.block(naming, [inertia, speedRpm])
  return ledger.stated(
    naming,
    (inertia.value * angularSpeed(speedRpm.value)) / coastS,
    'computed',
    [inertia, speedRpm, ledger.given('survey.coastS')],
    'J w / t of the timed coast',
  )
}
