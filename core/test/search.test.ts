import { readFileSync } from 'node:fs'
import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { evaluate } from '../src/evaluate/evaluate'
import { readLibraryCsv, type LibraryItem } from '../src/library'
import { applyPatch, planSchema, set, type Patch, type Plan } from '../src/plan'
import { sayText } from '../src/quantities'
import {
  combinationsOf,
  relax,
  search,
  searchSpace,
  takeFound,
  usualWishes,
  whyFirst,
  type Found,
  type SearchSpace,
  type SearchState,
  type Wishes,
} from '../src/search'
import { ranking } from '../src/search/rank'
import { coverage, isCovered, speedMap } from '../src/speeds'
import { demoPlan } from './demoPlans'

const shipped = (['motor', 'drive'] as const).flatMap((kind): LibraryItem[] => {
  const read = readLibraryCsv(kind, readFileSync(new URL(`../../samples/${kind}s.csv`, import.meta.url), 'utf8'))
  if (!read.ok) throw new Error('samples')
  return read.value
})
const some = (...names: string[]): LibraryItem[] => shipped.filter((i) => names.some((n) => i.name.startsWith(n)))

const lathe = (...patch: Patch): Plan =>
  applyPatch(demoPlan('gap-bed-lathe'), [set('candidates', { motors: [], drives: [] }), ...patch])

const wish = (wishes: Partial<Wishes> = {}): Wishes => ({ ...usualWishes, pulleyPrice: 60, ...wishes })

function run(plan: Plan, space: SearchSpace, wishes: Wishes, prune = true): SearchState {
  const steps = search(plan, space, wishes, prune)
  let step = steps.next()
  while (!step.done) step = steps.next()
  return step.value
}

/** A space small enough to go through, with a few of everything. */
function small(plan: Plan, wishes: Wishes, trains: number): SearchSpace {
  const space = searchSpace(
    plan,
    some('Teasel 90L, six', 'Teasel 80, two', 'Sorrel 90L', 'Heron', 'Dunlin P15'),
    wishes,
  )
  const step = Math.max(1, Math.floor(space.trains.length / trains))
  return { ...space, trains: space.trains.filter((_, i) => i % step === 0) }
}

const shown = ({ motor, drive, train, topHz, bottomHz, covered, cost }: Found) =>
  [motor.name, motor.connection, drive.name, train.name, topHz, bottomHz, covered, cost].join(' | ')

describe('the search is exact', () => {
  test('what it shows and its front are those of going through everything one by one', () => {
    fc.assert(
      fc.property(
        fc.record({
          first: fc.constantFrom('jobs', 'moves', 'cost', 'torque', 'heat'),
          budget: fc.option(fc.integer({ min: 0, max: 900 }), { nil: undefined }),
          pulleyPrice: fc.option(fc.integer({ min: 0, max: 200 }), { nil: undefined }),
          everyJob: fc.boolean(),
          keepMotor: fc.boolean(),
          keepPulleys: fc.boolean(),
        }),
        fc.integer({ min: 5, max: 60 }),
        (wishes, trains) => {
          const all = wish(wishes)
          const space = small(lathe(), all, trains)
          const [pruned, each] = [run(lathe(), space, all), run(lathe(), space, all, false)]
          expect(pruned.best.map(shown)).toEqual(each.best.map(shown))
          expect(pruned.front.map(shown)).toEqual(each.front.map(shown))
          expect(pruned.judged).toBeLessThanOrEqual(each.judged)
        },
      ),
      { numRuns: 12 },
    )
  })
  test('pruning saves most of the work on a larger space', () => {
    const wishes = wish()
    const space = small(lathe(), wishes, 400)
    const [pruned, each] = [run(lathe(), space, wishes), run(lathe(), space, wishes, false)]
    expect(pruned.best.map(shown)).toEqual(each.best.map(shown))
    expect(pruned.judged).toBeLessThan(each.judged / 2)
  })
  test('each result does in the plan what the search said it would', () => {
    const wishes = wish()
    const plan = lathe()
    for (const found of run(plan, small(plan, wishes, 40), wishes).best) {
      const taken = applyPatch(plan, takeFound(plan, found))
      expect(planSchema.safeParse(taken).success).toBe(true)
      const map = speedMap(taken, evaluate(taken))
      const covered = map?.jobs.filter((j) => j.on.some(isCovered)).length
      const allDay = map?.jobs.filter((j) => j.on.some((on) => on.verdict === 'all-day')).length
      expect([shown(found), covered, allDay]).toEqual([shown(found), found.covered, found.allDay])
      // As few positions as it says do as much.
      const fewest = map && coverage(map).find((c) => c.covered === found.covered && c.positions.length <= 2)
      if (found.moves <= 1) expect(fewest?.positions.length).toBeLessThanOrEqual(2)
    }
  })
})

describe('what is allowed', () => {
  const plan = lathe()
  test('kept parts stay, and cost nothing', () => {
    const wishes = wish({ keepMotor: true, keepDrive: true, keepPulleys: true })
    const { best, total } = run(plan, searchSpace(plan, shipped, wishes), wishes)
    expect(total).toBe(2 * 7 * 2)
    expect(new Set(best.map((b) => b.motor.name))).toEqual(new Set(['The motor there is']))
    expect(best.every((b) => b.cost === 0)).toBe(true)
    // Linked in star it gets too few volts here.
    expect(best.map((b) => b.motor.connection)).toEqual(best.map(() => 'delta'))
  })
  test('no result is over the budget, too long, or more than the breaker holds', () => {
    const wishes = wish({ budget: 500, roomMm: 330 })
    const space = small(plan, wishes, 30)
    for (const b of run(plan, space, wishes).best) {
      expect(b.cost).toBeLessThanOrEqual(500)
      if (!b.motor.own) expect(b.motor.plate.overallMm).toBeLessThanOrEqual(330)
      expect(b.inputA).toBeLessThanOrEqual(32)
    }
    const light = lathe(set('supply.breakerA', 10))
    expect(run(light, searchSpace(light, [], wish({ keepPulleys: true })), wish()).unfit).toHaveProperty('breaker')
  })
  test('a price that is not known is never under a budget, and ranks last', () => {
    const noPrice = wish({ pulleyPrice: undefined, keepMotor: true, keepDrive: true })
    const own = run(plan, searchSpace(plan, [], { ...noPrice, budget: 1000 }), { ...noPrice, budget: 1000 })
    expect(own.best.every((b) => b.train.own)).toBe(true)
    expect(own.overBudget).toBeGreaterThan(0)
  })
  test('two poles are kept at the plate’s hertz', () => {
    const wishes = wish({ keepPulleys: true })
    const two = run(plan, searchSpace(plan, some('Teasel 80, two'), wishes), wishes).best.filter((b) => !b.motor.own)
    expect(two.length).toBeGreaterThan(0)
    expect(two.every((b) => b.topHz === 50)).toBe(true)
  })
})

describe('what it says', () => {
  test('why the first is before the second, by what parts them', () => {
    const wishes = wish()
    const { best } = run(lathe(), small(lathe(), wishes, 30), wishes)
    const [winner, other] = best
    if (!winner || !other) throw new Error('too few')
    expect(ranking('jobs')(winner, other)).toBeLessThan(0)
    expect(sayText(whyFirst('jobs', winner, { ...winner, covered: winner.covered - 1 }))).toMatch(/the second does/)
    expect(sayText(whyFirst('jobs', winner, { ...winner, moves: winner.moves + 1 }))).toMatch(/belt move/)
    expect(sayText(whyFirst('jobs', { ...winner, cost: 100 }, { ...winner, cost: 120 }))).toMatch(
      /costs 100, the second 120/,
    )
    expect(sayText(whyFirst('jobs', winner, { ...winner, slowNm: 0 }))).toMatch(/slowest job/)
    expect(sayText(whyFirst('jobs', winner, { ...winner, inHand: 0.5 }))).toMatch(/hardest job/)
    expect(sayText(whyFirst('jobs', winner, winner))).toMatch(/Nothing/)
  })
  test('where nothing goes, which single wish to let go', () => {
    const light = lathe(set('supply.breakerA', 5))
    const wishes = wish({ keepMotor: true, keepDrive: true, keepPulleys: true })
    expect(run(light, searchSpace(light, [], wishes), wishes).best).toEqual([])
    expect(relax(light, [], wishes).map((r) => r.wish)).toEqual(['the breaker must carry it'])
  })
  test('it can be left at any time, and says how far it is', () => {
    const wishes = wish()
    const space = small(lathe(), wishes, 10)
    const steps = search(lathe(), space, wishes)
    const { value } = steps.next()
    expect([value.done, value.total]).toEqual([space.trains.length * 14, combinationsOf(space)])
    expect(steps.return(value).done).toBe(true)
  })
})
