import type { Evaluation } from '../evaluate/evaluation'
import { lowestSpindleLimit } from '../facts/spindle/spindleLimits'
import type { FigureId } from '../facts/figureId'
import { torqueCurve } from '../facts/motor/torqueCurve'
import type { Plan } from '../plan'
import type { Given, JobOn, Wanted } from '../facts/spindle/jobOn'
import { spindleAt } from '../facts/spindle/spindleAt'

/** What the spindle has at one speed of a position; torque in N m. */
export interface MapPoint {
  rpm: number
  continuousNm: number | undefined
  peakNm: number
}

export interface MapPosition {
  id: string
  name: string
  main: boolean
  bottomRpm: number
  topRpm: number
  /** At base hertz, no load. */
  baseRpm: number
  points: MapPoint[]
}

export interface MapJob {
  id: string
  name: string
  wanted: Wanted
  /** How it goes on each position, in the order of `positions`. */
  on: JobOn[]
}

/** Speeds between two positions that neither reaches, or that both do. */
export interface Span {
  kind: 'gap' | 'overlap'
  fromRpm: number
  toRpm: number
  between: [string, string]
}

export interface SpeedMap {
  positions: MapPosition[]
  jobs: MapJob[]
  spans: Span[]
  /** Ceiling of what spins, and whose it is. */
  limit: { rpm: number; what: string } | undefined
}

/** Points of a curve: enough that its bends are seen. */
const STEPS = 48

/**
 * Torque at the spindle over speed for every position, with the jobs on it; undefined while motor, drive or belts are not known.
 *
 * @example speedMap(emptyPlan('Lathe'), evaluate(emptyPlan('Lathe'))) // undefined
 */
export function speedMap(plan: Plan, evaluation: Evaluation): SpeedMap | undefined {
  const value = (id: FigureId | undefined) => (id === undefined ? undefined : evaluation.figures[id]?.value)
  if (!evaluation.torque) return undefined
  const curve = torqueCurve(evaluation.torque)
  const limit = lowestSpindleLimit(plan)
  const ways = evaluation.positions.flatMap((line) => {
    const [speedRatio, efficiency, bottomRpm, topRpm] = [
      value(line.speedRatio),
      value(`position.${line.id}.efficiency`),
      value(line.bottomRpm),
      value(line.topRpm),
    ]
    if (speedRatio === undefined || efficiency === undefined || bottomRpm === undefined || topRpm === undefined)
      return []
    const at: Given['at'] = (rpm, loadNm) => spindleAt(curve, { speedRatio, efficiency }, rpm, loadNm)
    const baseRpm = curve.baseRpm * speedRatio
    return [{ line, bottomRpm, topRpm, at, baseRpm }]
  })
  const positions = ways.map(({ line, bottomRpm, topRpm, baseRpm, at }): MapPosition => ({
    id: line.id,
    name: line.name,
    main: line.main,
    bottomRpm,
    topRpm,
    baseRpm,
    points: Array.from({ length: STEPS + 1 }, (_, i) => {
      // Even steps on the logarithmic scale that speeds are drawn on.
      const rpm = bottomRpm * (topRpm / bottomRpm) ** (i / STEPS)
      return { rpm, ...torqueOnly(at(rpm, 0)) }
    }),
  }))
  const jobs = evaluation.jobs.flatMap((job): MapJob[] => {
    const rpm = value(job.wantedRpm)
    if (rpm === undefined) return []
    const wanted = { rpm, ...job.window, torqueNm: value(job.torqueNm) }
    const on = ways.flatMap((way) => job.on.find((o) => o.positionId === way.line.id) ?? [])
    return [{ id: job.id, name: job.name, wanted, on }]
  })
  return { positions, jobs, spans: spans(positions), limit: limit && { rpm: limit.rpm, what: limit.what } }
}

const torqueOnly = ({ continuousNm, peakNm }: ReturnType<Given['at']>) => ({ continuousNm, peakNm })

/** Gaps and overlaps between positions that follow each other in speed. */
function spans(positions: readonly MapPosition[]): Span[] {
  const rising = [...positions].sort((a, b) => a.bottomRpm - b.bottomRpm)
  return rising.slice(1).flatMap((upper, i): Span[] => {
    const lower = rising[i]
    if (!lower) return []
    const [from, to] = [Math.min(lower.topRpm, upper.bottomRpm), Math.max(lower.topRpm, upper.bottomRpm)]
    const gap = upper.bottomRpm > lower.topRpm
    return [
      {
        kind: gap ? 'gap' : 'overlap',
        fromRpm: gap ? from : upper.bottomRpm,
        toRpm: gap ? to : Math.min(lower.topRpm, upper.topRpm),
        between: [lower.name, upper.name],
      },
    ]
  })
}
