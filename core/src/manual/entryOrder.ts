import { sameValue, settingsOf, writtenNumber } from './coding'
import { codesByName } from './driveMemory'
import type { Manual, ManualCode } from './manual'
import type { Entered } from './terminalsUnder'

/** A value that a code shall have at the end. */
export interface Wish {
  code: string
  value: string
}

export const entryReasons = {
  plan: 'The plan wants it',
  unlocks: 'Opens the locked ones',
  opens: 'For a moment: another is there only while it has this value',
  closes: 'Back to what it shall have',
  again: 'Another entry changed it behind your back',
  told: 'Another wants to be entered after it',
  raises: 'Raised first, or another may not be passed',
} as const

/** One entry, in its place. */
export interface Entry extends Wish {
  for: keyof typeof entryReasons
  /** The code for whose sake it is there, where that is another. */
  because?: string
}

export interface Ordered {
  entries: Entry[]
  /** How many from the start must be made before a first spin. */
  first: number
}

/** Codes that wait for each other, each for the one before it and the first for the last. */
export interface Cycle {
  cycle: string[]
}

interface Node extends Entry {
  /** Its place where nothing forbids it. */
  rank: number
  first: boolean
  before: Set<Node>
  waits: number
}

/**
 * The entries that bring a drive to hold every wish, in an order that its locks allow: what opens others before them, what
 * changes others behind one’s back before those, upper limits before what they limit. Beside the wishes stand entries that
 * only serve others. Or the codes that wait for each other in a ring.
 *
 * @param held what the drive holds, by its codes; what is not known is not in it
 * @param told codes known to have been entered since a reset
 * @param isFirst whether a code must be right before a first spin
 */
export function entryOrder(
  manual: Manual,
  wishes: readonly Wish[],
  held: Entered,
  told: ReadonlySet<string> = new Set(),
  isFirst: (code: string) => boolean = () => false,
): Ordered | Cycle {
  const codes = codesByName(manual)
  const finals = new Map(wishes.map(({ code, value }) => [code, value]))
  /** The last entry of each code, which gives it what it shall have. */
  const last = new Map<string, Node>()
  const nodes: Node[] = []
  const ranks = new Map([...codes.keys()].map((name, i) => [name, i]))
  const add = (entry: Entry, rank = ranks.get(entry.code) ?? codes.size): Node => {
    const node: Node = { ...entry, rank, first: isFirst(entry.code), before: new Set(), waits: 0 }
    nodes.push(node)
    return node
  }
  const edge = (from: Node | undefined, to: Node | undefined): void => {
    if (!from || !to || from === to || from.before.has(to)) return
    from.before.add(to)
    to.waits += 1
  }
  wishes.forEach((wish, i) => last.set(wish.code, add({ ...wish, for: 'plan' }, i)))

  /** What a code shall hold at the end: as wished, else as it is. */
  const finalOf = (name: string): string | undefined => finals.get(name) ?? held[name]
  const isAt = (name: string, value: string, at: string | undefined): boolean =>
    at !== undefined && sameValue(codes.get(name), at, value)

  /** Whether a code can be seen at all once everything is entered: what is not there does nothing. */
  const isThereAtEnd = (name: string): boolean => {
    const gate = codes.get(name)?.onlyWhile
    return gate === undefined || isAt(gate.code, gate.value, finalOf(gate.code))
  }

  const gates = new Map<string, Node>()

  /** Adds what an entry needs beside it. */
  const serve = (node: Node, code: ManualCode): void => {
    for (const { code: other, to } of code.changes ?? []) {
      const final = finalOf(other)
      if (last.has(other) || final === undefined || other === node.code) continue
      if ((to !== undefined && isAt(other, to, final)) || !isThereAtEnd(other)) continue
      last.set(other, add({ code: other, value: final, for: 'again', because: node.code }))
    }
    for (const other of code.after ?? []) {
      if (last.has(other) || told.has(other)) continue
      const value = finalOf(other)
      if (value !== undefined) last.set(other, add({ code: other, value, for: 'told', because: node.code }))
    }
    for (const limit of [code.mostBy, code.leastBy]) if (limit !== undefined) raise(node, code, limit)
    const { unlock } = manual
    if (code.locked === true && unlock && !last.has(unlock.code) && held[unlock.code] !== unlock.value)
      last.set(unlock.code, add({ ...unlock, for: 'unlocks', because: node.code }, -1))
    const gate = code.onlyWhile
    if (!gate || isAt(gate.code, gate.value, finalOf(gate.code)) || gates.has(`${gate.code}=${gate.value}`)) return
    // There already, and only left at the end: nothing opens it.
    if (isAt(gate.code, gate.value, held[gate.code]) && !changedBehind(codes, nodes, gate.code)) return
    gates.set(`${gate.code}=${gate.value}`, add({ ...gate, for: 'opens', because: node.code }, node.rank - 0.5))
    const final = finalOf(gate.code)
    if (final !== undefined && !last.has(gate.code))
      last.set(gate.code, add({ code: gate.code, value: final, for: 'closes', because: node.code }, node.rank + 0.5))
  }

  /** An end that nothing else decides gives way to what it would stop, as far as any wants it. */
  function raise(node: Node, code: ManualCode, limit: string): void {
    const of = codes.get(limit)
    const raised = last.get(limit)
    if (!of || settingsOf(of).length > 0 || (raised && raised.for !== 'raises')) return
    const [own, end] = [writtenNumber(code, node.value), writtenNumber(of, raised?.value ?? held[limit])]
    if (own === undefined || end === undefined || (limit === code.mostBy ? own <= end : own >= end)) return
    finals.set(limit, node.value)
    if (raised) raised.value = node.value
    else last.set(limit, add({ code: limit, value: node.value, for: 'raises', because: node.code }, node.rank - 0.5))
  }

  // What is added may need more in turn, and open what was open when it was looked at.
  for (let before = -1; before !== nodes.length;) {
    before = nodes.length
    for (const node of [...nodes]) {
      const code = codes.get(node.code)
      if (code) serve(node, code)
    }
  }

  const opened = [...gates.values()]
  for (const node of nodes) {
    const code = codes.get(node.code)
    if (!code) continue
    for (const { code: other } of code.changes ?? []) {
      edge(node, last.get(other))
      for (const gate of opened) if (gate.code === other && gate !== node) edge(node, gate)
    }
    for (const other of code.after ?? []) edge(last.get(other), node)
    if (code.locked === true && manual.unlock && node.code !== manual.unlock.code)
      edge(last.get(manual.unlock.code), node)
    throughGate(node, code)
    for (const limit of [code.mostBy, code.leastBy]) withLimit(node, code, limit)
  }
  // One gate after another, each shut by the next: what stands behind one is done before the next opens.
  for (const [i, gate] of opened.entries()) {
    edge(gate, last.get(gate.code))
    const next = opened.slice(i + 1).find((other) => other.code === gate.code)
    if (next) for (const behind of nodes) if (isBehind(behind, gate)) edge(behind, next)
  }

  function isBehind(node: Node, gate: Node): boolean {
    const wants = codes.get(node.code)?.onlyWhile
    return wants?.code === gate.code && wants.value === gate.value
  }

  function throughGate(node: Node, { onlyWhile: gate }: ManualCode): void {
    if (!gate) return
    const opener = gates.get(`${gate.code}=${gate.value}`)
    const closer = last.get(gate.code)
    if (opener) {
      edge(opener, node)
      edge(node, closer)
    } else if (isAt(gate.code, gate.value, finalOf(gate.code))) {
      edge(closer, node)
      // Open as it is, and nothing opens it again: before whatever changes it behind one's back.
      if (!closer)
        for (const other of nodes)
          if (codes.get(other.code)?.changes?.some((c) => c.code === gate.code) === true) edge(node, other)
    } else {
      // Open now, and shut by whatever comes to it.
      edge(node, closer)
      for (const other of opened) if (other.code === gate.code) edge(node, other)
    }
  }

  function withLimit(node: Node, code: ManualCode, name: string | undefined): void {
    const limit = name === undefined ? undefined : last.get(name)
    if (!limit || node !== last.get(node.code)) return
    const of = codes.get(limit.code)
    const heldLimit = writtenNumber(of, held[limit.code])
    const heldOwn = writtenNumber(code, held[node.code])
    const [finalLimit, finalOwn] = [writtenNumber(of, limit.value), writtenNumber(code, node.value)]
    const above = limit.code === code.mostBy
    const passes = (own: number, end: number): boolean => (above ? own > end : own < end)
    const ownWaits =
      heldLimit === undefined || heldOwn === undefined || finalOwn === undefined || passes(finalOwn, heldLimit)
    const limitWaits = heldOwn !== undefined && finalLimit !== undefined && passes(heldOwn, finalLimit)
    if (limitWaits) edge(node, limit)
    if (ownWaits || !limitWaits) edge(limit, node)
  }

  return sorted(nodes)
}

/** Whether any of the entries changes a code behind one’s back. */
const changedBehind = (codes: ReadonlyMap<string, ManualCode>, nodes: readonly Node[], name: string): boolean =>
  nodes.some((node) => codes.get(node.code)?.changes?.some((c) => c.code === name) === true)

/** First what a first spin wants, with all that stands before it; within each part by rank where nothing forbids it. */
function sorted(nodes: Node[]): Ordered | Cycle {
  const early = new Set<Node>()
  const ahead = new Map<Node, Node[]>()
  for (const node of nodes)
    for (const next of node.before) {
      const before = ahead.get(next)
      if (before) before.push(node)
      else ahead.set(next, [node])
    }
  const pull = (node: Node): void => {
    if (early.has(node)) return
    early.add(node)
    for (const other of ahead.get(node) ?? []) pull(other)
  }
  for (const node of nodes) if (node.first) pull(node)

  const entries: Entry[] = []
  const ready = nodes.filter(({ waits }) => waits === 0)
  const sooner = (a: Node, b: Node): boolean => (early.has(a) === early.has(b) ? a.rank < b.rank : early.has(a))
  while (ready.length > 0) {
    let at = 0
    ready.forEach((node, i) => {
      const leader = ready[at]
      if (leader && sooner(node, leader)) at = i
    })
    const [node] = ready.splice(at, 1)
    if (!node) break
    const { code, value, because } = node
    entries.push({ code, value, for: node.for, ...(because === undefined ? {} : { because }) })
    for (const next of node.before) {
      next.waits -= 1
      if (next.waits === 0) ready.push(next)
    }
  }
  if (entries.length < nodes.length) return { cycle: ring(nodes.filter(({ waits }) => waits > 0)) }
  return { entries, first: early.size }
}

/** One ring among entries that wait for each other. */
function ring(stuck: readonly Node[]): string[] {
  const inside = new Set(stuck)
  const path: Node[] = []
  const follow = (node: Node): Node[] => {
    const at = path.indexOf(node)
    if (at !== -1) return path.slice(at)
    path.push(node)
    // Of those left, one at least stands behind another that is left: going back never ends but in a ring.
    const back = stuck.find((other) => inside.has(other) && other.before.has(node))
    return back ? follow(back) : []
  }
  const [start] = stuck
  return start
    ? follow(start)
        .map(({ code }) => code)
        .reverse()
    : []
}
