interface Point {
  dial: number
  rpm: number
}

/**
 * The nearest values that only rise, or only fall, with the mark: neighbours that go the wrong way share their mean.
 *
 * Source: pool adjacent violators (Ayer and others, 1955).
 */
export function monotone(points: readonly Point[], falling: boolean): Point[] {
  const sign = falling ? -1 : 1
  const blocks: { sum: number; count: number }[] = []
  for (const { rpm } of points) {
    blocks.push({ sum: sign * rpm, count: 1 })
    for (;;) {
      const [last, before] = [blocks.at(-1), blocks.at(-2)]
      if (!last || !before || before.sum / before.count <= last.sum / last.count) break
      blocks.splice(-2, 2, { sum: last.sum + before.sum, count: last.count + before.count })
    }
  }
  const levels = blocks.flatMap(({ sum, count }) => Array.from({ length: count }, () => (sign * sum) / count))
  return points.map(({ dial }, i) => ({ dial, rpm: levels[i] ?? Number.NaN }))
}
