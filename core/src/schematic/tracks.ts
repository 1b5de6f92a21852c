/** One end of what a wire does in a gutter: a stub to the card or lane at one side, or down to the earth bar. */
export interface Stub {
  side: 'left' | 'right' | 'down'
  y: number
}

export interface Segment {
  a: Stub
  b: Stub
  track: number
  x: number
  net: string
}

/** Closer than this two verticals do not share a track. */
const APART = 3
/** What it costs when a stub would lie on another. */
const SHARED = 1000
const ROUNDS = 3

const isStraight = ({ a, b }: Segment): boolean =>
  a.side !== b.side && a.side !== 'down' && b.side !== 'down' && a.y === b.y

const spanOf = ({ a, b }: Segment): [number, number] => [Math.min(a.y, b.y), Math.max(a.y, b.y)]

const stubs = ({ a, b }: Segment): Stub[] => [a, b].filter((s) => s.side !== 'down')

/** What it costs that one vertical stands left of another: crossings, and stubs that would lie on each other. */
function costOf(left: Segment, right: Segment): number {
  let cost = 0
  const [l0, l1] = spanOf(left)
  const [r0, r1] = spanOf(right)
  for (const { side, y } of stubs(left)) {
    if (side !== 'right') continue
    if (y > r0 && y < r1) cost += 1
    for (const other of stubs(right)) if (other.side === 'left' && other.y === y) cost += SHARED
    // A stub that ends where the other turns would touch it.
    if ((y === r0 || y === r1) && !stubs(right).some((o) => o.side === 'left' && o.y === y)) cost += SHARED / 2
  }
  for (const { side, y } of stubs(right)) {
    if (side !== 'left') continue
    if (y > l0 && y < l1) cost += 1
    if ((y === l0 || y === l1) && !stubs(left).some((o) => o.side === 'right' && o.y === y)) cost += SHARED / 2
  }
  return cost
}

/** Orders the verticals of one gutter so that few wires cross and none lie on each other, and gives each its track. */
export function tracked(segments: readonly Segment[]): { crossings: number; together: number } {
  const straight = segments.filter(isStraight)
  const turning = segments.filter((s) => !isStraight(s))
  // What it costs that one stands left of another: asked for many times over, and always the same.
  const costs = turning.map((left) => turning.map((right) => (left === right ? 0 : costOf(left, right))))
  const costAt = (left: number, right: number): number => costs[left]?.[right] ?? 0
  const tops = turning.map((s) => spanOf(s)[0])
  let order: number[] = []
  const byTop = turning.map((_, i) => i).sort((a, b) => (tops[a] ?? 0) - (tops[b] ?? 0))
  for (const one of byTop) order = inserted(order, one, costAt)
  for (let round = 0; round < ROUNDS; round += 1) {
    const before = order.join()
    for (let one = 0; one < turning.length; one += 1)
      order = inserted(
        order.filter((other) => other !== one),
        one,
        costAt,
      )
    if (order.join() === before) break
  }
  const ends: { track: number; span: [number, number] }[] = []
  for (const one of order) {
    const segment = turning[one]
    if (!segment) continue
    const [from, to] = spanOf(segment)
    let last = -1
    for (const { track, span } of ends) if (from < span[1] + APART && to > span[0] - APART) last = Math.max(last, track)
    segment.track = 1 + last
    ends.push({ track: segment.track, span: [from, to] })
  }
  let cost = 0
  order.forEach((left, i) => {
    for (let at = i + 1; at < order.length; at += 1) cost += costAt(left, order[at] ?? left)
  })
  for (const s of straight)
    for (const other of turning) {
      const [from, to] = spanOf(other)
      if (s.a.y > from && s.a.y < to) cost += 1
      if (stubs(other).some(({ y }) => y === s.a.y)) cost += SHARED
    }
  return { crossings: cost % (SHARED / 2), together: Math.floor(cost / (SHARED / 2)) }
}

/** The order with one more, where it costs least. */
function inserted(order: readonly number[], one: number, costAt: (left: number, right: number) => number): number[] {
  let best = 0
  let least = Infinity
  // Moved from the left end to the right, past one after the other.
  let cost = 0
  for (const other of order) cost += costAt(one, other)
  for (let at = 0; at <= order.length; at += 1) {
    if (cost < least) {
      least = cost
      best = at
    }
    const passed = order[at]
    if (passed !== undefined) cost += costAt(passed, one) - costAt(one, passed)
  }
  return [...order.slice(0, best), one, ...order.slice(best)]
}
