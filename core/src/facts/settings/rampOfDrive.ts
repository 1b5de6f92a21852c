import { countedRamps, rampEntry, rampSeconds, type CountedRamp } from '../../drive'
import type { Plan, SettingId } from '../../plan'
import type { SettingValue } from './settingLine'
import type { RampMeaning } from '../../stages/rampMeanings'

const ramps: ReadonlySet<SettingId> = new Set(['accelerationS', 'decelerationS', 'quickStopS'])

/** Whether the drive has its own way of counting it. */
export const isRamp = (id: SettingId): boolean => ramps.has(id)

/** What the numbers of this drive’s ramps count: as it was timed, else by its manual; undefined while nobody knows. */
export const rampMeaningOf = ({ settings, manual }: Plan): RampMeaning | undefined =>
  settings.rampMeans ?? manual?.rampMeans

export const isCounted = (meaning: RampMeaning): meaning is CountedRamp =>
  (countedRamps as readonly string[]).includes(meaning)

/** The hertz that a ramp’s number may lean on. */
export interface RampHertz {
  baseHz?: number | undefined
  maximumHz?: number | undefined
}

/** Grades that were timed, lowest first; one time for each. */
const timedGrades = ({ settings }: Plan): { grade: number; seconds: number }[] =>
  [...new Map((settings.grades ?? []).map((g) => [g.grade, g])).values()].sort((a, b) => a.grade - b.grade)

type Pair = readonly [number, number]

/** Between the two neighbours along a straight line; undefined outside all of them: nobody timed it there. */
function between(pairs: readonly Pair[], at: number): number | undefined {
  const exact = pairs.find(([x]) => x === at)
  if (exact) return exact[1]
  for (const [i, [x, y]] of pairs.entries()) {
    const next = pairs[i + 1]
    if (next && at > x && at < next[0]) return y + ((at - x) / (next[0] - x)) * (next[1] - y)
  }
  return undefined
}

/**
 * Seconds between standstill and the highest hertz of a ramp as the drive counts it; the number itself while nobody knows
 * what it counts. Undefined where what it leans on is not known, or no grade near it was timed.
 */
function secondsOfRamp(plan: Plan, entered: number, { baseHz, maximumHz }: RampHertz): number | undefined {
  const meaning = rampMeaningOf(plan)
  if (meaning === undefined || meaning === 'to-maximum' || entered === 0) return entered
  if (meaning === 'grade')
    return between(
      timedGrades(plan).map(({ grade, seconds }): Pair => [grade, seconds]),
      entered,
    )
  if (baseHz === undefined || maximumHz === undefined) return undefined
  const found = rampSeconds.run({ entered, meaning, baseFrequencyHz: baseHz, maximumHz })
  return found.ok ? found.value.seconds : undefined
}

/** What to enter for seconds between standstill and the highest hertz, by the same. */
function rampNumber(plan: Plan, seconds: number, { baseHz, maximumHz }: RampHertz): number | undefined {
  const meaning = rampMeaningOf(plan)
  if (meaning === undefined || meaning === 'to-maximum') return seconds
  if (meaning === 'grade')
    return between(
      timedGrades(plan)
        .map(({ grade, seconds: s }): Pair => [s, grade])
        .sort(([a], [b]) => a - b),
      seconds,
    )
  if (baseHz === undefined || maximumHz === undefined || seconds === 0) return undefined
  const found = rampEntry.run({ seconds, meaning, baseFrequencyHz: baseHz, maximumHz })
  return found.ok ? found.value.entered : undefined
}

/** A setting as the drive counts it: ramps by its own number, all else as it is; undefined where that is not known. */
export const asDriveCounts = (
  plan: Plan,
  id: SettingId,
  value: SettingValue | undefined,
  hertz: RampHertz,
): SettingValue | undefined => (typeof value === 'number' && isRamp(id) ? rampNumber(plan, value, hertz) : value)

/** A setting as it was read in the drive: ramps in seconds to the highest hertz, all else as it is. */
export const asPlanCounts = (
  plan: Plan,
  id: SettingId,
  read: SettingValue | undefined,
  hertz: RampHertz,
): SettingValue | undefined => (typeof read === 'number' && isRamp(id) ? secondsOfRamp(plan, read, hertz) : read)
