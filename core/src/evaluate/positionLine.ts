import type { Facts } from '../facts/facts'
import { numberOf, type FigureState } from '../facts/figure'
import type { FigureId } from '../facts/figureId'
import type { JobOn, JobVerdict } from '../facts/spindle/jobOn'
import type { JobVerdicts } from '../facts/spindle/jobVerdicts'
import type { PositionFacts } from '../facts/spindle/speedFacts'

/** One belt position as shown; figures by id, to be looked up in `figures` or `blocked`. */
export interface PositionLine {
  id: string
  name: string
  main: boolean
  speedRatio: FigureId
  bottomRpm: FigureId
  baseRpm: FigureId
  topRpm: FigureId
  unloadedTopRpm: FigureId
  torqueNm: FigureId
  reversed?: boolean
  /** Unloaded spindle rpm at round hertz between lowest and highest. */
  ladder: { frequencyHz: number; spindleRpm: number }[]
  jobsReached: number
}

export interface JobLine {
  id: string
  name: string
  wantedRpm: FigureId
  window: { slower: number; faster: number }
  torqueNm?: FigureId
  powerW?: FigureId
  positionId?: string
  /** How it goes on the position it is done on; undefined while that is not known. */
  verdict?: JobVerdict
  /** How it goes on each position, where that is known. */
  on: (JobOn & { positionId: string })[]
  /** Positions on which it can be done. */
  doneOn: string[]
}

export function positionLine({ jobs, speeds, settings, motor }: Facts, p: PositionFacts): PositionLine {
  const id = (figure: FigureState) => figure.id
  return {
    id: p.position.id,
    name: p.name,
    main: p.index === speeds.main?.index,
    speedRatio: id(p.speedRatio),
    bottomRpm: id(p.bottomRpm),
    baseRpm: id(p.baseRpm),
    topRpm: id(p.topRpm),
    unloadedTopRpm: id(p.unloadedTopRpm),
    torqueNm: id(p.torqueNm),
    ...(p.reversed === undefined ? {} : { reversed: p.reversed }),
    ladder: ladder(p, settings.minimumHz, settings.maximumHz, motor.frequencyHz),
    jobsReached: jobs.filter((j) => j.doneOn.some(({ index }) => index === p.index)).length,
  }
}

export const jobLine = (
  positions: readonly PositionFacts[],
  { job, name, wantedRpm, window, torqueNm, powerW, on, here, verdicts, doneOn }: JobVerdicts,
): JobLine => ({
  id: job.id,
  name,
  wantedRpm: wantedRpm.id,
  window,
  ...(torqueNm ? { torqueNm: torqueNm.id } : {}),
  ...(powerW ? { powerW: powerW.id } : {}),
  ...(on ? { positionId: on.position.id } : {}),
  ...(here ? { verdict: here.verdict } : {}),
  on: positions.flatMap((p, i) => {
    const how = verdicts[i]
    return how ? [{ positionId: p.position.id, ...how }] : []
  }),
  doneOn: doneOn.map((p) => p.position.id),
})

/** Steps between the rungs of a ladder, by how far it spans. */
const STEPS = [5, 10, 25, 50, 100, 250]
const MOST_RUNGS = 10

function ladder(p: PositionFacts, low: FigureState, high: FigureState, base: FigureState): PositionLine['ladder'] {
  const [lowHz, highHz, baseHz, topRpm] = [numberOf(low), numberOf(high), numberOf(base), numberOf(p.unloadedTopRpm)]
  if (lowHz === undefined || highHz === undefined || topRpm === undefined || lowHz >= highHz) return []
  const step = STEPS.find((s) => (highHz - lowHz) / s <= MOST_RUNGS) ?? 500
  const hertz = new Set([lowHz, highHz])
  if (baseHz !== undefined && baseHz > lowHz && baseHz < highHz) hertz.add(baseHz)
  for (let hz = step * (Math.floor(lowHz / step) + 1); hz < highHz; hz += step) hertz.add(hz)
  return [...hertz]
    .sort((a, b) => a - b)
    .map((frequencyHz) => ({ frequencyHz, spindleRpm: (topRpm * frequencyHz) / highHz }))
}
