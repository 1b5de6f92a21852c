/** What a job asks: the speed it wants, how far from that is still good, and the torque. */
export interface Wanted {
  rpm: number
  slower: number
  faster: number
  torqueNm: number | undefined
}

/** What a position gives: the speeds of the knob, the ceiling of what spins, and the torque at a speed. */
export interface Given {
  bottomRpm: number
  topRpm: number
  /** Of what spins there; undefined where nothing is marked. */
  limitRpm: number | undefined
  /** Where the motor stands at base hertz: torque falls off to either side. */
  strongestRpm: number
  at: (rpm: number, loadNm: number) => { continuousNm: number | undefined; peakNm: number }
}

/** Peak torque over what is asked, from which on nothing stalls. */
const SURE = 1.3

/** How a job goes on a position, from best to worst. */
export const verdictOrder = [
  'all-day',
  'speed-only',
  'moments',
  'may-stall',
  'weak',
  'over-limit',
  'too-slow',
  'too-fast',
] as const

export type JobVerdict = (typeof verdictOrder)[number]

/** How well a job is done: nothing where it is not done at all. */
export const verdictRank = (verdict: JobVerdict): number =>
  Math.max(0, verdictOrder.indexOf('weak') - verdictOrder.indexOf(verdict))

export interface JobOn {
  verdict: JobVerdict
  /** Speed it would be done at: the wanted one, or the nearest that is still good. */
  rpm: number | undefined
  /** Torque there over torque asked, all day and for moments; undefined where either is not known. */
  marginContinuous: number | undefined
  marginPeak: number | undefined
}

const none = (verdict: JobVerdict): JobOn => ({
  verdict,
  rpm: undefined,
  marginContinuous: undefined,
  marginPeak: undefined,
})

/** Judges one job on one position. */
export function jobOn({ rpm: wanted, slower, faster, torqueNm }: Wanted, given: Given): JobOn {
  const { bottomRpm, topRpm, limitRpm } = given
  const lowest = Math.max(bottomRpm, wanted * slower)
  const highest = Math.min(topRpm, wanted * faster)
  if (lowest > highest) return none(wanted * faster < bottomRpm ? 'too-fast' : 'too-slow')
  const ceiling = Math.min(highest, limitRpm ?? Infinity)
  if (ceiling < lowest) return none('over-limit')
  const within = (rpm: number) => Math.min(Math.max(rpm, lowest), ceiling)
  if (torqueNm === undefined) return { ...none('speed-only'), rpm: within(wanted) }
  const asWanted = loadedAt(within(wanted), torqueNm, given)
  if (asWanted.verdict === 'all-day') return asWanted
  // A little slower or faster, still good for the job, may hold what the wanted speed does not.
  const strongest = loadedAt(within(given.strongestRpm), torqueNm, given)
  return verdictRank(strongest.verdict) > verdictRank(asWanted.verdict) ? strongest : asWanted
}

function loadedAt(rpm: number, torqueNm: number, given: Given): JobOn {
  const { continuousNm, peakNm } = given.at(rpm, torqueNm)
  const marginContinuous = continuousNm === undefined ? undefined : continuousNm / torqueNm
  const marginPeak = peakNm / torqueNm
  return { verdict: torqueVerdict(marginContinuous, marginPeak), rpm, marginContinuous, marginPeak }
}

/** All day wants both: torque that lasts, and pull-out far enough above it. */
function torqueVerdict(continuous: number | undefined, peak: number): JobVerdict {
  if (peak < 1) return 'weak'
  if (peak < SURE) return 'may-stall'
  return continuous !== undefined && continuous >= 1 ? 'all-day' : 'moments'
}

/** Whether the job can be done there at all: the speed is there, and the torque as far as it is known. */
export const isCovered = ({ verdict }: JobOn): boolean => verdictRank(verdict) > 0
