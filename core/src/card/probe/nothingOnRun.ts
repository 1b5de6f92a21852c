import { setSetting, type Patch, type Plan } from '../../plan'
import { nextQuestion, remaining, type Answers, type Possibility, type Question } from './narrow'

/** One reason for which nothing happens on RUN, and what to do. */
export interface RunCause extends Possibility {
  says: string
  does: string
  /** What is known of the drive then. */
  patch?: Patch
}

export interface RunQuestion extends Question {
  asks: string
  /** What each answer is called; with what this drive's own display shows, where its manual says. */
  words: Readonly<Record<string, string>>
}

export interface RunSearch {
  left: RunCause[]
  /** The question that narrows it most; nothing once one is left, or none would tell them apart. */
  next: RunQuestion | undefined
  asked: { question: RunQuestion; answer: string }[]
}

const DEAD = 'Power off, locked, waited, measured first.'

/** Everything that may be behind it on this plan and this drive. */
function causesOf(plan: Plan): RunCause[] {
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

/** What may be asked, with what this drive shows at each moment. */
function questionsOf({ manual }: Plan): RunQuestion[] {
  const shows = (when: string): string => {
    const found = manual?.display.find((d) => d.when === when)
    return found === undefined ? '' : `: ${found.prints}${found.lamp === undefined ? '' : `, lamp ${found.lamp}`}`
  }
  const faults = manual?.faults.map(({ code }) => code) ?? []
  return [
    {
      id: 'display',
      asks: 'RUN is given. What does its display show?',
      answers: ['dark', 'low', 'fault', 'open', 'menu', 'ready', 'set', 'zero', 'running'],
      words: {
        dark: 'Nothing, it is dark',
        low: `Bus too low${shows('undervoltage')}`,
        fault: `A fault${faults.length === 0 ? '' : `, such as ${faults.slice(0, 3).join(', ')}`}`,
        open: `That its enable is open${shows('not-enabled')}`,
        menu: 'A code or a value of its menu',
        ready: `Ready${shows('idle')}`,
        set: `The speed asked for, not running${shows('set')}`,
        zero: 'Running, at nothing',
        running: `Hertz, running${shows('running')}`,
      },
    },
    {
      id: 'motor',
      asks: 'And the motor?',
      answers: ['stands', 'hums', 'twitches', 'creeps'],
      words: {
        stands: 'Stands, silent',
        hums: 'Hums and stands',
        twitches: 'Moves while the button is held',
        creeps: 'Creeps',
      },
    },
    {
      id: 'again',
      asks: 'Open RUN, wait five seconds, close it. Does it run now?',
      answers: ['runs', 'nothing'],
      words: { runs: 'It runs', nothing: 'No' },
    },
    {
      id: 'speed',
      asks: 'Turn the knob with RUN given. What do the hertz on the display do?',
      answers: ['follows', 'nothing'],
      words: { follows: 'They follow', nothing: 'They stay at nothing' },
    },
    {
      id: 'key',
      asks: 'RUN open. Press RUN on its own keypad. Does it run?',
      answers: ['runs', 'nothing'],
      words: { runs: 'It runs', nothing: 'No' },
    },
    {
      id: 'local',
      asks: `RUN open. Press ${manual?.localKey?.prints ?? 'the key for keypad or terminals'} once, then give RUN by the switch. Does it run?`,
      answers: ['runs', 'nothing', 'no-key'],
      words: { runs: 'It runs', nothing: 'No', 'no-key': 'It has no such key' },
    },
    {
      id: 'meter',
      asks: 'A meter for direct volts, its clips put on while it was dead: from the RUN terminal to the common. Does it change when RUN is given?',
      answers: ['changes', 'nothing'],
      words: { changes: 'It changes', nothing: 'No, or it is always the same' },
      // Off, locked, waited, clipped on, covers, on again.
      cost: 3,
    },
  ]
}

/** Where the search for why nothing happens on RUN stands: what is left, and the one question that narrows it most. */
export function nothingOnRun(plan: Plan, answers: Answers): RunSearch {
  const questions = questionsOf(plan)
  const left = remaining(causesOf(plan), answers).sort((a, b) => b.weight - a.weight)
  return {
    left,
    next: nextQuestion(left, questions, answers),
    asked: questions.flatMap((question) => {
      const answer = answers[question.id]
      return answer === undefined ? [] : [{ question, answer }]
    }),
  }
}
