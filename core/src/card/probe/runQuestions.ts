import type { Plan } from '../../plan'
import type { Question } from './narrow'

/** One question to whoever stands before the drive. */
export interface RunQuestion extends Question {
  asks: string
  /** What each answer is called; with what this drive's own display shows, where its manual says. */
  words: Readonly<Record<string, string>>
}

/** What may be asked, with what this drive shows at each moment. */
export function questionsOf({ manual }: Plan): RunQuestion[] {
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
