import type { Graph } from './graph'

/**
 * Records of parts: each key is looked up in the graph when it is read, and not before.
 *
 *     const Both = lookedUp<{ one: number; two: number }>(['one', 'two'], (graph, key) => graph.seen(parts[key]))
 */
export function lookedUp<T extends object>(
  keys: readonly (keyof T & string)[],
  look: (graph: Graph, key: keyof T & string) => unknown,
): new (graph: Graph) => T & { readonly graph: Graph } {
  class LookedUp {
    constructor(readonly graph: Graph) {}
  }
  for (const key of keys)
    Object.defineProperty(LookedUp.prototype, key, {
      get(this: LookedUp) {
        return look(this.graph, key)
      },
    })
  return LookedUp as unknown as new (graph: Graph) => T & { readonly graph: Graph }
}
