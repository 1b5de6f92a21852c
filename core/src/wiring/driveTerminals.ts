import { linesFor, terminalsUnder, type CodeLine, type Entered } from '../manual/terminalsUnder'
import type { Manual, ManualTerminal } from '../manual/manual'
import { terminalFunctions, type TerminalFunction } from '../manual/terminalFunctions'
import { endOf, type Device, type End, type Lack, type Potential, type Terminal, type WantedLine } from './model'

/** The drive as a device, with what its terminals do once the lines that the wiring wants are entered. */
export interface DriveTerminals {
  device: Device
  /** The terminal that does something, or nothing where the drive has none. */
  find: (does: TerminalFunction) => End | undefined
  manual: (does: TerminalFunction) => ManualTerminal | undefined
  lacks: Lack[]
  lines: WantedLine[]
}

const potentials: Partial<Record<TerminalFunction, Potential>> = {
  'motor-u': 'U',
  'motor-v': 'V',
  'motor-w': 'W',
  'armature-1': 'arm1',
  'armature-2': 'arm2',
  'field-1': 'field1',
  'field-2': 'field2',
  'direct-plus': 'direct+',
  'direct-minus': 'direct-',
  'hall-supply': 'hall+',
  'hall-common': '0V',
  earth: 'PE',
  'bus-plus': 'bus+',
  'bus-minus': 'bus-',
  'resistor-1': 'bus+',
  'resistor-2': 'brake',
  'digital-common': '0V',
  'supply-24': '24V',
  'reference-supply': 'ref+',
  'reference-common': '0V',
  'torque-off-supply': 'sto',
  'bus-line-a': 'A',
  'bus-line-b': 'B',
  'bus-line-common': 'a0V',
}

const powerGroups = new Set(['mains', 'motor', 'bus', 'earth'])

/** Which side of a drive a terminal is drawn on in the power sheet. */
const sideOf = ({ group }: ManualTerminal): Terminal['side'] =>
  group === 'mains' ? 'in' : group === 'motor' || group === 'bus' ? 'out' : 'any'

/** Lines of the card in words. */
const lineOf = ({ code, value }: CodeLine): WantedLine => ({
  code: code.code,
  value,
  words: code.words,
  means: code.values.find((v) => v.value === value)?.means ?? '',
})

/**
 * What a drive's terminals do for what is wanted of them, by the fewest lines entered; what it has no terminal for is
 * listed with the reason that it was wanted.
 *
 * @param held what the drive is known to hold already, by its codes
 * @param needed what such a drive does not run without
 */
export function driveTerminals(
  manual: Manual,
  wanted: ReadonlyMap<TerminalFunction, string>,
  name: string,
  held: Entered = {},
  needed: ReadonlySet<TerminalFunction> = new Set(),
): DriveTerminals {
  let asked = [...wanted.keys()]
  let found = linesFor(manual, asked, held)
  const lacking = new Set<TerminalFunction>()
  while ('lacking' in found) {
    for (const does of found.lacking) lacking.add(does)
    asked = asked.filter((does) => !lacking.has(does))
    found = linesFor(manual, asked, held)
  }
  const entered = { ...held, ...Object.fromEntries(found.lines.map(({ code, value }) => [code.code, value])) }
  const now = terminalsUnder(manual, entered)
  const byFunction = new Map([...found.terminals])
  const find = (does: TerminalFunction): ManualTerminal | undefined =>
    byFunction.get(does) ?? now.find((one) => one.does === does)?.terminal
  const device: Device = {
    id: 'drive',
    role: 'drive',
    place: 'box',
    name: 'Drive',
    short: 'Drive',
    line2: name,
    terminals: now.map(({ terminal, does }): Terminal => ({
      id: terminal.id,
      prints: terminal.prints,
      note: does === undefined ? undefined : noteOf(does),
      class: powerGroups.has(terminal.group) ? 'power' : 'control',
      side: sideOf(terminal),
      ...(does === undefined ? {} : { does, potential: potentials[does] }),
      assumed: terminal.basis === 'assumed',
      wires: terminal.wires,
      ...(does !== undefined && needed.has(does) ? { needed: true } : {}),
    })),
    inside: joinedInside(manual),
  }
  return {
    device,
    find: (does) => {
      const terminal = find(does)
      return terminal && endOf('drive', terminal.id)
    },
    manual: find,
    lacks: [...lacking].map((does) => ({ does, why: wanted.get(does) ?? '' })),
    lines: found.lines.map(lineOf),
  }
}

const joinedInside = ({ terminals }: Manual): Device['inside'] => {
  const groups = new Map<string, string[]>()
  for (const { id, joined } of terminals)
    if (joined !== undefined) groups.set(joined, [...(groups.get(joined) ?? []), id])
  return [...groups.values()].filter((g) => g.length > 1).map((between) => ({ kind: 'joined' as const, between }))
}

const noteOf = (does: TerminalFunction): string => terminalFunctions[does].words.toLowerCase()
