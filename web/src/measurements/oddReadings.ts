import type { Measured } from '@zesty/core/measurements'

/** Ids of readings that do not belong with the rest, and of both of a pair that disagrees. */
export function oddReadings({ positions, anywhere, seatTorqueNm, insulation, runUpS, disagreements }: Measured) {
  const ofPositions = [...Object.values(positions), anywhere].flatMap((p) => [
    p.perTurn,
    p.perHertz,
    p.surfacePerHertz,
    p.coast?.seconds,
  ])
  const outliers = [...ofPositions, seatTorqueNm, insulation, runUpS].flatMap((s) => s?.outliers ?? [])
  const odd = new Set(outliers.map(({ id }) => id))
  // Where the rest speaks for one of a pair, that one is in order.
  for (const pair of disagreements) if (!odd.has(pair.odd.id)) for (const { id } of [pair.kept, pair.odd]) odd.add(id)
  return odd
}
