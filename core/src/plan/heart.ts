import type { SettingId } from '../stages/settingTable'
import { settingHearts } from '../stages/settingTable'
import { hasField } from './fieldAt'
import type { Plan } from './plan'
import { perPath } from './perPath'
import type { PlanPath } from './planPath'
import type { Heart } from '../stages/hearts'

/**
 * What turns the machine: a three-phase motor on a drive, a DC motor and its drive, or a motor with a driver of its own.
 * A motor that does not say its kind yet is held as a three-phase motor is.
 *
 * @example heartOf({ motor: { kind: 'dc' } }) // 'dc'
 */
export const heartOf = ({ motor: { kind } }: { motor: Pick<Plan['motor'], 'kind'> }): Heart =>
  kind === 'dc' ? 'dc' : kind === 'brushless' || kind === 'servo' ? 'driver' : 'inverter'

/** Whether a DC motor's field is a winding that is fed by itself; one that is not told is taken for such a one. */
export const hasFedField = ({ motor: { fieldKind } }: { motor: Pick<Plan['motor'], 'fieldKind'> }): boolean =>
  fieldKind !== 'magnets' && fieldKind !== 'series'

/** Fields and sections that only some hearts have. */
const OF_SOME: readonly (readonly [RegExp, readonly Heart[]])[] = [
  [/^dcDrive(?:\.|$)/, ['dc']],
  [/^driver(?:\.|$)/, ['driver']],
  // The DC motor’s plate stands once: on Motor where it is the motor, on Route where another takes its place.
  [/^route\.dc(?:PowerW|BaseRpm|TopRpm)$/, ['inverter', 'driver']],
  [/^route\.ac(?:PowerW|Rpm)$/, ['dc', 'driver']],
  [/^wiring\.motorShield$/, ['inverter', 'driver']],
  // Made of mains into hertz, or chopped on to three windings.
  [
    /^(?:drive\.(?:control|doubler|singlePhase\w+|filterLink|filterFarad|riseS|busFarad|tripV|chopperV|brakeChopper|minimumOhm|resistor|maximumHz|carrierHz|ratedCarrierHz)|controls\.knobTopHz|installation\.outputFilter|wiring\.(?:motors|motorConnector|pin[A-Z]\w*|motorEarthInside))(?:\.|$)/,
    ['inverter'],
  ],
]

const SETTING = /^settings\.(?:chosen|inDrive)\.(\w+)$/

const ALL: readonly Heart[] = ['inverter', 'dc', 'driver']

/** The hearts that have a field, and whether it is only of a motor for hundreds of hertz. */
const ownersOf = perPath((path) => {
  const setting = SETTING.exec(path)?.[1]
  const hearts =
    setting === undefined
      ? ALL.filter((heart) => OF_SOME.every(([pattern, these]) => these.includes(heart) || !pattern.test(path)))
      : settingHearts(setting as SettingId)
  return { hearts, ofHighFrequency: /^highFrequency(?:\.|$)/.test(path) }
})

/** Whether what turns this machine has such a field at all. */
export function isOfHeart(plan: Plan, path: PlanPath): boolean {
  const { hearts, ofHighFrequency } = ownersOf(path)
  return ofHighFrequency ? plan.motor.kind === 'high-frequency' : hearts.includes(heartOf(plan))
}

/** Whether the motor's kind has a field, by its schema, and what turns the machine has it. */
export const isOfMachine = (plan: Plan, path: PlanPath): boolean => hasField(plan, path) && isOfHeart(plan, path)
