import type { SettingId } from '../stages/settingTable'
import { freeId, readTerminal } from './jottedInto'
import { groupOf, type Manual, type ManualTerminal } from './manual'
import { terminalFunctions, type TerminalFunction } from './terminalFunctions'

/** One plain question to somebody who stands before the board. */
export interface WorksheetQuestion {
  id: string
  asks: string
  /** Where to look. */
  look: string
  does: readonly TerminalFunction[]
  /** Whether a drive without it cannot be wired at all: it is assumed until it is found. */
  always?: boolean
}

/** What is asked of a board of which there is no manual, or a bad one. */
export const worksheetQuestions: readonly WorksheetQuestion[] = [
  {
    id: 'mains',
    asks: 'Which screws take the wall?',
    look: 'The thickest, often beside the earth; letters such as L and N, or a plug’s sign.',
    does: ['line-1', 'neutral'],
    always: true,
  },
  {
    id: 'motor',
    asks: 'Which three go to the motor?',
    look: 'The other thick ones, three alike.',
    does: ['motor-u', 'motor-v', 'motor-w'],
    always: true,
  },
  {
    id: 'earth',
    asks: 'Where is the earth?',
    look: 'Green, or a sign of three lines under each other.',
    does: ['earth'],
    always: true,
  },
  {
    id: 'start',
    asks: 'Which two start it when they are joined?',
    look: 'Small screws; words such as run, fwd, start, and a common.',
    does: ['run-forward', 'digital-common'],
    always: true,
  },
  {
    id: 'reverse',
    asks: 'Which one runs it the other way?',
    look: 'Beside the one that starts it.',
    does: ['run-reverse'],
  },
  {
    id: 'volts',
    asks: 'Does one give 24 volts for switches?',
    look: 'Printed with 24 and a plus.',
    does: ['supply-24'],
  },
  {
    id: 'knob',
    asks: 'Which three take the knob?',
    look: 'One gives 5, 10 or 12 V, one is the wiper, one the zero.',
    does: ['reference-supply', 'reference-in', 'reference-common'],
  },
  {
    id: 'trip',
    asks: 'Which one stops it when something outside has tripped?',
    look: 'Words such as trip, fault, inhibit, enable; sometimes with a link to the common.',
    does: ['outside-fault'],
  },
  { id: 'stop', asks: 'Which one stops it by opening?', look: 'Only drives for buttons have it.', does: ['stop-open'] },
  {
    id: 'relay',
    asks: 'Which two are its own contact?',
    look: 'Apart from the others; a drawn contact, or letters for open and common.',
    does: ['relay-common', 'relay-open'],
  },
  {
    id: 'thermistor',
    asks: 'Which two take the winding’s sensor?',
    look: 'A drawn sensor, or words for heat.',
    does: ['thermistor-1', 'thermistor-2'],
  },
  {
    id: 'resistor',
    asks: 'Which two take a brake resistor?',
    look: 'Thick ones beside the motor’s, never the bus itself.',
    does: ['resistor-1', 'resistor-2'],
  },
]

/** What was found of one question: the printed names in its order; or that it was looked for and is not there. */
export type WorksheetAnswer = readonly string[] | 'not-found'

export interface WorksheetAnswers {
  found: Readonly<Record<string, WorksheetAnswer>>
  /** Codes that matter before a first spin, by what they set. */
  codes: Readonly<Partial<Record<SettingId, string>>>
  isolated?: boolean | undefined
  runsAtPowerOn?: boolean | undefined
  logic?: 'sink' | 'source' | 'either' | undefined
}

/**
 * The manual grown by what was found: printed names for what was answered; what every drive has and nobody found yet is
 * assumed and says so; what was looked for and is not there has no terminal.
 */
export function worksheetInto(manual: Manual, answers: WorksheetAnswers): Manual {
  const terminals: ManualTerminal[] = [...manual.terminals]
  const notFound = new Set(manual.notFound)
  const put = (does: TerminalFunction, prints: string | undefined): void => {
    const at = terminals.findIndex((t) => t.does === does)
    if (prints === undefined) {
      if (at === -1) terminals.push(assumedTerminal(does, new Set(terminals.map((t) => t.id))))
      return
    }
    const made = readTerminal(
      prints.slice(0, 24),
      does,
      terminals[at]?.id ?? freeId(prints, new Set(terminals.map((t) => t.id))),
    )
    if (at === -1) terminals.push(made)
    else terminals[at] = { ...terminals[at], ...made }
  }
  for (const { id, does, always } of worksheetQuestions) {
    const answer = answers.found[id]
    if (answer === 'not-found') {
      notFound.add(id)
      for (const one of does) {
        const at = terminals.findIndex((t) => t.does === one)
        if (at !== -1 && terminals[at]?.basis === 'assumed') terminals.splice(at, 1)
      }
      continue
    }
    does.forEach((one, i) => {
      const prints = answer?.[i]?.trim()
      if (prints !== undefined && prints !== '') put(one, prints)
      else if (always === true) put(one, undefined)
    })
  }
  const codes = [...manual.codes]
  for (const [sets, code] of Object.entries(answers.codes) as [SettingId, string | undefined][]) {
    const written = code?.trim()
    if (written === undefined || written === '') continue
    const at = codes.findIndex((c) => c.sets === sets)
    const made = { code: written.slice(0, 24), words: written, sets, values: [] }
    if (at === -1) codes.push(made)
    else codes[at] = { ...codes[at], ...made }
  }
  return {
    ...manual,
    terminals,
    codes: codes.filter((c, i) => codes.findIndex((o) => o.code === c.code) === i),
    notFound: [...notFound],
    ...(answers.isolated === undefined ? {} : { isolated: answers.isolated }),
    ...(answers.runsAtPowerOn === undefined ? {} : { runsAtPowerOn: answers.runsAtPowerOn }),
    ...(answers.logic === undefined ? {} : { logic: answers.logic }),
  }
}

const assumedTerminal = (does: TerminalFunction, taken: ReadonlySet<string>): ManualTerminal => ({
  id: freeId(does, taken),
  prints: terminalFunctions[does].words.slice(0, 24),
  group: groupOf(does),
  does,
  wires: 1,
  basis: 'assumed',
})
