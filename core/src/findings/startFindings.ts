import type { Facts } from '../facts/facts'
import { good, lacks } from './answer'
import { numberOf } from '../facts/figure'
import { actingValue } from '../facts/settings/settingsFacts'
import { lowestSpindleLimit } from '../facts/spindle/spindleLimits'
import { set } from '../plan'
import { rpm, message } from '../quantities'
import { forSeconds } from './coasting'
import { judgement, type Answer } from './finding'

function startSpeed(facts: Facts): Answer {
  const mode = actingValue(facts.settings.lines, 'startSpeed')
  if (mode === undefined) return lacks('settings.chosen.startSpeed')
  const { settings } = facts.plan
  if (mode !== 'last' && mode !== 'knob' && mode !== 'fixed') {
    if (settings.inDrive.startSpeed === undefined && settings.state !== 'entered')
      return lacks(settings.state === undefined ? 'settings.state' : 'settings.inDrive.startSpeed')
    return good(message`From the lowest.`)
  }
  const top = numberOf(facts.speeds.main?.unloadedTopRpm)
  const limit = lowestSpindleLimit(facts.plan)
  const fixedHz = facts.plan.settings.inDrive.fixedStartHz
  const maxHz = numberOf(facts.settings.maximumHz)
  const reaches = mode === 'fixed' ? (fixedHz !== undefined && maxHz && top ? (top * fixedHz) / maxHz : undefined) : top
  const slowest = facts.speeds.jobs
    .map((j) => numberOf(j.wantedRpm))
    .filter((n) => n !== undefined)
    .sort((a, b) => a - b)[0]
  const over = reaches !== undefined && limit !== undefined && reaches > limit.rpm
  if (mode === 'fixed' && reaches !== undefined && !over && (slowest === undefined || reaches <= slowest))
    return good(message`${rpm(reaches)}, a fixed speed.`)
  const how = { last: 'at the last speed used', knob: 'at wherever the knob stands', fixed: 'at a fixed speed' }[mode]
  return {
    severity: over ? 'stop' : 'watch',
    about: mode,
    title: message`RUN starts it ${how}`,
    says: message`${reaches === undefined ? 'How fast that is, is not known.' : message`That may be ${rpm(reaches)}.`}${limit ? message` ${limit.what.charAt(0).toUpperCase()}${limit.what.slice(1)} allows ${rpm(limit.rpm)}.` : ''}${slowest === undefined ? '' : message` The slowest job wants ${rpm(slowest)}.`}`,
    why: 'After a change of chuck or work the old speed may be far too fast for the new one.',
    remedies: [
      {
        label: message`Start from the lowest`,
        patch: [
          set('settings.chosen.startSpeed', undefined),
          set('settings.inDrive.startSpeed', mode === facts.plan.settings.inDrive.startSpeed ? 'lowest' : undefined),
        ],
      },
    ],
    path: 'settings.inDrive.startSpeed',
  }
}

function restart(facts: Facts): Answer {
  const { plan, settings } = facts
  const why = 'When the power comes back the spindle starts with nobody at the machine, or with a hand in it.'
  if (actingValue(settings.lines, 'restart') === 'runs-again')
    return {
      severity: 'stop',
      about: 'setting',
      title: message`It restarts by itself after a power cut`,
      says: message`The drive is set to run again when the supply returns.`,
      why,
      remedies: [
        {
          label: message`Wait for a new RUN`,
          patch: [
            set('settings.chosen.restart', undefined),
            set('settings.inDrive.restart', plan.settings.inDrive.restart === undefined ? undefined : 'wait-for-run'),
          ],
        },
      ],
      path: 'settings.inDrive.restart',
    }
  const unread =
    plan.settings.inDrive.restart === undefined && plan.settings.state !== 'entered'
      ? lacks(plan.settings.state === undefined ? 'settings.state' : 'settings.inDrive.restart')
      : undefined
  if (plan.controls.runBy === undefined) return lacks('controls.runBy')
  if (plan.controls.runBy !== 'maintained')
    return unread ?? good(message`It waits for a new RUN, and no switch stays at it.`)
  const buttons = { label: message`Use start and stop buttons`, patch: [set('controls.runBy', 'momentary')] }
  const lockout = plan.drive.lineStartLockout
  if (lockout === false)
    return {
      severity: 'stop',
      about: 'no-lockout',
      title: message`It restarts by itself after a power cut`,
      says: message`The switch stays at RUN and the drive has no line-start lockout.`,
      why,
      remedies: [buttons],
      path: 'controls.runBy',
    }
  if (lockout === undefined)
    return {
      severity: 'stop',
      about: 'unknown-lockout',
      title: message`It may restart by itself after a power cut`,
      says: message`The switch stays at RUN; whether the drive has line-start lockout is not known.`,
      why,
      remedies: [
        { label: message`It has lockout, and it is on`, patch: [set('drive.lineStartLockout', true)] },
        buttons,
      ],
      path: 'controls.runBy',
    }
  return unread ?? good(message`The switch stays at RUN, and line-start lockout waits until it is opened and closed.`)
}

/** What sets it going, and how fast. */
export const startFindings = [
  judgement(
    {
      id: 'controls.main-switch-runs',
      asks: 'Main switch used to run',
      stage: 'settings',
      chainLink: 'drive',
      by: 'first-spin',
      danger: true,
    },
    ({ plan, settings }) => {
      const { runBy, stopBy } = plan.controls
      if (runBy !== 'main-switch' && stopBy !== 'main-switch') {
        if (runBy === undefined) return lacks('controls.runBy')
        return stopBy === undefined ? lacks('controls.stopBy') : good(message`It only isolates.`)
      }
      const restarts = actingValue(settings.lines, 'restart') === 'runs-again' || plan.drive.lineStartLockout === false
      return {
        severity: restarts ? 'stop' : 'watch',
        title: message`The main switch is used to run and stop`,
        says: restarts
          ? message`Switched off so, the spindle coasts${forSeconds(plan)}; switched on, it starts by itself.`
          : message`Switched off so, the spindle coasts${forSeconds(plan)}; switched on, it waits for a new RUN${plan.drive.lineStartLockout === true ? '' : message`, as far as is known`}.`,
        why: 'Each switching charges the drive’s capacitors anew and wears its input: one to two minutes between, a few an hour. The main switch isolates, nothing else.',
        remedies: [
          {
            label: message`Use start and stop buttons`,
            patch: [set('controls.runBy', 'momentary'), set('controls.stopBy', 'stop-button')],
          },
        ],
        path: 'controls.runBy',
      }
    },
  ),

  judgement(
    {
      id: 'controls.restart',
      asks: 'After a power cut',
      stage: 'settings',
      chainLink: 'drive',
      by: 'first-spin',
      danger: true,
    },
    restart,
  ),

  judgement(
    {
      id: 'controls.start-speed',
      asks: 'Speed when RUN is pressed',
      stage: 'settings',
      chainLink: 'spindle',
      by: 'on-machine',
      danger: true,
    },
    startSpeed,
  ),
]
