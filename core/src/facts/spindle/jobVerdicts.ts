import type { Knowing } from '../context'
import { numberOf } from '../figure'
import type { TorqueCurve } from '../motor/torquePoint'
import { isCovered, jobOn, type Given, type JobOn } from './jobOn'
import { spindleAt } from './spindleAt'
import type { JobFacts, PositionFacts, SpeedFacts } from './speedFacts'
import { lowestSpindleLimit } from './spindleLimits'

/** A job with how it goes on every position: the one verdict that ladder, tables, map, chain and findings tell. */
export interface JobVerdicts extends JobFacts {
  /** In the order of the positions; undefined where a speed or ratio is not known. */
  verdicts: (JobOn | undefined)[]
  /** On the position that it is done on. */
  here: JobOn | undefined
  /** Positions on which it can be done. */
  doneOn: PositionFacts[]
}

/** Judges every job on every position, by speed and, where it is known, by torque. */
export function jobVerdicts({
  plan,
  speeds,
  torque,
}: Knowing<{ speeds: SpeedFacts; torque: { curve: TorqueCurve } | undefined }>): JobVerdicts[] {
  const curve = torque?.curve
  const limitRpm = lowestSpindleLimit(plan)?.rpm
  const given = speeds.positions.map((position) => givenOf(position, limitRpm, curve))
  return speeds.jobs.map((job) => {
    const rpm = numberOf(job.wantedRpm)
    // Without a motor's curve no torque is held against what is asked.
    const torqueNm = curve ? numberOf(job.torqueNm) : undefined
    const verdicts = given.map((g) => (g && rpm !== undefined ? jobOn({ rpm, ...job.window, torqueNm }, g) : undefined))
    const on = job.on ? speeds.positions.findIndex(({ index }) => index === job.on?.index) : -1
    return {
      ...job,
      verdicts,
      here: verdicts[on],
      doneOn: speeds.positions.filter((_, i) => {
        const verdict = verdicts[i]
        return verdict !== undefined && isCovered(verdict)
      }),
    }
  })
}

/** What a position gives to a job; undefined while its speeds are not known. */
function givenOf(
  position: PositionFacts,
  limitRpm: number | undefined,
  curve: TorqueCurve | undefined,
): Given | undefined {
  const [bottomRpm, topRpm, speedRatio, efficiency] = [
    position.bottomRpm,
    position.topRpm,
    position.speedRatio,
    position.efficiency,
  ].map(numberOf)
  if (bottomRpm === undefined || topRpm === undefined || speedRatio === undefined || efficiency === undefined)
    return undefined
  return {
    bottomRpm,
    topRpm,
    limitRpm,
    strongestRpm: (curve?.baseRpm ?? 0) * speedRatio,
    at: (rpm, loadNm) =>
      curve
        ? spindleAt(curve, { speedRatio, efficiency }, rpm, loadNm)
        : { continuousNm: undefined, peakNm: Number.POSITIVE_INFINITY },
  }
}
