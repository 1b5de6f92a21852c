import { hasFedField, type SettingId } from '../../plan'
import { amps, message, volts } from '../../quantities'
import type { Knowing } from '../context'
import { isKnown, numberOf } from '../figure'
import { mostSpeed as mostSpeedRule } from '../../motor'
import { awaits, copied, followed, leave } from '../settings/derived'
import type { Derived } from '../settings/settingLine'
import { lowestSpindleLimit } from '../spindle/spindleLimits'
import type { TrainFacts } from '../belts/trainFacts'
import type { MotorFacts } from '../motor/motorKnown'
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

const ends = {
  reach: (dc: boolean) => (dc ? 'By armature and field.' : 'What its volts reach under load.'),
  plate: () => 'The plate allows no more.',
  spindle: () => 'What spins there allows no more.',
} as const

/** The lowest of what field or volts reach, what the plate allows, and what spins there. */
function mostSpeed({ plan, ledger, motor, dc, driver, main }: RpmInputs): Derived {
  const { ratedSpeedRpm, safeRpm } = motor
  if (!isKnown(ratedSpeedRpm)) return copied(ratedSpeedRpm, '')
  if (dc && !isKnown(dc.topRpm)) return copied(dc.topRpm, '')
  // Without the volts for a curve a motor with a driver is kept at its plate.
  const reaches = dc?.topRpm ?? (driver && isKnown(driver.reachesRpm) ? driver.reachesRpm : ratedSpeedRpm)
  const limit = lowestSpindleLimit(plan)
  const ratio = numberOf(main?.speedRatio)
  const inputs = {
    reachesRpm: reaches,
    safeRpm: isKnown(safeRpm) ? safeRpm : undefined,
    spindleRpm:
      limit && main && ratio !== undefined && ratio > 0
        ? {
            raw: limit.rpm / ratio,
            shown: `${limit.what} on ${main.name}`,
            label: 'Spindle at its limit',
            from: [main.speedRatio],
          }
        : undefined,
  }
  const found = mostSpeedRule.run({
    reachesRpm: numberOf(reaches),
    safeRpm: numberOf(safeRpm),
    spindleRpm: inputs.spindleRpm?.raw,
  })
  if (!found.ok) return { basis: 'computed', reason: ['Cannot be told from this plate.'], from: [reaches] }
  return {
    value: found.value.speedRpm,
    basis: 'computed',
    reason: [ends[found.value.limit](dc !== undefined)],
    from: [reaches],
    book: (naming) => ledger.derive(mostSpeedRule, 'speedRpm', naming, inputs),
  }
}
