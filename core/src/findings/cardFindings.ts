import { numberOf } from '../facts/figure'
import type { Facts } from '../facts/facts'
import { defaultOf } from '../facts/settings/heldCodes'
import { openSettings } from '../facts/settings/openSettings'
import { rampMeaningOf } from '../facts/settings/rampOfDrive'
import { LONGEST_SILENCE_S } from '../facts/settings/serialSettings'
import { actingValue } from '../facts/settings/settingsFacts'
import { set, setSetting, type Plan, type SettingId } from '../plan'
import { amount, amps, hertz, listed, message, seconds } from '../quantities'
import { settingTable } from '../stages/settingTable'
import { doesNotApply, good, isUnjudged, lacks, need, type CannotBeJudged, type Good } from './answer'
import { judgement, type Answer } from './finding'

/** What is said where a setting was not read: that the card is said to be entered, that it comes as planned, or what to read. */
function unread({ plan, settings }: Facts, id: SettingId): Good | CannotBeJudged {
  const { state } = plan.settings
  if (state === 'entered') return good(message`Entered as on the card.`)
  if (state === undefined) return lacks('settings.state')
  const wanted = settings.lines.find((line) => line.id === id)?.value
  if (wanted !== undefined && wanted === defaultOf(plan, id)) return good(message`So it comes, by its manual.`)
  return lacks(`settings.inDrive.${id}`)
}

const read = (plan: Plan, id: SettingId): string | number | undefined => plan.settings.inDrive[id]

/** A card that was begun and not ended, or a reset in the middle of it. */
function halfWritten({ plan, settings }: Facts): Answer {
  const { entered, state } = plan.settings
  const begun = Object.values(entered ?? {}).some(({ answer }) => answer === 'entered')
  if (!begun) return doesNotApply('No line of the card was ticked')
  if (state === 'entered') return good(message`The whole card is said to be entered.`)
  const open = openSettings(plan, settings.lines)
  const first = open.filter(({ id }) => settingTable[id].firstSpin === true)
  if (first.length > 0)
    return {
      severity: 'stop',
      about: 'first',
      title: message`The card is half entered`,
      says: message`Still to be entered before it turns: ${listed(first.map(({ label }) => label))}.`,
      why: 'Half a card is neither the old settings nor the new: it may start from another place, too fast, or without its overload.',
      toDo: true,
    }
  if (open.length > 0)
    return {
      severity: 'watch',
      about: 'rest',
      title: message`Some lines of the card are open`,
      says: message`What a first spin wants is in. Open: ${listed(open.map(({ label }) => label))}.`,
      why: 'They are wanted before it goes onto the machine.',
      toDo: true,
    }
  return good(message`Every line that was to be entered is.`)
}

/** Seconds of a ramp that count to another end than was thought. */
function rampMeaning({ plan, settings }: Facts): Answer {
  const { accelerationS, decelerationS } = plan.settings.inDrive
  const meaning = rampMeaningOf(plan)
  const [baseHz, topHz] = [numberOf(settings.baseFrequencyHz), numberOf(settings.maximumHz)]
  if (meaning !== undefined) {
    if (meaning === 'grade' && (plan.settings.grades?.length ?? 0) < 2) return lacks('settings.grades')
    const acting = actingValue(settings.lines, 'decelerationS')
    return good(
      typeof acting === 'number'
        ? message`${seconds(acting)} from the highest hertz to standstill, as this drive counts.`
        : message`It is known what they count.`,
    )
  }
  if (accelerationS === undefined && decelerationS === undefined)
    return doesNotApply('No ramp was read in the drive; what is entered is timed at run-in')
  if (baseHz === undefined || topHz === undefined || topHz <= baseHz * 1.05) return lacks('settings.rampMeans')
  const entered = decelerationS ?? accelerationS ?? 0
  return {
    severity: 'note',
    title: message`What its ramps count is not known`,
    says: message`${seconds(entered)} take ${seconds(entered)} if they count to the highest hertz, ${seconds((entered * topHz) / baseHz)} if to base.`,
    why: 'A ramp judged by the wrong end is too short for the belt or the thread, or too long for a stop.',
    remedies: [
      { label: message`They count to the highest hertz`, patch: [set('settings.rampMeans', 'to-maximum')] },
      { label: message`They count to base hertz`, patch: [set('settings.rampMeans', 'to-base')] },
    ],
    path: 'settings.rampMeans',
  }
}

/** A controller that falls silent while the spindle turns. */
function silence(facts: Facts): Answer {
  const { plan } = facts
  const { runBy, reference } = plan.controls
  if (runBy === undefined) return lacks('controls.runBy')
  if (runBy !== 'cnc' || reference !== 'serial') return doesNotApply('It is not run over a serial bus')
  const [does, after] = [read(plan, 'busLossDoes'), plan.settings.inDrive.busLossS]
  if (does === undefined) return unread(facts, 'busLossDoes')
  const remedies = [
    {
      label: message`Stop after ${seconds(LONGEST_SILENCE_S)}`,
      patch: [set('settings.inDrive.busLossDoes', 'stops'), set('settings.inDrive.busLossS', LONGEST_SILENCE_S)],
    },
  ]
  const why = 'Cable out, controller hung or restarted: the spindle turns on with nobody who can stop it over the bus.'
  if (does !== 'stops' || after === 0)
    return {
      severity: 'stop',
      about: 'runs-on',
      title: message`It runs on when the bus falls silent`,
      says:
        after === 0
          ? message`Its time without word is 0: it never counts the line as cut.`
          : message`It is set to run on.`,
      why,
      remedies,
      path: after === 0 ? 'settings.inDrive.busLossS' : 'settings.inDrive.busLossDoes',
    }
  if (after === undefined) return unread(facts, 'busLossS')
  if (after > LONGEST_SILENCE_S)
    return {
      severity: 'stop',
      about: 'late',
      title: message`It notices a silent bus too late`,
      says: message`After ${seconds(after)}; ${seconds(LONGEST_SILENCE_S)} or less is wanted.`,
      why,
      remedies,
      path: 'settings.inDrive.busLossS',
    }
  return good(message`It stops ${seconds(after)} after the last word.`)
}

function thermistor(facts: Facts): Answer {
  const { plan } = facts
  const { thermistorWired } = plan.controls
  if (thermistorWired === undefined) return lacks('controls.thermistorWired')
  if (!thermistorWired || plan.wiring.thermistorOn === 'fault' || plan.wiring.thermistorOn === 'nothing')
    return doesNotApply('Nothing is wired to the thermistor input')
  const held = read(plan, 'thermistorInput')
  if (held === undefined) return unread(facts, 'thermistorInput')
  if (held === 'trips') return good(message`It trips when the winding is hot.`)
  return {
    severity: 'watch',
    title: message`The thermistor is wired and its input is off`,
    says: message`The sensor in the winding goes to the drive, which does not look at it.`,
    why: 'Everybody takes the motor for watched; it burns all the same.',
    remedies: [{ label: message`It trips`, patch: [set('settings.inDrive.thermistorInput', 'trips')] }],
    path: 'settings.inDrive.thermistorInput',
  }
}

const wheels = new Set<Plan['survey']['machineKind']>(['surface-grinder', 'tool-grinder'])

/** A way round that no switch sends, and that what is on the spindle must not see. */
function directions(facts: Facts): Answer {
  const { plan } = facts
  const { reverseWanted, reverseLocked } = plan.controls
  if (reverseWanted === undefined) return lacks('controls.reverseWanted')
  if (reverseWanted) return doesNotApply('It is meant to run in reverse')
  const screwed = plan.survey.spindleNose === 'threaded' && reverseLocked !== true
  const wheel = wheels.has(plan.survey.machineKind)
  if (!screwed && !wheel) return doesNotApply('Nothing on the spindle minds which way it turns')
  const lock = read(plan, 'directionLock')
  if (lock === undefined) return unread(facts, 'directionLock')
  if (lock === 'forward') return good(message`It turns forward only, whatever is pressed.`)
  return {
    severity: screwed ? 'stop' : 'watch',
    title: message`A key or a wrong wire can run it in reverse`,
    says: screwed
      ? message`In reverse the chuck unscrews from its thread.`
      : message`In reverse the wheel’s nut may run loose.`,
    why: 'The plan has no reverse, and the drive still takes one from its keypad or a chafed wire.',
    remedies: [{ label: message`Lock it to forward`, patch: [set('settings.inDrive.directionLock', 'forward')] }],
    path: 'settings.inDrive.directionLock',
  }
}

function knobAtZero(facts: Facts): Answer {
  const { plan } = facts
  const { reference } = plan.controls
  if (reference === undefined) return lacks('controls.reference')
  if (reference !== 'knob' && reference !== 'analogue') return doesNotApply('No knob gives the speed')
  const zero = read(plan, 'knobZero')
  if (zero === undefined) return unread(facts, 'knobZero')
  if (zero === 'lowest') return good(message`At zero it still turns: everybody sees that RUN is on.`)
  return {
    severity: 'watch',
    title: message`At zero of the knob it stands with RUN on`,
    says: message`A spindle that stands so looks stopped. A touch of the knob, or noise on its wire, turns it.`,
    why: 'Hands go to a spindle that stands. A knob at zero is no stop.',
    remedies: [{ label: message`Turn at the lowest hertz there`, patch: [set('settings.inDrive.knobZero', 'lowest')] }],
    path: 'settings.inDrive.knobZero',
  }
}

/** Square of plate amps, times seconds, that a winding takes for once beyond its full load: 1.5 times for two minutes. */
const ONCE_SECONDS = (1.5 ** 2 - 1) * 120

function dcHold({ plan, motor }: Facts): Answer {
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

function overloadKind(facts: Facts): Answer {
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

function currentLimit(facts: Facts): Answer {
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

function pullSpoilt(facts: Facts): Answer {
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

function inverted(facts: Facts): Answer {
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

function otherHalf(facts: Facts): Answer {
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

const here = (
  id: `settings.${string}`,
  asks: string,
  by: 'first-spin' | 'on-machine' | 'in-use',
  ask: (facts: Facts) => Answer,
  danger = false,
) => judgement({ id, asks, stage: 'settings', chainLink: 'drive', by, ...(danger ? { danger } : {}) }, ask)

/** What a drive holds, against what it may hold on this machine. */
export const cardFindings = [
  here('settings.half-written', 'A card entered to its end', 'first-spin', halfWritten, true),
  here('settings.other-half', 'Defaults for these mains', 'first-spin', otherHalf),
  here('settings.inverted', 'Speed input not inverted', 'first-spin', inverted, true),
  here('settings.overload-kind', 'Overload as the motor is cooled', 'first-spin', overloadKind, true),
  here('settings.ramp-meaning', 'What its ramps count', 'on-machine', rampMeaning),
  here('settings.silence', 'A bus that falls silent', 'on-machine', silence, true),
  here('settings.directions', 'Reverse locked out', 'on-machine', directions, true),
  here('settings.knob-zero', 'Knob at zero', 'on-machine', knobAtZero),
  here('settings.dc-hold', 'DC that holds the motor', 'on-machine', dcHold),
  here('settings.current-limit', 'Current limit', 'on-machine', currentLimit),
  here('settings.load-kind', 'Set for a machine’s load', 'on-machine', pullSpoilt),
  here('settings.thermistor', 'Thermistor input', 'in-use', thermistor),
]
