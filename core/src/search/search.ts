import { conversion, type Conversion } from '../conversion/conversion'
import { numberOf } from '../facts/figure'
import { lowestSpindleLimit } from '../facts/spindle/spindleLimits'
import type { JudgementId } from '../findings/judge'
import { applyPatch, type Plan } from '../plan'
import type { Wanted } from '../facts/spindle/jobOn'
import type { Combination } from './combination'
import { JobTables, TrainJudge, wayIndex } from './judgeTrain'
import { firstDifference as differsIn, ranking, type Ranked } from './rank'
import { combinationsOf, type DriveChoice, type MotorChoice, type SearchSpace } from './space'
import type { TrainChoice } from './trains'
import { pairing, type Unfit, type Variant } from './variant'
import type { SearchCriteria } from './searchCriteria'
import { takeCombination } from './takeCombination'

export interface SearchState {
  /** Of how many combinations it is known whether they are worth showing. */
  done: number
  total: number
  /** Of those, how many were scored one by one; the others were passed over together. */
  judged: number
  best: Combination[]
  /** For each number of jobs, the cheapest way to do at least that many; falling in jobs and in cost. */
  front: Combination[]
  /** Pairs of motor and drive that do not go together, by the reason. */
  unfit: Partial<Record<Unfit, number>>
  /** Combinations that fit but break a criterion. */
  overBudget: number
  lostJobs: number
  /** Combinations that do their jobs and that the findings still speak against: a belt too fast, too weak or shaking. */
  unsound: number
}

/** What a plan asks, as the search takes it. */
export interface Asked {
  jobs: Wanted[]
  limitRpm: number | undefined
}

export function askedOf({ plan, facts }: Conversion): Asked {
  return {
    jobs: facts.speeds.jobs.flatMap(({ wantedRpm, window, torqueNm }): Wanted[] => {
      const rpm = numberOf(wantedRpm)
      return rpm === undefined ? [] : [{ rpm, ...window, torqueNm: numberOf(torqueNm) }]
    }),
    limitRpm: lowestSpindleLimit(plan)?.rpm,
  }
}

const SHOWN = 12

/** Judgements that a train must pass beside doing its jobs: none at all of a belt, no stop of the motor. */
const ofBelts = ['belts.over-speed', 'belts.too-weak', 'spindle.resonance'] as const satisfies readonly JudgementId[]
const ofMotor = ['motor.over-safe-speed', 'motor.past-pull-out'] as const satisfies readonly JudgementId[]

/** What the findings say of one that would be shown: whether they have nothing against it, and how many belts it wants. */
interface Held {
  sound: boolean
  belts: number | undefined
}

/** Asked only of what would be shown: the machine with it, of the last one that was tried what did not change. */
function heldAgainstFindings(machine: Conversion, found: Combination, last: Conversion): [Held, Conversion] {
  const tried = conversion(applyPatch(machine.plan, takeCombination(machine.plan, found)), { before: last })
  const against =
    tried.found(ofBelts).some((f) => f.severity !== 'note') || tried.found(ofMotor).some((f) => f.severity === 'stop')
  const wanted = tried.facts.belts.flatMap(({ capacity }) => numberOf(capacity?.beltsWanted) ?? [])
  const belts = found.train.own || wanted.length === 0 ? undefined : Math.max(...wanted)
  return [{ sound: !against, belts }, tried]
}

/** The cell of the widest knob; undefined where the pair stands no hertz at all. */
function widestCell(judge: TrainJudge, { topHz, bottomHz }: Variant): number | undefined {
  let top: number | undefined
  for (const [t, hz] of topHz.entries()) if (hz !== undefined && hz > (topHz[top ?? -1] ?? 0)) top = t
  if (top === undefined) return undefined
  const bottom = bottomHz.reduce<number>((at, hz, i) => (hz < (bottomHz[at] ?? Infinity) ? i : at), 0)
  return judge.cell(top, bottom)
}

/** Cost of what must be bought; undefined where a price is not known. */
function costOf(
  motor: MotorChoice,
  drive: DriveChoice,
  train: TrainChoice,
  criteria: SearchCriteria,
): number | undefined {
  const prices = [
    motor.own ? 0 : motor.plate.price,
    drive.own ? 0 : drive.plate.price,
    train.own ? 0 : criteria.pulleyPrice === undefined ? undefined : train.pairs * criteria.pulleyPrice,
  ]
  return prices.reduce<number | undefined>((sum, p) => (sum === undefined || p === undefined ? undefined : sum + p), 0)
}

/**
 * Goes through the whole space and yields how far it is, after every pair of motor and drive. Exact: a
 * pair is passed over only where the best that it could possibly be would neither be shown nor stand on
 * the front. `prune` off goes through it one by one, for proof.
 */
export function* search(
  plan: Plan,
  space: SearchSpace,
  criteria: SearchCriteria,
  prune = true,
): Generator<SearchState, SearchState> {
  const machine = conversion(plan)
  let last = machine
  const { jobs, limitRpm } = askedOf(machine)
  const tables = new JobTables(wayIndex(space), jobs, space.tops.length * space.bottoms.length)
  const pairs = pairing(machine, space, criteria)
  const compare = ranking(criteria.first)
  const perPair = space.trains.length * space.tops.length * space.bottoms.length
  const state: SearchState = {
    done: 0,
    total: combinationsOf(space),
    judged: 0,
    best: [],
    front: [],
    unfit: {},
    overBudget: 0,
    lostJobs: 0,
    unsound: 0,
  }
  const sound = new Map<TrainChoice, Map<string, Held>>()
  for (const [m, motor] of space.motors.entries())
    for (const [d, drive] of space.drives.entries()) {
      const variant = pairs(motor, drive)
      if (typeof variant === 'string') state.unfit[variant] = (state.unfit[variant] ?? 0) + 1
      else judgePair(variant, (m * space.drives.length + d) * perPair)
      state.done += perPair
      yield state
    }
  return state

  function judgePair(variant: Variant, first: number): void {
    sound.clear()
    const judge = new TrainJudge(variant, tables, limitRpm)
    const widest = widestCell(judge, variant)
    for (const [k, train] of space.trains.entries()) {
      const cost = costOf(variant.motor, variant.drive, train, criteria)
      if (criteria.budget !== undefined && (cost === undefined || cost > criteria.budget)) {
        state.overBudget += 1
        continue
      }
      if (widest === undefined) continue
      const ways = judge.waysOf(k)
      if (prune && cannotShow(judge, ways, widest, cost)) continue
      const best = bestOf(variant, judge, train, ways, cost, first + k * space.tops.length * space.bottoms.length)
      if (!best || best.covered === 0) continue
      if (criteria.everyJob && best.covered < jobs.length) {
        state.lostJobs += 1
        continue
      }
      show(best)
    }
  }

  /** The best hertz for a train, each judged; what belongs on the front goes there. */
  function bestOf(
    { motor, drive, inputA, topHz: tops, bottomHz: bottoms }: Variant,
    judge: TrainJudge,
    train: TrainChoice,
    ways: readonly number[],
    cost: number | undefined,
    first: number,
  ): Combination | undefined {
    let best: Combination | undefined
    for (const [t, topHz] of tops.entries()) {
      if (topHz === undefined) continue
      for (const [b, bottomHz] of bottoms.entries()) {
        if (bottomHz >= topHz) continue
        state.judged += 1
        const cell = judge.cell(t, b)
        const score = judge.upperBound(ways, cell)
        score.cost = cost
        score.order = first + t * space.bottoms.length + b
        const onFrontToo =
          score.covered > 0 && (!criteria.everyJob || score.covered === jobs.length) && wouldStandOnFront(score)
        // What is already beaten by its jobs, moves and cost needs no more working out.
        if (best && !onFrontToo && compare(score, best) >= 0) continue
        judge.complete(ways, cell, score)
        const better = !best || compare(score, best) < 0
        if (!better && !onFrontToo) continue
        const found: Combination = Object.assign(score, { motor, drive, train, topHz, bottomHz, inputA })
        // What would not be shown need not be asked about.
        const last = state.best[SHOWN - 1]
        if ((onFrontToo || !last || compare(found, last) < 0) && !isSoundAt(found)) continue
        if (better) best = found
        if (onFrontToo) onFront(found)
      }
    }
    return best
  }

  /** Of one train between one pair of hertz, remembered: the search comes by it again and again. */
  function isSoundAt(found: Combination): boolean {
    const key = `${found.topHz} ${found.bottomHz}`
    const known = sound.get(found.train) ?? new Map<string, Held>()
    sound.set(found.train, known)
    const told = known.get(key) ?? heldAgainst(found)
    known.set(key, told)
    if (!told.sound) state.unsound += 1
    else if (told.belts !== undefined) found.belts = told.belts
    return told.sound
  }

  function heldAgainst(found: Combination): Held {
    const [held, tried] = heldAgainstFindings(machine, found, last)
    last = tried
    return held
  }

  /** Whether the best that this train could be between any hertz is already beaten. */
  function cannotShow(judge: TrainJudge, ways: readonly number[], widest: number, cost: number | undefined): boolean {
    const last = state.best[SHOWN - 1]
    if (!last) return false
    // A wider knob never does fewer jobs; with fewer jobs there may be fewer moves.
    const hope = judge.upperBound(ways, widest)
    hope.moves = 0
    hope.cost = cost
    return compare(hope, last) >= 0 && !wouldStandOnFront(hope)
  }

  /** Pulleys of other sizes in the same ratio are no other way. */
  function show(found: Combination): void {
    const same = (f: Combination) =>
      f.motor === found.motor && f.drive === found.drive && differsIn(criteria.first, f, found) === undefined
    const last = state.best[SHOWN - 1]
    if ((last && compare(found, last) >= 0) || state.best.some(same)) return
    state.best.push(found)
    state.best.sort(compare)
    if (state.best.length > SHOWN) state.best.length = SHOWN
  }

  function wouldStandOnFront({ covered, cost }: Ranked): boolean {
    return cost !== undefined && !state.front.some((f) => f.covered >= covered && (f.cost ?? Infinity) <= cost)
  }

  function onFront(found: Combination): void {
    state.front = [
      ...state.front.filter((f) => !(found.covered >= f.covered && (found.cost ?? Infinity) <= (f.cost ?? Infinity))),
      found,
    ].sort((a, b) => a.covered - b.covered)
  }
}
