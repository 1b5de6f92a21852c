import { z } from 'zod'
import { protectionRatings } from '../data/protectionRatings'
import { ampsInput } from '../rules/inputs'
import { refuse, rule } from '../rules/rule'

/** Full load must not sit at the edge of the device. */
const IN_HAND = 1.25

/** The breaker or fuse of a drive's own circuit, and the kind of earth-leakage device before it. */
export const protection = rule({
  id: 'supply.protection',
  input: z.strictObject({
    inputA: ampsInput,
    plateInputA: ampsInput,
    manualMaximumA: ampsInput.optional(),
    region: z.enum(['iec', 'nec']),
    topology: z.enum(['line-neutral', 'line-line', 'doubler', 'three-phase']),
  }),
  output: z.object({
    ratingA: z.number(),
    curve: z.string(),
    earthLeakageType: z.enum(['F', 'B']),
  }),
  compute: ({ inputA, plateInputA, manualMaximumA, region, topology }) => {
    const { ratingsA, curve } = protectionRatings[region]
    const larger = Math.max(inputA, plateInputA)
    const wanted = ratingsA.find((r) => r >= IN_HAND * larger)
    const allowed = ratingsA.filter((r) => manualMaximumA === undefined || r <= manualMaximumA)
    const ratingA =
      wanted !== undefined && allowed.some((r) => r === wanted)
        ? wanted
        : [...allowed].reverse().find((r) => r >= larger && manualMaximumA !== undefined)
    if (ratingA === undefined)
      return manualMaximumA !== undefined && manualMaximumA < larger
        ? refuse(
            'manualMaximumA',
            `must be at least the larger input, ${larger.toFixed(1)} A: the manual’s largest protection would trip at full load`,
          )
        : refuse(
            inputA >= plateInputA ? 'inputA' : 'plateInputA',
            `needs ${(IN_HAND * larger).toFixed(1)} A, beyond the table’s largest, ${ratingsA[ratingsA.length - 1] ?? 0} A`,
          )
    return { ratingA, curve, earthLeakageType: topology === 'line-neutral' ? ('F' as const) : ('B' as const) }
  },
})
