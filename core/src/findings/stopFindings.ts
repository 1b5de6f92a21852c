import { planningValues } from '../data/planningValues'
import type { Facts } from '../facts/facts'
import { numberOf } from '../facts/figure'
import { actingValue } from '../facts/settings/settingsFacts'
import { set } from '../plan'
import { newtonMetres, rpm, message, seconds } from '../quantities'
import { unscrew } from '../workholding'
import { judgement, type Verdict } from './finding'

/** A ramp shorter than this on a threaded nose is judged even while nothing was measured. */
const HARD_STOP_S = 5

/** Offered instead: as the plan derives it for a threaded nose. */
const PATIENT_STOP_S = planningValues.threadedRampS.value

function threadedNose(facts: Facts): Verdict | undefined {
  const { plan, settings, speeds } = facts
  if (plan.survey.spindleNose !== 'threaded') return undefined
  const stopMode = actingValue(settings.lines, 'stopMode')
  const slower = (to: number) => ({
    label: message`Set deceleration to ${seconds(to)}`,
    patch: [set('settings.chosen.decelerationS', to), set('settings.inDrive.decelerationS', undefined)],
  })
  const coast = {
    label: message`Let it coast instead`,
    patch: [set('settings.chosen.stopMode', 'coast'), set('settings.inDrive.stopMode', undefined)],
  }
  const why = 'The chuck runs on while the spindle stops, unscrews, and comes off turning.'
  if (stopMode === 'dc-brake')
    return {
      severity: 'stop',
      about: 'dc',
      title: message`A hard brake on a threaded nose`,
      says: message`DC injection stops the spindle as hard as it can; what the chuck’s thread stands is ${plan.survey.seatTorqueNm === undefined ? 'not known' : message`${newtonMetres(plan.survey.seatTorqueNm)}`}.`,
      why,
      remedies: [
        {
          label: message`Ramp down instead`,
          patch: [set('settings.chosen.stopMode', 'ramp'), set('settings.inDrive.stopMode', undefined)],
        },
      ],
      path: 'settings.chosen.stopMode',
    }
  const stopSeconds = numberOf(settings.decelerationS)
  if (stopMode !== 'ramp' || stopSeconds === undefined) return undefined
  const holder = facts.stop.heaviest
  const inertiaKgM2 = numberOf(facts.stop.inertia)
  const top = numberOf(speeds.main?.unloadedTopRpm)
  const seatNm = plan.survey.seatTorqueNm
  const result =
    inertiaKgM2 && top && stopSeconds > 0 ? unscrew.run({ inertiaKgM2, speedRpm: top, stopSeconds, seatNm }) : undefined
  const torque = result?.ok
    ? message` ${holder?.name ?? ''} at ${rpm(top ?? 0)} pulls at its thread with ${newtonMetres(result.value.torqueNm)}.`
    : message` Its pull at the thread is not known: the chuck’s size is missing.`
  if (seatNm !== undefined && result?.ok) {
    const enough = Math.ceil((stopSeconds * result.value.torqueNm) / (seatNm / 2))
    return result.value.permitted
      ? undefined
      : {
          severity: 'stop',
          about: 'measured',
          title: message`The stop is too hard for the thread`,
          says: message`In ${seconds(stopSeconds)}${torque} Half the measured ${newtonMetres(seatNm)} is the most.`,
          why,
          remedies: [slower(enough), coast],
          path: 'settings.chosen.decelerationS',
        }
  }
  if (stopSeconds >= HARD_STOP_S) return undefined
  return {
    severity: 'stop',
    about: 'unmeasured',
    title: message`A hard stop on a threaded nose`,
    says: message`The ramp is ${seconds(stopSeconds)} and the seating torque was never measured.${torque}`,
    why,
    remedies: [slower(PATIENT_STOP_S), coast],
    path: 'settings.chosen.decelerationS',
  }
}

function emergencyStop({ plan }: Facts): Verdict | undefined {
  const { emergencyStop: fitted } = plan.controls
  const path = 'controls.emergencyStop'
  const remedies = [
    { label: message`Plan safe torque off`, patch: [set(path, 'safe-torque-off')] },
    { label: message`Plan a supply contactor`, patch: [set(path, 'contactor')] },
  ]
  const { coastS } = plan.survey
  const coasts =
    coastS === undefined
      ? 'How many seconds it then coasts is not known until it is timed.'
      : message`Timed without braking it coasted ${seconds(coastS)}.`
  switch (fitted) {
    case 'none':
      return {
        severity: 'stop',
        about: 'none',
        title: message`No emergency stop`,
        says: message`Nothing stops the spindle when the usual control cannot be reached or does not answer.`,
        why: 'A hand caught by a machine cannot look for a small button.',
        remedies,
        path,
      }
    case 'stop-input':
      return {
        severity: 'watch',
        about: 'stop-input',
        title: message`The mushroom is only a stop button`,
        says: message`On an ordinary input the drive’s program decides whether and how it stops. ${coasts}`,
        why: 'It is an emergency stop only through safe torque off or a supply contactor (IEC 60204-1, ISO 13850). A ramp that trips on over-voltage becomes a coast.',
        remedies,
        path,
      }
    case 'ramp-input':
      return {
        severity: plan.survey.spindleNose === 'threaded' ? 'stop' : 'watch',
        about: 'ramp-input',
        title:
          plan.survey.spindleNose === 'threaded'
            ? message`A quick emergency ramp on a threaded nose`
            : message`The mushroom ramps through the drive’s program`,
        says: message`A quick ramp stops sooner than a coast while the drive can take the energy; where it trips on over-voltage, it becomes a coast. ${coasts}`,
        why:
          plan.survey.spindleNose === 'threaded'
            ? 'Stopped so hard, the chuck may unscrew and come off turning. Safe torque off lets it coast.'
            : 'It is an emergency stop only as stop category 0 or 1 through safe torque off or a supply contactor (IEC 60204-1, ISO 13850).',
        remedies,
        path,
      }
    case 'coast-input':
      return {
        severity: 'watch',
        about: 'coast-input',
        title: message`The mushroom only lets it coast`,
        says: message`It goes through the drive’s program and takes the drive off; the spindle runs on. ${coasts}`,
        why: 'It is an emergency stop only through safe torque off or a supply contactor (IEC 60204-1, ISO 13850), and even then it does not make the drive safe to touch.',
        remedies,
        path,
      }
    case 'safe-torque-off':
    case 'contactor':
      return {
        severity: 'note',
        about: 'coasts',
        title: message`The emergency stop coasts and does not isolate`,
        says: message`It takes the torque away; the spindle runs on. ${coasts}`,
        why: 'The drive stays live and charged. Work on it only dead: off, locked, waited, meter proved, measured, meter proved again.',
        path,
      }
    default:
      return undefined
  }
}

/** Whether it stops, how, and what that does to what is on the spindle. */
export const stopFindings = [
  judgement('controls.emergency-stop', 'settings', 'spindle', emergencyStop),

  judgement('controls.reset-starts', 'settings', 'spindle', ({ plan }) =>
    plan.controls.resetStarts === true
      ? {
          severity: 'stop',
          title: message`Pulling the mushroom out starts the machine`,
          says: message`Resetting an emergency stop must not start anything.`,
          why: 'The person who resets it may not be the one who knows why it was pressed.',
          remedies: [
            {
              label: message`Use start and stop buttons`,
              patch: [set('controls.runBy', 'momentary'), set('controls.resetStarts', false)],
            },
          ],
          path: 'controls.resetStarts',
        }
      : undefined,
  ),

  judgement('controls.knob-as-stop', 'settings', 'spindle', ({ plan }) =>
    plan.controls.stopBy === 'knob-zero'
      ? {
          severity: 'stop',
          title: message`The knob at zero is not a stop`,
          says: message`With the knob down the RUN command is still live${plan.controls.runLamp ? '' : ', and no lamp shows it'}.`,
          why: 'A touch of the knob, or noise on its wire, turns the spindle.',
          remedies: [
            {
              label: message`Plan a real stop and a run lamp`,
              patch: [set('controls.stopBy', 'stop-button'), set('controls.runLamp', true)],
            },
          ],
          path: 'controls.stopBy',
        }
      : undefined,
  ),

  judgement('controls.threaded-nose-stop', 'settings', 'spindle', threadedNose),

  judgement('controls.threaded-nose-reverse', 'settings', 'spindle', ({ plan }) =>
    plan.survey.spindleNose === 'threaded' &&
    plan.controls.reverseWanted === true &&
    plan.controls.reverseLocked !== true
      ? {
          severity: 'stop',
          title: message`Reverse on a threaded nose without a lock`,
          says: message`In reverse the cut itself unscrews the chuck.`,
          why: 'Only a clamp or key made for it holds a threaded chuck in reverse.',
          remedies: [
            { label: message`Leave reverse out`, patch: [set('controls.reverseWanted', false)] },
            { label: message`The chuck is locked`, patch: [set('controls.reverseLocked', true)] },
          ],
          path: 'controls.reverseLocked',
        }
      : undefined,
  ),
]
