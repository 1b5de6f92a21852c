/** One thing of a column: where it would like to be, how large it is, how far from the next. */
export interface Wished {
  wish: number
  weight: number
  size: number
  gap: number
  /** Of what stood there before: among those of a rank the order is theirs, whatever they wish. */
  rank?: number
  put: (y: number) => void
}

/**
 * Places things of one column in the order of their wishes, none over another, each as near its wish as the others let it:
 * none above the top. Isotonic regression by pooling neighbours that would overlap (least squares, weighted).
 */
export function placed(things: readonly Wished[], top: number): void {
  const sorted = inOrder(things)
  let offset = 0
  const blocks: { sum: number; weight: number; members: { thing: Wished; offset: number }[] }[] = []
  sorted.forEach((thing, i) => {
    if (i > 0) {
      const before = sorted[i - 1]
      offset += before ? before.size + Math.min(before.gap, thing.gap) : 0
    }
    blocks.push({
      sum: thing.weight * (thing.wish - offset),
      weight: thing.weight,
      members: [{ thing, offset }],
    })
    for (;;) {
      const last = blocks.at(-1)
      const previous = blocks.at(-2)
      if (!last || !previous || previous.sum / previous.weight <= last.sum / last.weight) break
      previous.sum += last.sum
      previous.weight += last.weight
      previous.members.push(...last.members)
      blocks.pop()
    }
  })
  for (const { sum, weight, members } of blocks)
    for (const { thing, offset: at } of members) thing.put(Math.max(top, sum / weight) + at)
}

const middleOf = ({ wish, size }: Wished): number => wish + size / 2

/** By their wishes; what has a rank stays in the order of ranks, and what has none stands between as it wishes. */
function inOrder(things: readonly Wished[]): Wished[] {
  const wished = [...things].sort((a, b) => middleOf(a) - middleOf(b))
  const ranked = wished.filter((t) => t.rank !== undefined).sort((a, b) => (a.rank ?? 0) - (b.rank ?? 0))
  if (ranked.length < 2) return wished
  // The places of those that have a rank are theirs, each taken by the one whose turn it is.
  let turn = 0
  return wished.map((thing) => (thing.rank === undefined ? thing : (ranked[turn++] ?? thing)))
}
