import { jobOn, type Given, type JobOn, verdictRank, type Wanted } from '../facts/spindle/jobOn'
import { spindleAt } from '../facts/spindle/spindleAt'
import { bitOf, bits, halfOf, HALVES } from './jobMask'
import type { Ranked } from './rank'
import type { SearchSpace } from './space'
import type { TrainPosition } from './trains'
import type { Variant } from './variant'

/** Trains as the places of their positions among all ways that differ. */
export interface WayIndex {
  ways: TrainPosition[]
  /** By train. */
  of: number[][]
}

/** Many trains share a ratio; each is worked out once. */
export function wayIndex({ trains }: SearchSpace): WayIndex {
  const places = new Map<string, number>()
  const ways: TrainPosition[] = []
  const of = trains.map(({ positions }) =>
    positions.map((way) => {
      const key = `${way.speedRatio} ${way.efficiency}`
      const known = places.get(key)
      if (known !== undefined) return known
      places.set(key, ways.length)
      return ways.push(way) - 1
    }),
  )
  return { ways, of }
}

const ALL_DAY = verdictRank('all-day')

/** More in hand than this makes no motor cooler. */
const PLENTY = 10

/**
 * What the jobs do at each ratio of a variant, for each cell: one top with one bottom of the knob. Made
 * once for a search and written over for each variant, because making it costs more than filling it.
 */
export class JobTables {
  /** Bits of the jobs that are done, and of those that are done all day: two halves a cell. */
  readonly done: Int32Array
  readonly allDay: Int32Array
  /** By cell and job: rank of its verdict, torque in hand. */
  readonly ranks: Int8Array
  readonly inHand: Float64Array
  /** All day at the slowest job's wanted speed, N m; not a number until it is asked for. */
  readonly slowNm: Float64Array
  readonly filled: Uint8Array

  constructor(
    readonly index: WayIndex,
    readonly jobs: readonly Wanted[],
    readonly cells: number,
  ) {
    const ways = index.ways.length
    this.done = new Int32Array(ways * cells * HALVES)
    this.allDay = new Int32Array(ways * cells * HALVES)
    this.ranks = new Int8Array(ways * cells * jobs.length)
    this.inHand = new Float64Array(ways * cells * jobs.length)
    this.slowNm = new Float64Array(ways)
    this.filled = new Uint8Array(ways)
  }

  clear(): void {
    this.done.fill(0)
    this.allDay.fill(0)
    this.ranks.fill(0)
    this.filled.fill(0)
    this.slowNm.fill(NaN)
  }
}

/** Judges the trains of one variant. */
export class TrainJudge {
  private readonly slowest: number
  /** Most torque of the motor at any hertz, and a little: what asks more is out of reach without looking closer. */
  private readonly mostNm: number

  constructor(
    private readonly variant: Variant,
    private readonly tables: JobTables,
    private readonly limitRpm: number | undefined,
  ) {
    tables.clear()
    const { jobs } = tables
    const { baseRpm, at } = variant.curve
    this.mostNm = 1.01 * Math.max(...[baseRpm, 0.5 * baseRpm, 0.1 * baseRpm].map((rpm) => at(rpm).peakNm))
    this.slowest = jobs.reduce((at, job, i) => (job.rpm < (jobs[at]?.rpm ?? Infinity) ? i : at), 0)
  }

  cell(top: number, bottom: number): number {
    return top * this.variant.bottomRpm.length + bottom
  }

  /** The ways of a train, worked out. */
  waysOf(train: number): readonly number[] {
    const ways = this.tables.index.of[train] ?? []
    for (const way of ways) if (this.tables.filled[way] === 0) this.fill(way)
    return ways
  }

  /** Jobs and moves of a train, with nothing better imaginable in the rest: what it cannot surpass. */
  upperBound(ways: readonly number[], cell: number): Ranked {
    const { done, allDay, cells } = this.tables
    let [covered, all] = [0, 0]
    for (let half = 0; half < HALVES; half += 1) {
      let [doneHere, allHere] = [0, 0]
      for (const way of ways) {
        const at = (way * cells + cell) * HALVES + half
        doneHere |= done[at] ?? 0
        allHere |= allDay[at] ?? 0
      }
      covered += bits(doneHere)
      all += bits(allHere)
    }
    const moves = covered === 0 ? 0 : this.fewestMoves(ways, cell, covered)
    return { covered, allDay: all, moves, slowNm: Infinity, inHand: Infinity, cost: undefined, order: -1 }
  }

  /** The rest of the score: torque at the slowest job, and the least torque in hand. */
  complete(ways: readonly number[], cell: number, score: Ranked): void {
    const { ranks, inHand, cells, jobs } = this.tables
    const count = jobs.length
    score.slowNm = 0
    score.inHand = PLENTY
    for (let job = 0; job < count; job += 1) {
      let best = 0
      let most = -1
      for (const way of ways) {
        const at = (way * cells + cell) * count + job
        const here = ranks[at] ?? 0
        if (here === 0) continue
        const hand = inHand[at] ?? -1
        if (here > best) {
          best = here
          most = hand
        } else if (here === best && hand > most) most = hand
        if (job === this.slowest) score.slowNm = Math.max(score.slowNm, this.slowOn(way))
      }
      if (best > 0 && most >= 0 && most < score.inHand) score.inHand = most
    }
  }

  private fill(at: number): void {
    const { tables, variant, limitRpm } = this
    const way = tables.index.ways[at]
    tables.filled[at] = 1
    if (!way) return
    const { curve, slip, topRpm: motorTops, bottomRpm: motorBottoms } = variant
    const strongestRpm = curve.baseRpm * way.speedRatio
    const tops = motorTops.map((rpm) => (rpm === undefined ? undefined : rpm * way.speedRatio * (1 - slip)))
    const bottoms = motorBottoms.map((rpm) => rpm * way.speedRatio)
    const [slowestRpm, fastestRpm] = [Math.min(...bottoms), Math.max(0, ...tops.map((rpm) => rpm ?? 0))]
    const torque: At = (rpm, loadNm) => spindleAt(curve, way, rpm, loadNm)
    tables.jobs.forEach((job, j) => {
      // Most jobs are plainly out of reach of most ratios, by speed or by torque.
      if (job.rpm * job.faster < slowestRpm || job.rpm * job.slower > fastestRpm) return
      if (job.torqueNm !== undefined && job.torqueNm * way.speedRatio > this.mostNm * way.efficiency) return
      const asked = remembering(torque)
      if (job.torqueNm !== undefined && !reachable(asked, job, strongestRpm)) return
      const fastest = job.rpm * job.faster
      bottoms.forEach((bottomRpm, b) => {
        // Beyond the fastest that is good for the job, a higher top changes nothing.
        let unbound: JobOn | undefined
        tops.forEach((topRpm, t) => {
          if (topRpm === undefined) return
          const on = unbound ?? jobOn(job, { bottomRpm, topRpm, limitRpm, strongestRpm, at: asked })
          if (topRpm >= fastest) unbound = on
          this.enter(at * tables.cells + this.cell(t, b), j, on)
        })
      })
    })
  }

  private slowOn(at: number): number {
    const { slowNm, index, jobs } = this.tables
    const known = slowNm[at] ?? 0
    if (!Number.isNaN(known)) return known
    const [way, slowest] = [index.ways[at], jobs[this.slowest]]
    const { curve } = this.variant
    const made = way && slowest ? (spindleAt(curve, way, slowest.rpm, slowest.torqueNm ?? 0).continuousNm ?? 0) : 0
    slowNm[at] = made
    return made
  }

  /** Writes one job into a cell of a way. */
  private enter(cell: number, job: number, { verdict, marginContinuous }: JobOn): void {
    const here = verdictRank(verdict)
    if (here === 0) return
    const { done, allDay, ranks, inHand, jobs } = this.tables
    const half = cell * HALVES + halfOf(job)
    done[half] = (done[half] ?? 0) | bitOf(job)
    if (here === ALL_DAY) allDay[half] = (allDay[half] ?? 0) | bitOf(job)
    ranks[cell * jobs.length + job] = here
    inHand[cell * jobs.length + job] = marginContinuous === undefined ? -1 : Math.min(PLENTY, marginContinuous)
  }

  /** The fewest positions that do all that is done, less one. */
  private fewestMoves(ways: readonly number[], cell: number, covered: number): number {
    const { done, cells } = this.tables
    const low = (way: number) => done[(way * cells + cell) * HALVES] ?? 0
    const high = (way: number) => done[(way * cells + cell) * HALVES + 1] ?? 0
    for (const a of ways) if (bits(low(a)) + bits(high(a)) === covered) return 0
    for (const a of ways)
      for (const b of ways) if (bits(low(a) | low(b)) + bits(high(a) | high(b)) === covered) return 1
    // Three and more: in order, each position that adds a job counts.
    let [seenLow, seenHigh, used] = [0, 0, 0]
    for (const way of ways) {
      const [l, h] = [seenLow | low(way), seenHigh | high(way)]
      if (l === seenLow && h === seenHigh) continue
      ;[seenLow, seenHigh, used] = [l, h, used + 1]
    }
    return used - 1
  }
}

/** Whether the torque a job asks is there at any speed that is good for it: it is most next to base hertz. */
function reachable(at: At, job: Wanted, strongestRpm: number): boolean {
  const asked = job.torqueNm ?? 0
  const rpm = Math.min(Math.max(strongestRpm, job.rpm * job.slower), job.rpm * job.faster)
  const { continuousNm, peakNm } = at(rpm, asked)
  return peakNm >= asked || (continuousNm !== undefined && continuousNm >= asked)
}

type At = Given['at']

/** For one job, the same few speeds are asked for again with every top and bottom: the wanted, the strongest, the ends. */
function remembering(at: At): At {
  const speeds: number[] = []
  const made: ReturnType<At>[] = []
  return (rpm, loadNm) => {
    const known = made[speeds.indexOf(rpm)]
    if (known) return known
    speeds.push(rpm)
    const now = at(rpm, loadNm)
    made.push(now)
    return now
  }
}
