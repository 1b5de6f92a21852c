import { isRecord } from './sameValue'

const { is } = Object

/** Where a thing that is read stands: a given value or something within it, a part. The same object in every graph. */
export interface Source<G> {
  readonly name: string
  /** What stands there now; a part is made, or found unchanged, first. */
  readonly now: (graph: G) => unknown
}

/** In place of a key: that it is a record, which is looked into; that it was read as a whole. */
export const LOOKED_INTO = Symbol('looked into')
export const WHOLE = Symbol('whole')

/**
 * Everything that one maker read, in its order: source, key and what stood there, three by three in one list. Thousands
 * are noted at every key that is typed; a list of numbers and names is the least that they can cost.
 */
export class Reads<G> {
  private readonly log: unknown[] = []

  note(source: Source<G>, key: string | symbol, seen: unknown): void {
    this.log.push(source, key, seen)
  }

  /** Whether all that was read stands there still. */
  standIn(graph: G): boolean {
    const { log } = this
    let at: Source<G> | undefined
    let now: unknown
    // What is the same record still holds the same keys.
    let isSame = false
    for (let i = 0; i < log.length; i += 3) {
      const source = log[i] as Source<G>
      const key = log[i + 1] as string | symbol
      const seen = log[i + 2]
      if (source !== at) {
        at = source
        now = source.now(graph)
        isSame = false
      }
      if (isSame) continue
      if (key === LOOKED_INTO) {
        isSame = is(now, seen)
        if (!isSame && !isRecord(now)) return false
      } else if (key === WHOLE) {
        isSame = is(now, seen)
        if (!isSame) return false
      } else if (!is((now as Record<string, unknown>)[key as string], seen)) return false
    }
    return true
  }

  /** How many things were read. */
  get count(): number {
    return this.log.length / 3
  }
}
