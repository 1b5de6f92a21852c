import { numberOf } from '../facts/figure'
import type { Facts } from '../facts/facts'
import { set, setSetting, type SettingId } from '../plan'
import { amount, amps, hertz, listed, message, seconds } from '../quantities'
import { doesNotApply, good, isUnjudged, lacks, need } from './answer'
import { type Answer } from './finding'
import { read, unread } from './unread'

/** Square of plate amps, times seconds, that a winding takes for once beyond its full load: 1.5 times for two minutes. */
const ONCE_SECONDS = (1.5 ** 2 - 1) * 120

export function dcHold({ plan, motor }: Facts): Answer {
  const { dcStopS, dcStartS, dcA } = plan.settings.inDrive
  const longest = Math.max(dcStopS ?? 0, dcStartS ?? 0)
  if (dcStopS === undefined && dcStartS === undefined) return doesNotApply('No DC was read in the drive')
  if (longest === 0) return good(message`Nothing holds it with DC.`)
  if (dcA === undefined) return lacks('settings.inDrive.dcA')
  const known = need(motor.plateCurrentA)
  if (isUnjudged(known)) return known
  const [plateA] = known
  const heat = (dcA / plateA) ** 2 * longest
  const bears = Math.floor((ONCE_SECONDS / 2) * (plateA / dcA) ** 2)
  if (heat <= ONCE_SECONDS / 2)
    return good(
      message`${amps(dcA)} for ${seconds(longest)}; a winding of ${amps(plateA)} bears ${seconds(Math.min(bears, 600))}.`,
    )
  const id: SettingId = longest === dcStopS ? 'dcStopS' : 'dcStartS'
  return {
    severity: heat > ONCE_SECONDS ? 'stop' : 'watch',
    title: message`DC holds longer than the winding bears`,
    says: message`${amps(dcA)} for ${seconds(longest)} through a winding of ${amps(plateA)} that stands; about ${seconds(bears)} are borne.`,
    why: 'At a stand no fan turns, and the same phases carry it all the while.',
    remedies:
      bears >= 1
        ? [
            {
              label: message`Hold for ${seconds(Math.min(bears, 5))}`,
              patch: [setSetting('inDrive', id, Math.min(bears, 5))],
            },
          ]
        : [],
    path: `settings.inDrive.${id}`,
  }
}

export function overloadKind(facts: Facts): Answer {
  const { plan, settings } = facts
  const held = read(plan, 'overloadCooling')
  const { cooling } = plan.motor
  if (held === 'off')
    return {
      severity: 'stop',
      about: 'off',
      title: message`The motor’s overload is off`,
      says: message`The drive lets any amps through as long as it likes.`,
      why: 'Nothing else protects the winding.',
      remedies:
        cooling === undefined
          ? []
          : [
              {
                label: message`Count on how it is cooled`,
                patch: [setSetting('inDrive', 'overloadCooling', cooling === 'shaft-fan' ? 'shaft-fan' : 'blower')],
              },
            ],
      path: 'settings.inDrive.overloadCooling',
    }
  if (cooling === undefined) return lacks('motor.cooling')
  if (held === undefined) return unread(facts, 'overloadCooling')
  const wanted = cooling === 'shaft-fan' ? 'shaft-fan' : 'blower'
  if (held === wanted)
    return good(message`It counts on ${wanted === 'blower' ? 'a blower' : 'a fan on the shaft'}, as there is.`)
  const lowHz = numberOf(settings.minimumHz)
  return held === 'blower'
    ? {
        severity: 'watch',
        about: 'blower',
        title: message`The overload counts on a blower that is not there`,
        says: message`The fan turns with the shaft${lowHz === undefined ? '' : message`, and at ${hertz(lowHz)} hardly at all`}; the drive allows full amps all day.`,
        why: 'At low hertz the winding burns under a load that the drive takes for harmless.',
        remedies: [
          {
            label: message`Count on the fan of the shaft`,
            patch: [set('settings.inDrive.overloadCooling', 'shaft-fan')],
          },
        ],
        path: 'settings.inDrive.overloadCooling',
      }
    : {
        severity: 'note',
        about: 'fan',
        title: message`The overload counts on a fan of the shaft`,
        says: message`There is a blower: it trips at low hertz where the motor is still cool.`,
        why: 'Nothing burns; it stops cuts that the motor would bear.',
        remedies: [{ label: message`Count on the blower`, patch: [set('settings.inDrive.overloadCooling', 'blower')] }],
        path: 'settings.inDrive.overloadCooling',
      }
}

/** Twice the plate’s amps is what the school of most pull sets. */
const MOST_LIMIT = 2

export function currentLimit(facts: Facts): Answer {
  const { plan, motor } = facts
  const limitA = plan.settings.inDrive.currentLimitA
  if (limitA === undefined) return unread(facts, 'currentLimitA')
  const known = need(motor.plateCurrentA)
  if (isUnjudged(known)) return known
  const [plateA] = known
  const at = (share: number) => ({
    label: message`Set it to ${amps(Math.round(share * plateA * 10) / 10)}`,
    patch: [set('settings.inDrive.currentLimitA', Math.round(share * plateA * 10) / 10)],
  })
  if (limitA > MOST_LIMIT * 1.02 * plateA)
    return {
      severity: 'watch',
      about: 'high',
      title: message`The current limit is above twice the plate`,
      says: message`${amps(limitA)}; the plate is ${amps(plateA)}, and the school of most pull ends at ${amps(MOST_LIMIT * plateA)}.`,
      why: 'A jam drives it through winding and belt until the overload counts to its end.',
      remedies: [at(1.5)],
      path: 'settings.inDrive.currentLimitA',
    }
  if (limitA < 0.98 * plateA)
    return {
      severity: 'watch',
      about: 'low',
      title: message`The current limit is under the plate`,
      says: message`${amps(limitA)} of ${amps(plateA)}: it never gives its rated torque.`,
      why: 'It slows down in a cut that the motor would carry, and no fault is shown.',
      remedies: [at(1)],
      path: 'settings.inDrive.currentLimitA',
    }
  return good(message`${amps(limitA)}, for seconds; the overload stays at the plate’s ${amps(plateA)}.`)
}

export function pullSpoilt(facts: Facts): Answer {
  const { plan } = facts
  const { loadType, energySaver } = plan.settings.inDrive
  const worse = [
    ...(loadType === 'variable' ? [{ id: 'loadType', is: 'constant', words: 'a fan’s curve' } as const] : []),
    ...(energySaver === 'on' ? [{ id: 'energySaver', is: 'off', words: 'an energy saver' } as const] : []),
  ]
  if (worse.length === 0)
    return loadType === undefined ? unread(facts, 'loadType') : good(message`Set for constant torque.`)
  return {
    severity: 'watch',
    title: message`The drive is set for a fan, not for a machine`,
    says: message`It holds ${listed(worse.map(({ words }) => words))}: the volts fall away at low hertz or light load.`,
    why: 'There is no pull where a machine tool wants it, and a cut stalls the spindle.',
    remedies: [{ label: message`Constant torque`, patch: worse.map(({ id, is }) => setSetting('inDrive', id, is)) }],
    path: `settings.inDrive.${worse[0]?.id ?? 'loadType'}`,
  }
}

export function inverted(facts: Facts): Answer {
  const { plan } = facts
  const { reference } = plan.controls
  if (reference === undefined) return lacks('controls.reference')
  if (reference !== 'knob' && reference !== 'analogue') return doesNotApply('No knob or volts give the speed')
  const held = read(plan, 'referenceInvert')
  if (held === undefined) return unread(facts, 'referenceInvert')
  if (held === 'off') return good(message`More volts, more speed.`)
  return {
    severity: 'stop',
    title: message`The speed input is inverted`,
    says: message`No volts are the highest hertz: a wire that comes off runs it as fast as it can.`,
    why: 'A knob that works backwards is mended at its two outer wires, never here.',
    remedies: [{ label: message`Not inverted`, patch: [set('settings.inDrive.referenceInvert', 'off')] }],
    path: 'settings.inDrive.referenceInvert',
  }
}

export function otherHalf(facts: Facts): Answer {
  const { plan } = facts
  const hz = plan.supply.frequencyHz
  if (hz === undefined) return lacks('supply.frequencyHz')
  const held = read(plan, 'mainsHertz')
  const here = hz < 55 ? '50' : '60'
  if (held === undefined) return unread(facts, 'mainsHertz')
  if (held === here) return good(message`Made for ${hertz(hz)}, as here.`)
  return {
    severity: 'watch',
    title: message`The drive is set for the other half of the world`,
    says: message`Its defaults are for ${amount('frequency', Number(held))}; the mains here have ${hertz(hz)}.`,
    why: 'Base hertz, volts and overload of a drive so set are not this motor’s, one by one or all.',
    remedies: [{ label: message`Set for ${hertz(hz)}`, patch: [setSetting('inDrive', 'mainsHertz', here)] }],
    path: 'settings.inDrive.mainsHertz',
  }
}
