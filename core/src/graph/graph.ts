import { Reads, WHOLE, type Source } from './reads'
import { isRecord, keepSame } from './sameValue'
import { Window, type Reader } from './window'

/** Something that is made from given values and other parts. It is known by itself: two of one name are two. */
export interface Part<T = unknown> {
  readonly name: string
  /** Its place in the tables of a graph. */
  readonly index: number
  /** What reads of it are noted by, and what reads of what it left. */
  readonly source: Source<Graph>
  readonly leftSource: Source<Graph>
  /** Makes it. What is left beside the value is handed in again when it must be made anew. */
  readonly make: Maker<T>
  /** Whoever reads it reads all of it: a list, or a record that is handed on. */
  readonly whole: boolean
  /** It is never held against what it was: it is always another when it is made anew, or too large for that. */
  readonly fresh: boolean
}

type Maker<T> = (graph: Graph, left: unknown) => { value: T; left?: unknown }

let parts = 0

export function partOf<T>(name: string, make: Maker<T>, { whole = false, fresh = false } = {}): Part<T> {
  const part: Part<T> = {
    name,
    index: parts,
    source: { name, now: (graph) => graph.value(part) },
    leftSource: { name: `${name}, left`, now: (graph) => graph.left(part) },
    make,
    whole,
    fresh,
  }
  parts += 1
  return part
}

/** A given value: its name, and the sources of the records within it that are looked into key by key. */
export interface GivenValue {
  readonly name: string
  readonly source: Source<Graph>
  readonly within: (key: string) => Source<Graph> | undefined
}

/** `within` says which records inside it are looked into by their keys, rather than taken as they are. */
export function givenValue(name: string, within: (key: string) => boolean = () => false): GivenValue {
  const inner = new Map<string, Source<Graph>>()
  return {
    name,
    source: { name, now: (graph) => graph.given[name] },
    within: (key) => {
      if (!within(key)) return undefined
      let source = inner.get(key)
      if (!source) {
        source = { name: `${name}.${key}`, now: (graph) => (graph.given[name] as Record<string, unknown>)[key] }
        inner.set(key, source)
      }
      return source
    },
  }
}

/** A part that was made, what its maker read, and what it left. */
interface Made {
  value: unknown
  left: unknown
  /** None of a graph that nobody goes on from. */
  reads: Reads<Graph> | undefined
}

/** Given values, and parts made from them and from one another: each at most once, and only when somebody asks. */
export class Graph implements Reader<Graph> {
  reads: Reads<Graph> | undefined
  /** Whose graph it is: what makers of further parts are given. */
  owner: unknown
  /** The parts whose makers ran here: counted where time is not. */
  readonly ran: string[] = []
  private readonly made: (Made | undefined)[] = []
  private readonly making = new Set<Part>()
  private readonly windows: (Window<Graph> | undefined)[] = []
  private readonly givenWindows = new Map<GivenValue, Window<Graph>>()
  private readonly old: readonly (Made | undefined)[]

  /**
   * `before` is a graph of an earlier state: a part of it is taken over where nothing that its maker read has changed.
   * It is not held on to.
   */
  constructor(
    readonly given: Readonly<Record<string, unknown>>,
    before?: Graph,
    /** Nobody goes on from this one: nothing is noted. */
    private readonly once = false,
  ) {
    this.old = before ? before.everything() : []
  }

  /** What was made here, and what was taken along unused. */
  private everything(): readonly (Made | undefined)[] {
    if (this.made.length === 0) return this.old
    const all = [...this.old]
    for (const [index, made] of this.made.entries()) if (made) all[index] = made
    return all
  }

  value<T>(part: Part<T>): T {
    return this.madeOf(part).value as T
  }

  left(part: Part): unknown {
    return this.madeOf(part).left
  }

  /** A part as a maker sees it, where one asks: through a window that notes what is read. Nobody else sees windows. */
  seen<T>(part: Part<T>): T {
    const { value } = this.madeOf(part)
    const { reads } = this
    if (!reads) return value as T
    if (part.whole || !isRecord(value)) {
      reads.note(part.source, WHOLE, value)
      return value as T
    }
    return (this.windows[part.index] ??= new Window(value, part.source, this)).open() as T
  }

  /** Each of these parts, whole, in their order. */
  seenAll<T>(all: readonly Part<T>[]): T[] {
    return all.map((part) => {
      const { value } = this.madeOf(part)
      this.reads?.note(part.source, WHOLE, value)
      return value as T
    })
  }

  /** What each of these parts left, in their order. */
  leftBy(all: readonly Part[]): unknown[] {
    return all.map((part) => {
      const { left } = this.madeOf(part)
      this.reads?.note(part.leftSource, WHOLE, left)
      return left
    })
  }

  /** A given value, by the same rules. */
  seenGiven(of: GivenValue): unknown {
    const value = this.given[of.name]
    const { reads } = this
    if (!reads) return value
    if (!isRecord(value)) {
      reads.note(of.source, WHOLE, value)
      return value
    }
    let window = this.givenWindows.get(of)
    if (!window) this.givenWindows.set(of, (window = new Window(value, of.source, this, of.within)))
    return window.open()
  }

  private madeOf(part: Part): Made {
    return this.made[part.index] ?? this.make(part)
  }

  private make(part: Part): Made {
    if (this.making.has(part)) throw new Error(`The part ${part.name} rests on itself`)
    const old = this.old[part.index]
    const outer = this.reads
    this.making.add(part)
    try {
      this.reads = undefined
      const made = old?.reads?.standIn(this) === true ? old : this.run(part, old)
      this.made[part.index] = made
      return made
    } finally {
      this.reads = outer
      this.making.delete(part)
    }
  }

  private run(part: Part, old: Made | undefined): Made {
    const reads = this.once ? undefined : new Reads<Graph>()
    this.reads = reads
    this.ran.push(part.name)
    const { value, left } = part.make(this, old?.left)
    return { value: old && !part.fresh ? keepSame(old.value, value) : value, left, reads }
  }
}
