import type { Manual, ManualCode, ManualTerminal } from './manual'
import { switchFunctions, type TerminalFunction } from './terminalFunctions'

/** Values by the codes that they are entered under. */
export type Entered = Readonly<Record<string, string>>

/** A terminal with what it does under some settings, and the code that decides it; nothing where the manual's own word counts. */
export interface TerminalNow {
  terminal: ManualTerminal
  does: TerminalFunction | undefined
  by: ManualCode | undefined
}

/** What every terminal does under what was entered: first what chooses all at once, then what chooses one. */
export function terminalsUnder({ terminals, codes }: Manual, entered: Entered): TerminalNow[] {
  const decided = new Map<string, { does: TerminalFunction; by: ManualCode }>()
  for (const pass of [true, false])
    for (const code of codes) {
      if ((code.macro === true) !== pass) continue
      const value = code.values.find((v) => v.value === entered[code.code])
      for (const [id, does] of Object.entries(value?.all ?? {})) decided.set(id, { does, by: code })
      if (value?.does !== undefined && code.terminal !== undefined)
        decided.set(code.terminal, { does: value.does, by: code })
    }
  return terminals.map((terminal) => {
    const found = decided.get(terminal.id)
    return { terminal, does: found?.does ?? terminal.does, by: found?.by }
  })
}

/** One line to enter so that terminals do what is wanted of them. */
export interface CodeLine {
  code: ManualCode
  value: string
}

export interface Wired {
  /** To enter, what chooses all at once first. */
  lines: CodeLine[]
  /** Which terminal does each thing that was wanted, in the order asked. */
  terminals: Map<TerminalFunction, ManualTerminal>
}

/** Functions that this drive cannot be brought to have, or not all together. */
export interface NotWired {
  lacking: TerminalFunction[]
}

/** A terminal that may serve a wish: as it is, or by a line of its own. */
interface Way {
  terminal: ManualTerminal
  line: CodeLine | undefined
}

const isSwitch = (does: TerminalFunction | undefined): boolean =>
  does !== undefined && (switchFunctions as readonly TerminalFunction[]).includes(does)

/**
 * The fewest lines with which a drive's terminals do everything that is wanted, or what cannot be had of it. What a terminal
 * does that nobody wants may be given up; one that is wanted stays where it is as long as it can.
 *
 * @param held what the drive is known to hold already, by its codes
 */
export function linesFor(manual: Manual, wanted: readonly TerminalFunction[], held: Entered = {}): Wired | NotWired {
  const macros = manual.codes.flatMap((code) =>
    code.macro === true ? code.values.map(({ value }): CodeLine => ({ code, value })) : [],
  )
  const tried = [undefined, ...macros].map((macro) => under(manual, macro, wanted, held))
  const done = tried.filter((one): one is Wired => 'lines' in one)
  if (done.length > 0) return done.reduce((best, one) => (one.lines.length < best.lines.length ? one : best))
  const lacking = tried.flatMap((one) => ('lacking' in one ? [one.lacking] : []))
  return { lacking: lacking.reduce((least, one) => (one.length < least.length ? one : least)) }
}

function under(
  manual: Manual,
  macro: CodeLine | undefined,
  wanted: readonly TerminalFunction[],
  held: Entered,
): Wired | NotWired {
  const now = terminalsUnder(manual, macro ? { ...held, [macro.code.code]: macro.value } : held)
  // Each wish with the terminals that may serve it: as they are, or by a line of their own.
  const ways = wanted.map((wish) =>
    now.flatMap(({ terminal, does }): Way[] => {
      if (does === wish) return [{ terminal, line: undefined }]
      if (!isSwitch(wish) || (does !== undefined && does !== 'nothing' && !isSwitch(does))) return []
      const code = manual.codes.find((c) => c.terminal === terminal.id && c.values.some((v) => v.does === wish))
      const value = code?.values.find((v) => v.does === wish)
      return code && value ? [{ terminal, line: { code, value: value.value } }] : []
    }),
  )
  const served = fewestLines(ways)
  const lacking = wanted.flatMap((_, i) => (served.has(i) ? [] : [i]))
  if (lacking.length > 0) return { lacking: lacking.flatMap((i) => wanted[i] ?? []) }
  return {
    lines: [...(macro ? [macro] : []), ...wanted.flatMap((_, i) => served.get(i)?.line ?? [])],
    terminals: new Map(
      wanted.flatMap((wish, i) => {
        const way = served.get(i)
        return way ? [[wish, way.terminal] as const] : []
      }),
    ),
  }
}

const lineOf = ({ line }: Way): number => (line === undefined ? 0 : 1)

/**
 * A way for each wish, no terminal twice, for as many wishes as can be and in the fewest lines: each wish in turn by the
 * cheapest chain in which others give way (successive shortest paths).
 */
function fewestLines(ways: readonly (readonly Way[])[]): Map<number, Way> {
  const served = new Map<number, Way>()
  for (const first of ways.keys()) {
    const holderOf = new Map([...served].map(([wish, { terminal }]) => [terminal.id, wish]))
    /** The cheapest chain so far to each terminal: its lines, and the last wish that moves. */
    const reached = new Map<string, { lines: number; wish: number; way: Way }>()
    const spread = (wish: number, lines: number): void => {
      for (const way of ways[wish] ?? []) {
        const now = lines + lineOf(way)
        if (now >= (reached.get(way.terminal.id)?.lines ?? Infinity)) continue
        reached.set(way.terminal.id, { lines: now, wish, way })
        const holder = holderOf.get(way.terminal.id)
        const held = holder === undefined ? undefined : served.get(holder)
        if (holder !== undefined && held) spread(holder, now - lineOf(held))
      }
    }
    spread(first, 0)
    const free = [...reached].filter(([id]) => !holderOf.has(id))
    let at = free.sort(([, a], [, b]) => a.lines - b.lines)[0]?.[1]
    while (at) {
      const left = served.get(at.wish)
      served.set(at.wish, at.way)
      at = at.wish === first || !left ? undefined : reached.get(left.terminal.id)
    }
  }
  return served
}
