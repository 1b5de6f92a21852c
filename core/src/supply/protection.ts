import { z } from 'zod'
import { protectionRatings } from '../data/protectionRatings'
import { amps, gives } from '../rules/inputs'
import { refuse, rule } from '../rules/rule'

/** Full load must not sit at the edge of the device. */
const IN_HAND = 1.25

/** The breaker or fuse of a drive's own circuit, and the kind of earth-leakage device before it. */
export const protection = rule({
  id: 'supply.protection',
  title: 'Protection of the drive’s circuit',
  input: z.strictObject({
    inputA: amps('computed input at full load'),
    plateInputA: amps('input on the drive’s plate'),
    manualMaximumA: amps('largest protection the manual allows').optional(),
    region: z.enum(['iec', 'nec']).describe('whose standard ratings'),
    topology: z
      .enum(['line-neutral', 'line-line', 'doubler', 'three-phase'])
      .describe('how the drive stands on the supply'),
  }),
  output: z.object({
    ratingA: gives('A', 'standard rating'),
    curve: z.string().describe('tripping curve'),
    earthLeakageType: z
      .enum(['F', 'B'])
      .describe(
        'F for line and neutral (A only where the manual says so), B for all others; never AC, and never a B behind an A, AC or F',
      ),
  }),
  formula: 'next standard rating at or above 1.25 x the larger input, never above the manual’s maximum',
  source:
    'IEC 60898 and NEC 240.6 (ratings), IEC 60364-5-53 and IEC 61800-5-1 (earth-leakage types); 1.25 after NEC 430.122',
  example: { inputA: 13.23, plateInputA: 14.5, region: 'iec', topology: 'line-neutral' },
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
