import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { compareDrives } from '../src/compare/compareDrives'
import { compareRoutes } from '../src/compare/compareRoutes'
import { conversion } from '../src/conversion/conversion'
import { evaluate } from '../src/conversion/evaluate'
import type { Evaluation } from '../src/evaluate/evaluation'
import { beltKeys, figureKeys, jobKeys, positionKeys } from '../src/facts/figureId'
import { applyPatch, fieldAt, isPlanPath, readPlan, set, type Plan } from '../src/plan'
import { messageText } from '../src/quantities'
import { rules } from '../src/rulebook/registry'
import { stageIds, stages } from '../src/stages/stages'
import { runs, someOf } from './effort'
import { arbitraryPlan } from './arbitraryPlan'
import { demoPlans } from './demoPlans'
import { measuredBy, soundReadings } from './readings'
import { beforeConverter, mistakes, soundPlan, spoiled } from './mistakes'

/** Plans that bring out what neither the demo plans nor the mistakes have. */
const further: readonly Plan[] = [
  // A belt behind a pair of gears.
  spoiled(
    set('survey.positions.1.transmission', [
      { kind: 'gear-pair', driverTeeth: 20, drivenTeeth: 40 },
      { kind: 'v-belt', section: 'a', driverMm: 90, drivenMm: 224, centreMm: 410 },
    ]),
  ),
  // A belt of the second stage over its speed.
  spoiled(
    set('survey.positions.1.transmission', [
      { kind: 'v-belt', driverMm: 224, drivenMm: 90 },
      { kind: 'v-belt', driverMm: 300, drivenMm: 300 },
    ]),
  ),
  spoiled(set('drive.busFarad', 680e-6)),
  // Jobs of which only size and material are known, and a thing that spins.
  spoiled(
    set('survey.jobs', [
      { id: 'drill', kind: 'drilling', material: 'mild-steel', diameterMm: 16 },
      { id: 'saw', kind: 'hole-saw', material: 'mild-steel', diameterMm: 60 },
    ]),
  ),
  // Linked in star beyond both plate voltages, the amps printed for the other one.
  spoiled(
    set('motor.leads', '12'),
    set('motor.highVoltageV', 460),
    set('motor.connection', 'high-star'),
    set('motor.highVoltageA', undefined),
  ),
  // What spins by a timed run-up.
  spoiled(set('survey.holders.1.inertiaFrom', 'timing'), set('survey.holders.1.runUpS', 4)),
  // And on a set ramp, its amps read.
  spoiled(
    set('survey.holders.1.inertiaFrom', 'timing'),
    set('survey.holders.1.runUpS', 8),
    set('survey.holders.1.runUpA', 2.5),
  ),
  // Two things that turn together.
  spoiled(set('survey.holders.0.alwaysTurns', true)),
  // A box that is hot only half of the time.
  spoiled(
    set('installation.place', 'in-box'),
    set('installation.boxWidthMm', 300),
    set('installation.boxHeightMm', 400),
    set('installation.boxDepthMm', 200),
    set('installation.boxDuty', 'half'),
  ),
  spoiled(...beforeConverter),
  // A saw known by what its blade does, without its pulleys; and a motor on the bench.
  spoiled(
    set('survey.positions.1.transmission', [{ kind: 'v-belt' }]),
    set('survey.positions.1.knownSurfaceMPerMin', 40),
    set('survey.positions.1.wheelMm', 350),
    set('survey.positions.1.knownHz', 50),
  ),
  spoiled(set('survey.machineKind', 'bare-motor')),
]
const said = new Map<Plan, Evaluation>()
/** What is said of one of the plans: judged once, asked by many. */
function evaluated(plan: Plan): Evaluation {
  const before = said.get(plan) ?? evaluate(plan)
  said.set(plan, before)
  return before
}

const plans: readonly Plan[] = [
  ...demoPlans.values(),
  soundPlan(),
  ...mistakes.map(([, , patch]) => spoiled(...patch)),
  ...further,
]

/** A figure's name without what it is of: `position.*.beltN.stock`. */
const kindOf = (id: string): string =>
  id
    .replace(/^(position|job|holder)\.[^.]+\./, '$1.*.')
    .replace(/\.belt\d+\./, '.beltN.')
    .replace(/\.\d+\./g, '.N.')

/** A machine of which much was read and little typed. */
const read = evaluate(
  spoiled(
    set('survey.positions.1.transmission', [{ kind: 'v-belt' }]),
    set('survey.positions.2.transmission', [{ kind: 'v-belt' }]),
    set('survey.coastS', undefined),
    set('survey.coastFromRpm', undefined),
  ),
  undefined,
  measuredBy(...soundReadings),
)

const booked = new Set([
  ...Object.keys(read.figures).map(kindOf),
  ...plans.flatMap((plan) =>
    [
      evaluated(plan).figures,
      compareRoutes(plan, evaluated(plan)).figures,
      ...compareDrives(plan).map((column) => column.evaluation.figures),
    ].flatMap((figures) => Object.keys(figures).map(kindOf)),
  ),
])

describe('a finding', () => {
  test('leads to a field of the stage on which it stands', () => {
    const leads = (plan: Plan) =>
      evaluated(plan).findings.flatMap(({ id, stage, path }) =>
        path === undefined || fieldAt(path).stage === stage ? [] : [`${id} on ${stage} leads to ${path}`],
      )
    expect(plans.flatMap(leads)).toEqual([])
    fc.assert(
      fc.property(arbitraryPlan, (plan) => expect(leads(plan)).toEqual([])),
      runs(200),
    )
  })
  test('names only figures that some plan books', () => {
    const named = plans.flatMap((plan) => evaluated(plan).findings.flatMap((f) => f.figures))
    expect([...new Set(named.map(kindOf))].filter((id) => !booked.has(id))).toEqual([])
  })
})

/** Every path at which a plan holds something. */
const heldPaths = (value: unknown, at = ''): string[] =>
  typeof value === 'object' && value !== null
    ? Object.entries(value).flatMap(([key, inner]) => {
        const path = at === '' ? key : `${at}.${key}`
        return [path, ...heldPaths(inner, path)]
      })
    : []

/** A plan with any one thing taken out of it, where it is still a plan. */
const withoutOne = (plan: Plan): { path: string; plan: Plan }[] =>
  heldPaths(plan)
    .filter(isPlanPath)
    .flatMap((path) => {
      const read = readPlan(applyPatch(plan, [{ path, value: undefined }]))
      return read.ok ? [{ path, plan: read.value }] : []
    })

describe('whatever one thing is not known', () => {
  const lacking = [soundPlan(), ...demoPlans.values()].flatMap((whole) => {
    const before = conversion(whole)
    // The whole is judged first: what a thing less leaves as it is, is taken over from it.
    expect(before.evaluation.judged.length).toBeGreaterThan(0)
    return someOf(withoutOne(whole)).map(({ path, plan }) => {
      const { findings, figures } = conversion(plan, { before, once: true }).evaluation
      return { path, findings, figures }
    })
  })
  test('there is much to leave out', () => expect(lacking.length).toBeGreaterThan(100))
  test('what is said has no hole in it', () => {
    // A drive that may not stand on one phase gives no torque, and that is no hole.
    const fed = lacking.filter(({ figures }) => figures['drive.outputA']?.value !== 0)
    const holes = fed.flatMap(({ path, findings }) =>
      findings.flatMap(({ id, title, says, remedies }) =>
        [title, says, ...remedies.map((r) => r.label)]
          .filter(
            (said) =>
              said.some((part) => typeof part !== 'string' && (!Number.isFinite(part.value) || part.value === 0)) ||
              /undefined|NaN|Infinity|\?\?| {2}/.test(messageText(said).replace(/\u202f/g, '')),
          )
          .map((said) => `without ${path}, ${id}: ${messageText(said)}`),
      ),
    )
    expect(holes).toEqual([])
  })
  test('a finding opens to figures that are known there', () => {
    const closed = lacking.flatMap(({ path, findings, figures }) =>
      findings.flatMap((f) => f.figures.filter((id) => !figures[id]).map((id) => `without ${path}, ${f.id}: ${id}`)),
    )
    expect(closed).toEqual([])
  })
})

test('every figure there is a name for is booked by some plan', () => {
  const names: string[] = [
    ...Object.entries(figureKeys).flatMap(([subject, keys]) => keys.map((key) => `${subject}.${key}`)),
    ...positionKeys.map((key) => `position.*.${key}`),
    ...beltKeys.map((key) => `position.*.beltN.${key}`),
    ...jobKeys.map((key) => `job.*.${key}`),
  ]
  expect(names.filter((name) => !booked.has(name))).toEqual([])
})

test('every computed figure comes from a rule of the registry, or is another taken over as it is', () => {
  const homeless = plans.flatMap((plan) =>
    Object.values(evaluated(plan).figures).flatMap((figure) => {
      if (!figure) return []
      const { id, value, basis, ruleId, path, citation, from } = figure
      const takenOver = from.some((line) => line.value === value)
      const known =
        ruleId === undefined
          ? basis === 'computed'
            ? takenOver
            : path !== undefined || citation !== undefined || from.length > 0
          : rules.has(ruleId)
      return known ? [] : [`${id} ${basis}`]
    }),
  )
  expect([...new Set(homeless.map(kindOf))]).toEqual([])
})

test('what is to be filled in stands under the stage on which it is typed', () => {
  for (const plan of plans)
    for (const { path, stage } of evaluated(plan).missing) expect([path, stage]).toEqual([path, fieldAt(path).stage])
})

test('the fields that a stage cannot do without are fields of the plan', () => {
  for (const id of stageIds)
    for (const path of [...stages[id].essentials, ...stages[id].firstSteps.flatMap((step) => step.paths)])
      expect([path, fieldAt(path).label.length > 0]).toEqual([path, true])
})
