import { rpmAtRim } from '../../drivetrain'
import type { Holder, Plan } from '../../plan'

/** A ceiling on spindle speed, and whose it is. */
export interface SpindleLimit {
  rpm: number
  what: string
  marked: boolean
  holder?: Holder
  index?: number
}

/** The mark on a holder as rpm: as printed, or from its rim speed and diameter. */
function markedRpm({ markedRpm: marked, markedMPerS, diameterMm }: Holder): number | undefined {
  const fromRim = markedMPerS !== undefined && diameterMm !== undefined ? rpmAtRim(diameterMm, markedMPerS) : undefined
  return marked !== undefined && fromRim !== undefined ? Math.min(marked, fromRim) : (marked ?? fromRim)
}

export const holderName = ({ name, kind }: Holder): string => name?.trim() || words[kind ?? 'chuck']

const words: Record<NonNullable<Holder['kind']>, string> = {
  chuck: 'the chuck',
  faceplate: 'the faceplate',
  collet: 'the collet',
  wheel: 'the wheel',
  cutter: 'the cutter',
  'band-wheel': 'the band wheel',
}

/** The ceiling of one thing that spins: its mark, else the machine's own original speed. */
export function limitOf({ survey }: Plan, holder: Holder, index: number): SpindleLimit | undefined {
  const marked = markedRpm(holder)
  const rpm = marked ?? survey.originalTopRpm
  return rpm === undefined ? undefined : { rpm, what: holderName(holder), marked: marked !== undefined, holder, index }
}

/** The ceiling of each thing that spins, and of the spindle itself where its original top speed is known. */
export function spindleLimits(plan: Plan): SpindleLimit[] {
  const original = plan.survey.originalTopRpm
  const holders = plan.survey.holders.flatMap((holder, index) => limitOf(plan, holder, index) ?? [])
  return original === undefined ? holders : [...holders, { rpm: original, what: 'the spindle as built', marked: false }]
}

/**
 * The spindle speed to hold against a limit. A mark is held against the fastest there can be, no
 * load; an original speed was itself a speed under load, so it is held against the loaded one.
 */
export const speedAgainst = (limit: SpindleLimit, unloadedRpm: number, loadedSlip: number): number =>
  limit.marked ? unloadedRpm : unloadedRpm * (1 - loadedSlip)

/** The first limit the spindle meets as it speeds up. */
export const lowestSpindleLimit = (plan: Plan): SpindleLimit | undefined =>
  spindleLimits(plan).reduce<SpindleLimit | undefined>(
    (low, limit) => (low && low.rpm <= limit.rpm ? low : limit),
    undefined,
  )
