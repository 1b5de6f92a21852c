import { hasFedField, type SettingId } from '../../plan'
import { amps, message, volts } from '../../quantities'
import type { Knowing } from '../context'
import { isKnown, numberOf, type FigureState } from '../figure'
import { awaits, copied, followed, leave } from '../settings/derived'
import type { Derived } from '../settings/settingLine'
import { lowestSpindleLimit } from '../spindle/spindleLimits'
import type { TrainFacts } from '../belts/trainFacts'
import type { MotorFacts } from '../motor/motorFacts'
import type { DcFacts } from './dcFacts'
import type { DriverFacts } from './driverFacts'

/** What the settings of a motor without hertz follow from. */
export type RpmInputs = Knowing<{ motor: MotorFacts; dc?: DcFacts | undefined; driver?: DriverFacts | undefined }> & {
  main: TrainFacts | undefined
}

/** Settings that only motors without hertz have, and what each should be. */
export const rpmDerivations = {
  armatureV: ({ motor, dc }: RpmInputs): Derived => {
    const [plate, gives] = [numberOf(motor.plateVoltageV), numberOf(dc?.outputV)]
    if (plate !== undefined && gives !== undefined && gives < plate)
      return followed(
        gives,
        message`The drive has no more to give; the plate’s volts would be ${volts(plate)}.`,
        motor.plateVoltageV,
      )
    return copied(motor.plateVoltageV, 'The plate’s armature volts, read at the armature on full field.')
  },
  fieldA: ({ plan, ledger }: RpmInputs): Derived =>
    plan.motor.fieldKind === 'magnets'
      ? leave('Its field is magnets.')
      : plan.motor.fieldKind === 'series'
        ? leave('Its field carries the armature’s own amps.')
        : copied(ledger.given('motor.fieldCurrentA'), 'The plate’s field amps: full pull, and base speed.'),
  fieldLossA: ({ plan, ledger, tables }: RpmInputs): Derived => {
    if (!hasFedField(plan)) return leave('No field here is fed by itself.')
    const full = ledger.given('motor.fieldCurrentA')
    if (!isKnown(full)) return copied(full, '')
    const { fieldControl, weakestFieldA } = plan.dcDrive
    if (fieldControl === undefined) return awaits('dcDrive.fieldControl', 'The field is')
    const least = fieldControl === 'fixed' ? full.value : weakestFieldA
    if (least === undefined) return awaits('dcDrive.weakestFieldA', 'Weakest field')
    const { value } = tables.planning.fieldLossShare
    return {
      value: Number((value * least).toPrecision(2)),
      basis: 'typical',
      reason: message`Under the weakest that is wanted, ${amps(least)}, and far above none. Proved by lifting one field lead at least speed, belt off.`,
      from: [full],
    }
  },
  irCompensation: () => leave('None until it is run in: too much and it hunts, or runs off under load.'),
  leastSpeedRpm: ({ plan, motor, tables }: RpmInputs): Derived => {
    const plate = motor.ratedSpeedRpm
    if (!isKnown(plate)) return copied(plate, '')
    const share = plan.motor.kind === 'dc' ? tables.planning.dcLeastSpeedShare : tables.planning.driverLeastSpeedShare
    return { value: Math.round(share.value * plate.value), basis: 'typical', reason: [share.citation], from: [plate] }
  },
  mostSpeedRpm: (inputs: RpmInputs): Derived => mostSpeed(inputs),
} satisfies Partial<Record<SettingId, (s: RpmInputs) => Derived>>

export type RpmSetting = keyof typeof rpmDerivations

/** The lowest of what field or volts reach, what the plate allows, and what spins there. */
function mostSpeed({ plan, motor, dc, driver, main }: RpmInputs): Derived {
  const { ratedSpeedRpm, safeRpm } = motor
  const reach: FigureState = dc?.topRpm ?? driver?.reachesRpm ?? ratedSpeedRpm
  if (!isKnown(ratedSpeedRpm)) return copied(ratedSpeedRpm, '')
  if (dc && !isKnown(reach)) return copied(reach, '')
  const limit = lowestSpindleLimit(plan)
  const ratio = numberOf(main?.speedRatio)
  const ways = [
    // Without the volts for a curve a motor with a driver is kept at its plate.
    { rpm: numberOf(reach) ?? ratedSpeedRpm.value, why: dc ? 'By armature and field.' : 'What its volts reach under load.' },
    ...(isKnown(safeRpm) ? [{ rpm: safeRpm.value, why: 'The plate allows no more.' }] : []),
    ...(limit && ratio !== undefined && ratio > 0
      ? [{ rpm: limit.rpm / ratio, why: `On ${main?.name ?? ''}, ${limit.what} allows no more.` }]
      : []),
  ]
  const least = ways.reduce((a, b) => (b.rpm < a.rpm ? b : a))
  return followed(Math.floor(least.rpm), [least.why], ratedSpeedRpm)
}
