import type { Facts } from '../facts/facts'
import { set } from '../plan'
import { message, seconds, type Message } from '../quantities'
import { doesNotApply, good, lacks } from './answer'
import { judgement, type Answer, type Remedy } from './finding'

function emergencyStop({ plan }: Facts): Answer | Answer[] {
  const { emergencyStop: fitted } = plan.controls
  const path = 'controls.emergencyStop'
  const remedies: Remedy[] = [
    ...(plan.drive.safeTorqueOff === false
      ? []
      : [{ label: message`Plan safe torque off`, patch: [set(path, 'safe-torque-off')] }]),
    { label: message`Plan a supply contactor`, patch: [set(path, 'contactor')], mains: true },
  ]
  const { coastS } = plan.survey
  const coasts: Message =
    coastS === undefined
      ? message`How many seconds it then coasts is not known until it is timed.`
      : message`Timed without braking it coasted ${seconds(coastS)}.`
  // How hard it pulls is judged for each thing on the spindle, once its seconds are known.
  const unjudgedThread = plan.survey.spindleNose === 'threaded' && plan.controls.quickRampS === undefined
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
        severity: unjudgedThread ? 'stop' : 'watch',
        about: 'ramp-input',
        title: unjudgedThread
          ? message`A quick emergency ramp on a threaded nose`
          : message`The mushroom ramps through the drive’s program`,
        says: message`A quick ramp stops sooner than a coast while the drive can take the energy; where it trips on over-voltage, it becomes a coast. ${coasts}`,
        why: unjudgedThread
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
      if (plan.drive.safeTorqueOff === false)
        return {
          severity: 'stop',
          about: 'not-there',
          title: message`The drive has no safe torque off`,
          says: message`The emergency stop is planned through it; on an ordinary input a mushroom is only a stop button.`,
          why: 'Pressed, it may do nothing at all. Another drive, or a supply contactor (IEC 60204-1, ISO 13850).',
          remedies,
          path,
        }
      return [coasting(coasts), ...(plan.drive.safeTorqueOff === undefined ? [lacks('drive.safeTorqueOff')] : [])]
    case 'ramp-then-off':
      return unjudgedThread
        ? {
            severity: 'stop',
            about: 'ramp-then-off',
            title: message`A quick emergency ramp on a threaded nose`,
            says: message`How quick it is, is not said yet. ${coasts}`,
            why: 'Stopped too hard, the chuck may unscrew and come off turning. With its seconds the pull is judged.',
            remedies,
            path,
          }
        : good(message`It ramps, and a delay relay then takes the torque away (category 1, IEC 60204-1).`)
    case 'contactor':
      return coasting(coasts)
    case undefined:
      return lacks(path)
  }
}

/** An emergency stop that is one, and what it does not do. */
const coasting = (coasts: Message): Answer => ({
  severity: 'note',
  about: 'coasts',
  title: message`The emergency stop coasts and does not isolate`,
  says: message`It takes the torque away; the spindle runs on. ${coasts}`,
  why: 'The drive stays live and charged. Work on it only dead: off, locked, waited, meter proved, measured, meter proved again.',
  path: 'controls.emergencyStop',
})

/** Whether it stops, how, and what that does to what is on the spindle. */
export const stopFindings = [
  judgement(
    {
      id: 'controls.emergency-stop',
      asks: 'Emergency stop',
      stage: 'settings',
      chainLink: 'spindle',
      by: 'first-spin',
      danger: true,
    },
    emergencyStop,
  ),

  judgement(
    {
      id: 'controls.reset-starts',
      asks: 'Resetting the emergency stop',
      stage: 'settings',
      chainLink: 'spindle',
      by: 'first-spin',
      danger: true,
    },
    ({ plan }) =>
      plan.controls.emergencyStop === 'none'
        ? doesNotApply('There is no emergency stop')
        : plan.controls.resetStarts === true
          ? {
              severity: 'stop',
              title: message`Pulling the mushroom out starts the machine`,
              says: message`Resetting an emergency stop must not start anything.`,
              why: 'The person who resets it may not be the one who knows why it was pressed.',
              remedies: [
                {
                  label:
                    plan.controls.runBy === 'momentary'
                      ? message`Wired so that only RUN starts it, and tried`
                      : message`Use start and stop buttons`,
                  patch: [set('controls.runBy', 'momentary'), set('controls.resetStarts', false)],
                },
              ],
              path: 'controls.resetStarts',
            }
          : plan.controls.resetStarts === undefined
            ? lacks('controls.resetStarts')
            : good(message`It was tried: resetting starts nothing.`),
  ),

  judgement(
    {
      id: 'controls.knob-as-stop',
      asks: 'How it is stopped',
      stage: 'settings',
      chainLink: 'spindle',
      by: 'first-spin',
      danger: true,
    },
    ({ plan }) =>
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
        : plan.controls.stopBy === undefined
          ? lacks('controls.stopBy')
          : good(message`It is not stopped by its knob.`),
  ),
]
