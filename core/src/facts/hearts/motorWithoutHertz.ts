import { dcArmature } from '../../dc'
import { ratedTorque, serviceFactorCurrent } from '../../motor'
import type { Context } from '../context'
import { isKnown, type FigureState } from '../figure'
import type { FigureId } from '../figureId'
import { named } from '../ledger'
import type { MotorFacts } from '../motor/motorKnown'
import { motorEfficiency, typicalMotorEfficiency } from '../../data/motorEfficiency'

/** Said of everything that rests on hertz, of a motor that has none. */
export const NO_HERTZ = 'This motor has no hertz'

/** What the plate of a motor without hertz says, and what follows from it; of a DC motor volts and amps are the armature's. */
export function motorWithoutHertz({ plan, ledger }: Context): MotorFacts {
  const powerW = ledger.given('motor.powerW')
  const ratedSpeedRpm = ledger.given('motor.ratedSpeedRpm')
  const none = (id: FigureId, label: string): FigureState => ledger.block({ id, label }, [], NO_HERTZ)
  const plateVoltageV = copyOf('motor.lowVoltageV', named('motor.plateVoltageV', 'Plate volts', 'voltage'))
  const plateCurrentA = copyOf('motor.lowVoltageA', named('motor.plateCurrentA', 'Plate amps', 'current'))
  function copyOf(path: 'motor.lowVoltageV' | 'motor.lowVoltageA', naming: ReturnType<typeof named>): FigureState {
    const own = ledger.given(path)
    return isKnown(own) ? ledger.stated(naming, own.value, 'given', [own]) : ledger.block(naming, [own])
  }
  const maximum = ledger.given('motor.maximumRpm')
  const safe = named('motor.safeRpm', 'Fastest safe motor speed', 'speed')
  const efficiencyNamed = named('motor.efficiency', 'Motor efficiency', 'fraction')
  const efficiency =
    plan.motor.efficiency !== undefined && plan.overrides.motorEfficiency === undefined
      ? ledger.given('motor.efficiency', 'Motor efficiency')
      : plan.motor.kind === 'dc' && plan.overrides.motorEfficiency === undefined
        ? ledger.derive(dcArmature, 'efficiency', efficiencyNamed, {
            armatureV: plateVoltageV,
            armatureA: plateCurrentA,
            powerW,
            baseRpm: ratedSpeedRpm,
          })
        : isKnown(powerW)
          ? ledger.typical(
              efficiencyNamed,
              typicalMotorEfficiency(powerW.value, undefined),
              motorEfficiency.citation,
              'overrides.motorEfficiency',
            )
          : ledger.block(efficiencyNamed, [powerW])
  return {
    connection: undefined,
    suitable: false,
    plateVoltageV,
    plateCurrentA,
    frequencyHz: none('motor.ratedFrequencyHz', 'Plate hertz'),
    ratedSpeedRpm,
    poles:
      plan.motor.platePoles === undefined
        ? none('motor.poles', 'Poles')
        : ledger.stated(named('motor.poles', 'Poles', 'number'), plan.motor.platePoles, 'given', [
            ledger.given('motor.platePoles'),
          ]),
    synchronousRpm: none('motor.synchronousRpm', 'Synchronous speed'),
    slip: none('motor.slip', 'Slip at full load'),
    torqueNm: ledger.derive(ratedTorque, 'torqueNm', named('motor.torque', 'Rated torque', 'torque'), {
      powerW,
      speedRpm: ratedSpeedRpm,
    }),
    impliedProduct: none('motor.impliedProduct', 'Efficiency times cos phi, from the amps'),
    efficiency,
    serviceFactorA: ledger.derive(
      serviceFactorCurrent,
      'currentA',
      named('motor.serviceFactorA', 'Never-exceed amps', 'current'),
      { currentA: plateCurrentA, serviceFactor: ledger.given('motor.serviceFactor') },
    ),
    // Neither frame nor poles tell how fast an armature or a magnet may turn: the plate does.
    safeRpm: isKnown(maximum)
      ? ledger.stated(safe, maximum.value, 'given', [maximum])
      : isKnown(ratedSpeedRpm)
        ? ledger.stated(safe, ratedSpeedRpm.value, 'given', [ratedSpeedRpm], 'The plate prints no higher speed')
        : ledger.block(safe, [ratedSpeedRpm]),
  }
}
