import { setSetting, type Patch, type Plan } from '../../plan'
import type { Possibility } from './narrow'

/** One reason for which nothing happens on RUN, and what to do. */
export interface RunCause extends Possibility {
  says: string
  does: string
  /** What is known of the drive then. */
  patch?: Patch
}

const DEAD = 'Power off, locked, waited, measured first.'

/** Everything that may be behind it on this plan and this drive. */
export function causesOf(plan: Plan): RunCause[] {
  const { controls, manual, wiring, settings } = plan
  const does = new Set((manual?.terminals ?? []).flatMap((t) => t.does ?? []))
  const has = (...functions: Parameters<typeof does.has>[0][]): boolean => functions.some((f) => does.has(f))
  // A manual of which terminals are known rules out what it has not.
  const known = (manual?.terminals.length ?? 0) > 6
  const held = settings.inDrive.commandSource
  const keypadPlanned = controls.runBy === 'keypad'
  const causes: (RunCause | false)[] = [
    {
      id: 'no-power',
      weight: 3,
      says: 'It has no power, or its bus is too low.',
      does: 'Isolator, fuse, breaker, jumper of the input volts; the supply measured at its own terminals, covers on.',
      allows: { display: ['dark', 'low'], key: ['nothing'], speed: ['nothing'], meter: ['nothing'], motor: ['stands'] },
    },
    {
      id: 'trip',
      weight: 6,
      says: 'A trip stands.',
      does: 'Write its code down, look for its cause in the fault list, clear it with RUN open.',
      allows: { display: ['fault'], key: ['nothing'], motor: ['stands'], again: ['nothing'] },
    },
    held !== 'terminals' &&
      !keypadPlanned && {
        id: 'keypad-source',
        weight: 10,
        says: 'It listens to its keypad, not to its terminals.',
        does: 'Enter where RUN comes from, as on the card, with RUN open.',
        patch: [setSetting('inDrive', 'commandSource', 'keypad')],
        allows: {
          display: ['ready', 'set'],
          key: ['runs'],
          meter: ['changes'],
          motor: ['stands'],
          again: ['nothing'],
          local: ['nothing', 'no-key'],
        },
      },
    !keypadPlanned && {
      id: 'local-key',
      weight: 6,
      says: 'A key holds it at its keypad, though its settings name the terminals.',
      does: `Press ${manual?.localKey?.prints ?? 'the key that changes between keypad and terminals'}; set what it obeys after power.`,
      patch: [{ path: 'settings.keyState', value: 'keypad' }],
      allows: {
        display: ['ready', 'set'],
        key: ['runs'],
        meter: ['changes'],
        motor: ['stands'],
        again: ['nothing'],
        local: ['runs'],
      },
    },
    held !== 'terminals' &&
      (!known || has('bus-line-a')) && {
        id: 'serial-source',
        weight: 2,
        says: 'It listens to the serial bus.',
        does: 'Enter where RUN comes from, as on the card, with RUN open.',
        patch: [setSetting('inDrive', 'commandSource', 'serial')],
        allows: {
          display: ['ready', 'set', 'fault'],
          key: ['nothing'],
          meter: ['changes'],
          motor: ['stands'],
          again: ['nothing'],
          local: ['nothing', 'no-key'],
        },
      },
    (!known || has('enable', 'quick-stop', 'outside-fault', 'stop-open', 'torque-off-1')) && {
      id: 'not-enabled',
      weight: 8,
      says: 'Its enable, its stop input or its safe torque off is open.',
      does: `Mushroom out, guard shut, factory link in or what replaced it: ${DEAD} Then each contact of the chain by a meter.`,
      allows: {
        display: ['open', 'ready', 'set'],
        key: ['nothing'],
        motor: ['stands'],
        again: ['nothing'],
        local: ['nothing', 'no-key'],
      },
    },
    {
      id: 'no-speed',
      weight: 6,
      says: 'It runs at no hertz: the speed it is asked for is nothing.',
      does: 'Knob at its middle; the reference measured at its terminals; where the speed comes from, as on the card.',
      allows: { display: ['zero', 'set', 'ready'], speed: ['nothing'], motor: ['stands'] },
    },
    {
      id: 'wire',
      weight: 7,
      says: 'The RUN wire does not reach it: open, at another terminal, or its common is missing.',
      does: `${DEAD} The wire by a meter from switch to terminal, and the common.`,
      allows: {
        display: ['ready', 'set'],
        meter: ['nothing'],
        motor: ['stands'],
        again: ['nothing'],
        local: ['nothing', 'no-key'],
      },
    },
    (!known || manual?.logic === 'either') && {
      id: 'sink-source',
      weight: 4,
      says: 'Its jumper is set for the other way of closing switches.',
      does: `${DEAD} Jumper to ${wiring.logic ?? 'the side that the switches close to'}.`,
      allows: {
        display: ['ready', 'set'],
        key: ['nothing', 'runs'],
        meter: ['nothing'],
        motor: ['stands'],
        again: ['nothing'],
        local: ['nothing', 'no-key'],
      },
    },
    (controls.runBy === undefined || controls.runBy === 'maintained' || controls.runBy === 'main-switch') && {
      id: 'lockout',
      weight: 5,
      says: 'The switch stood at RUN when the power came: its lockout waits.',
      does: 'Nothing is wrong. Open RUN and close it again.',
      allows: { display: ['ready', 'set'], meter: ['changes'], motor: ['stands'], again: ['runs'] },
    },
    (controls.runBy === undefined || controls.runBy === 'momentary') && {
      id: 'two-wire',
      weight: 4,
      says: 'Its inputs are set for a switch that stays, and buttons are wired; or the other way about.',
      does: 'Enter what its terminals do, as on the card.',
      allows: {
        display: ['ready', 'set'],
        meter: ['changes', 'nothing'],
        motor: ['stands', 'twitches'],
        again: ['nothing'],
      },
    },
    controls.reverseWanted !== false && {
      id: 'both-ways',
      weight: 2,
      says: 'Forward and reverse are closed at once.',
      does: `${DEAD} The switch through its middle with a meter: one of them at a time.`,
      allows: {
        display: ['ready', 'set'],
        meter: ['changes'],
        motor: ['stands'],
        again: ['nothing'],
        local: ['nothing', 'no-key'],
      },
    },
    {
      id: 'menu',
      weight: 3,
      says: 'It is in its menu: some drives do not start from there.',
      does: 'Leave the menu until the display shows hertz or ready.',
      allows: { display: ['menu'], key: ['nothing'], motor: ['stands'], again: ['nothing'] },
    },
    {
      id: 'output-open',
      weight: 4,
      says: 'It runs, and the motor does not get it: a lead open, an isolator behind it open.',
      does: `${DEAD} Motor leads and links by a meter; the switch between drive and motor, if there is one.`,
      allows: { display: ['running'], key: ['runs'], speed: ['follows'], motor: ['stands'] },
    },
    {
      id: 'stalled',
      weight: 3,
      says: 'It runs, and the motor cannot turn: held by a brake, jammed, or with no pull at all.',
      does: 'Off. By hand: does it turn? Brake freed? Links for these volts? Then motor data and boost.',
      allows: { display: ['running', 'fault'], speed: ['follows'], motor: ['hums'] },
    },
    {
      id: 'long-ramp',
      weight: 1,
      says: 'It runs up so slowly that it seems to do nothing.',
      does: 'Wait a minute; then the ramp as on the card.',
      allows: { display: ['running', 'zero'], speed: ['follows', 'nothing'], motor: ['creeps', 'stands'] },
    },
  ]
  return causes.filter((cause): cause is RunCause => cause !== false)
}
