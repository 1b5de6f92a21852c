import { LOOKED_INTO, WHOLE, type Reads, type Source } from './reads'

/** Who reads now; nobody, where a person or a test looks. */
export interface Reader<G> {
  reads: Reads<G> | undefined
}

/**
 * A record as a maker sees it: which of its keys it reads is noted. Inner records that are looked into key by key have windows
 * of their own.
 */
export class Window<G> implements ProxyHandler<object> {
  readonly view: object
  private of: Reads<G> | undefined
  private inner: Map<string, Window<G> | undefined> | undefined

  constructor(
    private readonly record: object,
    private readonly source: Source<G>,
    private readonly reader: Reader<G>,
    private readonly sourceWithin?: (key: string) => Source<G> | undefined,
  ) {
    // What is frozen may show nothing but what it holds: where windows stand in for what it holds, a copy is looked at.
    this.view = new Proxy(sourceWithin && Object.isFrozen(record) ? { ...record } : record, this)
  }

  /** Notes that it is looked into, once for each who reads. */
  open(): object {
    this.noted()
    return this.view
  }

  private noted(): Reads<G> | undefined {
    const { reads } = this.reader
    if (reads !== this.of) {
      this.of = reads
      reads?.note(this.source, LOOKED_INTO, this.record)
    }
    return reads
  }

  get(target: object, key: string | symbol): unknown {
    const value = (target as Record<string | symbol, unknown>)[key]
    if (typeof key === 'symbol') return value
    const within =
      this.sourceWithin && typeof value === 'object' && value !== null ? this.within(key, value) : undefined
    if (within) return within.open()
    this.noted()?.note(this.source, key, value)
    return value
  }

  private within(key: string, value: object): Window<G> | undefined {
    const inner = (this.inner ??= new Map<string, Window<G> | undefined>())
    let window = inner.get(key)
    if (window === undefined && !inner.has(key)) {
      const source = this.sourceWithin?.(key)
      window = source && new Window(value, source, this.reader)
      inner.set(key, window)
    }
    return window
  }

  has(target: object, key: string | symbol): boolean {
    this.noted()?.note(this.source, WHOLE, this.record)
    return key in target
  }

  ownKeys(target: object): (string | symbol)[] {
    this.noted()?.note(this.source, WHOLE, this.record)
    return Reflect.ownKeys(target)
  }
}
