import type { Facts } from '../facts/facts'
import { LONGEST_SILENCE_S } from '../facts/settings/serialSettings'
import { set, type Plan } from '../plan'
import { message, seconds } from '../quantities'
import { doesNotApply, good, lacks } from './answer'
import { type Answer } from './finding'
import { read, unread } from './unread'

/** A controller that falls silent while the spindle turns. */
export function silence(facts: Facts): Answer {
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

export function thermistor(facts: Facts): Answer {
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
export function directions(facts: Facts): Answer {
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

export function knobAtZero(facts: Facts): Answer {
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
