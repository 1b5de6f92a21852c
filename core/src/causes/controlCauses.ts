import { cause, type Causes } from './causes'

/** Of commands that do nothing, or what nobody commanded. */
export const controlCauses: Causes<'nothing-on-run' | 'takes-no-value' | 'starts-itself' | 'readout' | 'axis-waits'> = {
  'nothing-on-run': ({ plan }) => {
    return [
      cause(
        'command',
        0.6,
        'It listens to something else',
        'Settings, Nothing on RUN: the fewest questions.',
        'Command source as the card has it.',
      ),
      cause(
        'enable',
        plan.drive.safeTorqueOff === true || plan.controls.emergencyStop === 'safe-torque-off' ? 0.5 : 0.3,
        'Its enable or safe torque off is open',
        'What does its display say?',
        'Mushroom out, guard shut, links in.',
      ),
      cause(
        'reference',
        0.4,
        'The speed it is asked for is nothing',
        'Does RUN light while its speed stays at nothing?',
        'Reference source, knob wiring.',
      ),
    ]
  },
  'takes-no-value': () => {
    return [
      cause('running', 0.4, 'It runs, or RUN is closed', 'RUN open, isolator off and on.', 'Enter it standing.'),
      cause(
        'lock',
        0.5,
        'A lock or an advanced menu is shut',
        'Its manual’s unlock code.',
        'Settings, the line’s Refused: each reason with what clears it.',
      ),
      cause('order', 0.4, 'Another must be set first', 'The card’s order.', 'As the card lists them.'),
    ]
  },
  'starts-itself': ({ plan, set }) => {
    return [
      cause(
        'lockout',
        plan.drive.lineStartLockout === true ? 0.2 : 0.7,
        'A switch that stays, and no line-start lockout',
        'RUN closed, power off and on, belt off, clamped: does it start?',
        'Line-start lockout on, or buttons.',
      ),
      cause(
        'restart',
        set('restart') === 'off' ? 0.15 : 0.6,
        'Restart after a power cut is on',
        'Read it back.',
        'Off.',
      ),
      cause('timer', 0.3, 'A timer, sleep and wake, or a remembered jog', 'Read each back.', 'Off.'),
    ]
  },
  readout: ({ plan }) => {
    return [
      cause(
        'shield',
        plan.wiring.motorShield === 'both' ? 0.2 : 0.6,
        'The motor cable’s shield is not landed all round at both ends',
        'Look at both glands, dead.',
        'Clamp it all round at drive and motor.',
      ),
      cause(
        'earth',
        0.4,
        'Readout and drive are earthed apart',
        'Ohms between their frames, dead.',
        'One bar, short and thick.',
      ),
      cause(
        'near',
        0.4,
        'Its lead lies beside the motor’s',
        'Lift it away: gone?',
        'A hand’s breadth apart; cross at right angles.',
      ),
    ]
  },
  'axis-waits': () => {
    return [
      cause(
        'pulse',
        0.5,
        'The controller waits for a spindle pulse or for at speed',
        'A move in a mode that waits for nothing.',
        'Wire the pulse, or feed per minute.',
      ),
      cause(
        'enable',
        0.4,
        'Its driver is not enabled, or alarms',
        'Its lamps; does the shaft hold?',
        'Enable polarity; clear the alarm.',
      ),
      cause('hold', 0.3, 'Feed hold, or an override at nothing', 'Look at the controller.', 'Release it.'),
    ]
  },
}
