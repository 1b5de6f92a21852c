import { planningValues } from '../data/planningValues'
import type { Facts } from '../evaluate/facts'
import { numberOf } from '../evaluate/figure'
import { actingValue } from '../evaluate/settingsFacts'
import { holderName, lowestSpindleLimit } from '../evaluate/spindleLimits'
import { fieldAt, set } from '../plan'
import { amount, newtonMetres, printQuantity, rpm, say, seconds } from '../quantities'
import { cylinderInertia, unscrew } from '../workholding'
import { judgement, type Verdict } from './finding'

/** A ramp shorter than this on a threaded nose is judged even while nothing was measured. */
const HARD_STOP_S = 5

/** Offered instead: as the plan derives it for a threaded nose. */
const PATIENT_STOP_S = planningValues.threadedRampS.value

/** The heaviest thing on the spindle, as a steel disc; undefined while no size is known. */
function heaviestHolder({ plan }: Facts): { name: string; inertiaKgM2: number } | undefined {
  return plan.survey.holders.reduce<{ name: string; inertiaKgM2: number } | undefined>((most, holder) => {
    if (holder.diameterMm === undefined || holder.widthMm === undefined) return most
    const disc = cylinderInertia.run({ outerMm: holder.diameterMm, lengthMm: holder.widthMm })
    return disc.ok && disc.value.inertiaKgM2 > (most?.inertiaKgM2 ?? 0) ? { name: holderName(holder), inertiaKgM2: disc.value.inertiaKgM2 } : most
  }, undefined)
}

function threadedNose(facts: Facts): Verdict | undefined {
  const { plan, settings, speeds } = facts
  if (plan.survey.spindleNose !== 'threaded') return undefined
  const stopMode = actingValue(settings.lines, 'stopMode')
  const slower = (to: number) => ({ label: say`Set deceleration to ${seconds(to)}`, patch: [set('settings.chosen.decelerationS', to), set('settings.inDrive.decelerationS', undefined)] })
  const coast = { label: say`Let it coast instead`, patch: [set('settings.chosen.stopMode', 'coast'), set('settings.inDrive.stopMode', undefined)] }
  const why = 'The chuck runs on while the spindle stops, unscrews, and comes off turning.'
  if (stopMode === 'dc-brake')
    return {
      severity: 'stop',
      about: 'dc',
      title: say`A hard brake on a threaded nose`,
      says: say`DC injection stops the spindle as hard as it can; what the chuck’s thread stands is ${plan.survey.seatTorqueNm === undefined ? 'not known' : say`${newtonMetres(plan.survey.seatTorqueNm)}`}.`,
      why,
      remedies: [{ label: say`Ramp down instead`, patch: [set('settings.chosen.stopMode', 'ramp'), set('settings.inDrive.stopMode', undefined)] }],
      path: 'settings.chosen.stopMode',
    }
  const stopSeconds = numberOf(settings.decelerationS)
  if (stopMode !== 'ramp' || stopSeconds === undefined) return undefined
  const holder = heaviestHolder(facts)
  const top = numberOf(speeds.main?.unloadedTopRpm)
  const seatNm = plan.survey.seatTorqueNm
  const result = holder && top && stopSeconds > 0 ? unscrew.run({ inertiaKgM2: holder.inertiaKgM2, speedRpm: top, stopSeconds, seatNm }) : undefined
  const torque = result?.ok ? say` ${holder?.name ?? ''} at ${rpm(top ?? 0)} pulls at its thread with ${newtonMetres(result.value.torqueNm)}.` : say` Its pull at the thread is not known: the chuck’s size is missing.`
  if (seatNm !== undefined && result?.ok) {
    const enough = Math.ceil((stopSeconds * result.value.torqueNm) / (seatNm / 2))
    return result.value.permitted
      ? undefined
      : { severity: 'stop', about: 'measured', title: say`The stop is too hard for the thread`, says: say`In ${seconds(stopSeconds)}${torque} Half the measured ${newtonMetres(seatNm)} is the most.`, why, remedies: [slower(enough), coast], path: 'settings.chosen.decelerationS' }
  }
  if (stopSeconds >= HARD_STOP_S) return undefined
  return { severity: 'stop', about: 'unmeasured', title: say`A hard stop on a threaded nose`, says: say`The ramp is ${seconds(stopSeconds)} and the seating torque was never measured.${torque}`, why, remedies: [slower(PATIENT_STOP_S), coast], path: 'settings.chosen.decelerationS' }
}

function emergencyStop({ plan }: Facts): Verdict | undefined {
  const { emergencyStop: fitted } = plan.controls
  const path = 'controls.emergencyStop'
  const remedies = [
    { label: say`Plan safe torque off`, patch: [set(path, 'safe-torque-off')] },
    { label: say`Plan a supply contactor`, patch: [set(path, 'contactor')] },
  ]
  const coasts = 'How many seconds it then coasts is not known until it is timed.'
  switch (fitted) {
    case 'none':
      return { severity: 'stop', about: 'none', title: say`No emergency stop`, says: say`Nothing stops the spindle when the usual control cannot be reached or does not answer.`, why: 'A hand caught by a machine cannot look for a small button.', remedies, path }
    case 'stop-input':
      return { severity: 'watch', about: 'stop-input', title: say`The mushroom is only a stop button`, says: say`On an ordinary input the drive’s program decides whether and how it stops. ${coasts}`, why: 'It is an emergency stop only through safe torque off or a supply contactor (IEC 60204-1, ISO 13850). A ramp that trips on over-voltage becomes a coast.', remedies, path }
    case 'ramp-input':
      return { severity: plan.survey.spindleNose === 'threaded' ? 'stop' : 'watch', about: 'ramp-input', title: plan.survey.spindleNose === 'threaded' ? say`A quick emergency ramp on a threaded nose` : say`The mushroom ramps through the drive’s program`, says: say`A quick ramp stops sooner than a coast while the drive can take the energy; where it trips on over-voltage, it becomes a coast. ${coasts}`, why: plan.survey.spindleNose === 'threaded' ? 'Stopped so hard, the chuck may unscrew and come off turning. Safe torque off lets it coast.' : 'It is an emergency stop only as stop category 0 or 1 through safe torque off or a supply contactor (IEC 60204-1, ISO 13850).', remedies, path }
    case 'coast-input':
      return { severity: 'watch', about: 'coast-input', title: say`The mushroom only lets it coast`, says: say`It goes through the drive’s program and takes the drive off; the spindle runs on. ${coasts}`, why: 'It is an emergency stop only through safe torque off or a supply contactor (IEC 60204-1, ISO 13850), and even then it does not make the drive safe to touch.', remedies, path }
    case 'safe-torque-off':
    case 'contactor':
      return { severity: 'note', about: 'coasts', title: say`The emergency stop coasts and does not isolate`, says: say`It takes the torque away; the spindle runs on. ${coasts}`, why: 'The drive stays live and charged. Work on it only dead: off, locked, waited, meter proved, measured, meter proved again.', path }
    default:
      return undefined
  }
}

function startSpeed(facts: Facts): Verdict | undefined {
  const mode = actingValue(facts.settings.lines, 'startSpeed')
  if (mode !== 'last' && mode !== 'knob' && mode !== 'fixed') return undefined
  const top = numberOf(facts.speeds.main?.unloadedTopRpm)
  const limit = lowestSpindleLimit(facts.plan)
  const fixedHz = facts.plan.settings.inDrive.fixedStartHz
  const maxHz = numberOf(facts.settings.maximumHz)
  const reaches = mode === 'fixed' ? (fixedHz !== undefined && maxHz && top ? (top * fixedHz) / maxHz : undefined) : top
  const slowest = facts.speeds.jobs.map((j) => numberOf(j.wantedRpm)).filter((n) => n !== undefined).sort((a, b) => a - b)[0]
  const over = reaches !== undefined && limit !== undefined && reaches > limit.rpm
  if (mode === 'fixed' && reaches !== undefined && !over && (slowest === undefined || reaches <= slowest)) return undefined
  const how = { last: 'at the last speed used', knob: 'at wherever the knob stands', fixed: 'at a fixed speed' }[mode]
  return {
    severity: over ? 'stop' : 'watch',
    about: mode,
    title: say`RUN starts it ${how}`,
    says: say`${reaches === undefined ? 'How fast that is, is not known.' : say`That may be ${rpm(reaches)}.`}${limit ? say` ${limit.what.charAt(0).toUpperCase()}${limit.what.slice(1)} allows ${rpm(limit.rpm)}.` : ''}${slowest === undefined ? '' : say` The slowest job wants ${rpm(slowest)}.`}`,
    why: 'After a change of chuck or work the old speed may be far too fast for the new one.',
    remedies: [{ label: say`Start from the lowest`, patch: [set('settings.chosen.startSpeed', undefined), set('settings.inDrive.startSpeed', mode === facts.plan.settings.inDrive.startSpeed ? 'lowest' : undefined)] }],
    path: 'settings.inDrive.startSpeed',
  }
}

function restart(facts: Facts): Verdict | undefined {
  const { plan, settings } = facts
  const why = 'When the power comes back the spindle starts with nobody at the machine, or with a hand in it.'
  if (actingValue(settings.lines, 'restart') === 'runs-again')
    return {
      severity: 'stop',
      about: 'setting',
      title: say`It restarts by itself after a power cut`,
      says: say`The drive is set to run again when the supply returns.`,
      why,
      remedies: [{ label: say`Wait for a new RUN`, patch: [set('settings.chosen.restart', undefined), set('settings.inDrive.restart', plan.settings.inDrive.restart === undefined ? undefined : 'wait-for-run')] }],
      path: 'settings.inDrive.restart',
    }
  if (plan.controls.runBy !== 'maintained') return undefined
  const buttons = { label: say`Use start and stop buttons`, patch: [set('controls.runBy', 'momentary')] }
  const lockout = plan.drive.lineStartLockout
  if (lockout === false)
    return { severity: 'stop', about: 'no-lockout', title: say`It restarts by itself after a power cut`, says: say`The switch stays at RUN and the drive has no line-start lockout.`, why, remedies: [buttons], path: 'controls.runBy' }
  if (lockout === undefined)
    return { severity: 'stop', about: 'unknown-lockout', title: say`It may restart by itself after a power cut`, says: say`The switch stays at RUN; whether the drive has line-start lockout is not known.`, why, remedies: [{ label: say`It has lockout, and it is on`, patch: [set('drive.lineStartLockout', true)] }, buttons], path: 'drive.lineStartLockout' }
  return undefined
}

export const controlFindings = [
  judgement('controls.emergency-stop', 'settings', 'spindle', emergencyStop),

  judgement('controls.reset-starts', 'settings', 'spindle', ({ plan }) =>
    plan.controls.resetStarts === true
      ? { severity: 'stop', title: say`Pulling the mushroom out starts the machine`, says: say`Resetting an emergency stop must not start anything.`, why: 'The person who resets it may not be the one who knows why it was pressed.', remedies: [{ label: say`Use start and stop buttons`, patch: [set('controls.runBy', 'momentary'), set('controls.resetStarts', false)] }], path: 'controls.resetStarts' }
      : undefined,
  ),

  judgement('controls.knob-as-stop', 'settings', 'spindle', ({ plan }) =>
    plan.controls.stopBy === 'knob-zero'
      ? {
          severity: 'stop',
          title: say`The knob at zero is not a stop`,
          says: say`With the knob down the RUN command is still live${plan.controls.runLamp ? '' : ', and no lamp shows it'}.`,
          why: 'A touch of the knob, or noise on its wire, turns the spindle.',
          remedies: [{ label: say`Plan a real stop and a run lamp`, patch: [set('controls.stopBy', 'stop-button'), set('controls.runLamp', true)] }],
          path: 'controls.stopBy',
        }
      : undefined,
  ),

  judgement('controls.main-switch-runs', 'settings', 'drive', ({ plan }) => {
    const { runBy, stopBy } = plan.controls
    if (runBy !== 'main-switch' && stopBy !== 'main-switch') return undefined
    return {
      severity: 'stop',
      title: say`The main switch is used to run and stop`,
      says: say`Switched off so, the spindle coasts; switched on, it may start by itself.`,
      why: 'Each switching charges the drive’s capacitors anew and wears its input: one to two minutes between, a few an hour. The main switch isolates, nothing else.',
      remedies: [{ label: say`Use start and stop buttons`, patch: [set('controls.runBy', 'momentary'), set('controls.stopBy', 'stop-button')] }],
      path: 'controls.runBy',
    }
  }),

  judgement('controls.restart', 'settings', 'drive', restart),
  judgement('controls.threaded-nose-stop', 'settings', 'spindle', threadedNose),

  judgement('controls.threaded-nose-reverse', 'settings', 'spindle', ({ plan }) =>
    plan.survey.spindleNose === 'threaded' && plan.controls.reverseWanted === true && plan.controls.reverseLocked !== true
      ? {
          severity: 'stop',
          title: say`Reverse on a threaded nose without a lock`,
          says: say`In reverse the cut itself unscrews the chuck.`,
          why: 'Only a clamp or key made for it holds a threaded chuck in reverse.',
          remedies: [{ label: say`Leave reverse out`, patch: [set('controls.reverseWanted', false)] }, { label: say`The chuck is locked`, patch: [set('controls.reverseLocked', true)] }],
          path: 'controls.reverseLocked',
        }
      : undefined,
  ),

  judgement('controls.start-speed', 'settings', 'spindle', startSpeed),

  judgement('settings.middle-point', 'settings', 'drive', ({ plan, motor }) => {
    const { middleHz, middleV } = plan.settings.inDrive
    const [plateV, plateHz] = [numberOf(motor.plateVoltageV), numberOf(motor.frequencyHz)]
    if (middleHz === undefined || middleV === undefined || plateV === undefined || plateHz === undefined || middleHz >= plateHz) return undefined
    const line = (plateV * middleHz) / plateHz
    const k = middleV / line
    if (k >= 0.9 && k <= 1.1) return undefined
    return {
      severity: k > 1.1 ? 'stop' : 'watch',
      title: say`The V/f middle point is off this motor’s line`,
      says: say`At ${amount('frequency', middleHz)} it holds ${amount('voltage', middleV)}; the plate’s straight line gives ${amount('voltage', line)}. It looks like a point for other mains.`,
      why: k > 1.1 ? 'Too many volts in mid-range saturate the iron and heat the motor.' : 'Too few volts in mid-range lose torque there.',
      remedies: [{ label: say`Put it on the line: ${amount('voltage', Math.round(line))}`, patch: [set('settings.inDrive.middleV', Math.round(line))] }],
      path: 'settings.inDrive.middleV',
    }
  }),

  judgement('settings.command-source', 'settings', 'drive', ({ settings }) => {
    const line = settings.lines.find((l) => l.id === 'commandSource')
    if (line?.inDrive === undefined || line.value === undefined || line.inDrive === line.value) return undefined
    return {
      severity: 'watch',
      title: say`The drive listens to something else`,
      says: say`It takes RUN from ${printSetting('commandSource', line.inDrive)}; the plan runs it from ${printSetting('commandSource', line.value)}.`,
      why: 'Nothing will happen on RUN.',
      remedies: [{ label: say`Entered: ${printSetting('commandSource', line.value)}`, patch: [set('settings.inDrive.commandSource', line.value)] }],
      path: 'settings.inDrive.commandSource',
    }
  }),

  judgement('settings.differs-from-card', 'settings', 'drive', ({ settings }) => {
    const judgedElsewhere = new Set(['overloadA', 'commandSource', 'restart', 'startSpeed', 'stopMode'])
    const off = settings.lines.filter((l) => !judgedElsewhere.has(l.id) && l.inDrive !== undefined && l.value !== undefined && differs(l.inDrive, l.value))
    if (off.length === 0) return undefined
    return {
      severity: 'watch',
      title: say`The drive differs from the card`,
      says: [off.map((l) => `${l.label}: drive ${printSetting(l.id, l.inDrive ?? '')}, card ${printSetting(l.id, l.value ?? '')}`).join('. ') + '.'],
      why: 'What the drive holds is what counts. Read every value back after entry.',
      remedies: [{ label: say`Entered as on the card`, patch: off.map((l) => set(`settings.inDrive.${l.id}`, l.value)) }],
    }
  }),
]

const differs = (a: number | string, b: number | string): boolean => (typeof a === 'number' && typeof b === 'number' ? Math.abs(a - b) > 0.02 * Math.max(Math.abs(a), Math.abs(b)) : a !== b)

function printSetting(id: string, value: number | string): string {
  const field = fieldAt(`settings.chosen.${id}`)
  if (typeof value === 'number') return field?.dimension ? printQuantity({ value, dimension: field.dimension }) : String(value)
  return field?.options?.[value]?.toLowerCase() ?? value
}
