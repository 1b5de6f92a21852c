import type { Manual, ManualTerminal } from './manual'
import { groupOf } from './manual'
import type { Jottings } from './readJottings'
import type { TerminalFunction } from './terminalFunctions'

/** An id that no other thing of the list has. */
export function freeId(base: string, taken: ReadonlySet<string>): string {
  const plain = base
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '')
    .slice(0, 30)
  const start = plain === '' ? 'x' : plain
  if (!taken.has(start)) return start
  for (let n = 2; ; n += 1) if (!taken.has(`${start}-${n}`)) return `${start}-${n}`
}

/** A terminal that somebody read off the board. */
export const readTerminal = (prints: string, does: TerminalFunction | undefined, id: string): ManualTerminal => ({
  id,
  prints,
  group: does === undefined ? 'control' : groupOf(does),
  ...(does === undefined ? {} : { does }),
  wires: 1,
  basis: 'printed',
})

/**
 * The manual with what was jotted down: a terminal of a name that it has gets the meaning, another is added; what was only
 * assumed of a function gives way to what was read.
 */
export function jottedInto(manual: Manual, { terminals, codes }: Jottings): Manual {
  const kept = [...manual.terminals]
  for (const { prints, does, words } of terminals) {
    const same = kept.findIndex((t) => t.prints.toLowerCase() === prints.toLowerCase() && t.basis === 'printed')
    const assumed = does === undefined ? -1 : kept.findIndex((t) => t.does === does && t.basis === 'assumed')
    const note = does === undefined && words !== '' ? { note: words.slice(0, 300) } : {}
    const old = kept[same]
    if (old) kept[same] = { ...old, ...(does === undefined ? {} : { does, group: groupOf(does) }), ...note }
    else {
      const made = {
        ...readTerminal(prints.slice(0, 24), does, freeId(prints, new Set(kept.map((t) => t.id)))),
        ...note,
      }
      if (assumed === -1) kept.push(made)
      else kept[assumed] = made
    }
  }
  const known = new Map(manual.codes.map((c) => [c.code, c]))
  for (const { code, words, sets, value } of codes) {
    const old = known.get(code)
    known.set(code, {
      ...(old ?? { code: code.slice(0, 24), values: [] }),
      words: (words === '' ? (old?.words ?? code) : words).slice(0, 160),
      ...(sets === undefined ? {} : { sets }),
      ...(value === undefined ? {} : { comesWith: value.slice(0, 24) }),
    })
  }
  return { ...manual, terminals: kept, codes: [...known.values()] }
}
