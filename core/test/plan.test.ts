import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import {
  applyPatch,
  conversionFile,
  emptyPlan,
  fieldAt,
  fieldIn,
  hasField,
  inversePatch,
  isPlanPath,
  planDifference,
  planPaths,
  readConversionFile,
  readPlan,
  set,
  upgrade,
  valueAt,
  type PlanPath,
} from '../src/plan'
import { jsonSchemas } from '../src/formats/jsonSchemas'
import { runs } from './effort'
import { arbitraryPlan } from './arbitraryPlan'
import { demoPlan, demoPlans } from './demoPlans'

const faultsOf = (document: unknown): string[] => {
  const read = readConversionFile(document)
  if (read.ok) throw new Error('it was accepted')
  return read.faults.map((f) => `${f.field} ${f.message}`)
}

describe('reading', () => {
  test('an empty plan and every demo plan validate', () => {
    expect(readPlan(emptyPlan('x')).ok).toBe(true)
    expect(demoPlans.size).toBe(10)
  })
  test('any valid plan survives a journey through a file', () => {
    fc.assert(
      fc.property(arbitraryPlan, (plan) => {
        expect(readConversionFile(JSON.parse(JSON.stringify(conversionFile(plan))))).toEqual({
          ok: true,
          value: { plan: JSON.parse(JSON.stringify(plan)) as unknown, measurements: [], log: [], photos: [] },
        })
      }),
      { numRuns: 200 },
    )
  })
  test.each<[string, unknown, RegExp]>([
    ['not an object', 'plan', /must hold one JSON object/],
    ['an array', [], /must hold one JSON object/],
    ['another format', { format: 'x', plan: {} }, /^format must be/],
    ['no plan', { format: 'zesty-lathe/conversion' }, /^plan a plan must be an object/],
    ['no version', { format: 'zesty-lathe/conversion', plan: {} }, /^plan.schemaVersion is missing/],
    [
      'a future version',
      { format: 'zesty-lathe/conversion', plan: { ...emptyPlan('x'), schemaVersion: 99 } },
      /^plan.schemaVersion is 99, made by a newer release/,
    ],
    [
      'an unknown key',
      { format: 'zesty-lathe/conversion', plan: { ...emptyPlan('x'), colour: 'red' } },
      /^plan.colour is not a key known here/,
    ],
    [
      'an unknown key beside',
      { format: 'zesty-lathe/conversion', plan: emptyPlan('x'), more: 1 },
      /^more is not a key known here/,
    ],
    [
      'a nested unknown key',
      { format: 'zesty-lathe/conversion', plan: { ...emptyPlan('x'), motor: { horses: 2 } } },
      /^plan.motor.horses is not a key known here/,
    ],
    [
      'a negative power',
      { format: 'zesty-lathe/conversion', plan: { ...emptyPlan('x'), motor: { powerW: -5 } } },
      /^plan.motor.powerW must be at least 10, not -5/,
    ],
    [
      'words for a number',
      { format: 'zesty-lathe/conversion', plan: { ...emptyPlan('x'), motor: { powerW: '2 hp' } } },
      /^plan.motor.powerW must be a number, not "2 hp"/,
    ],
  ])('refuses %s', (_, document, message) => expect(faultsOf(document)[0]).toMatch(message))
  test('names every fault, not the first', () => {
    expect(
      faultsOf({
        format: 'zesty-lathe/conversion',
        plan: { ...emptyPlan('x'), motor: { powerW: -5, leads: 'many' }, extra: 1 },
      }),
    ).toHaveLength(3)
  })
  test('ids must be unique and references must lead somewhere', () => {
    const plan = demoPlan('gap-bed-lathe')
    plan.survey.jobs[0] = { ...plan.survey.jobs[0], id: plan.survey.jobs[1]?.id ?? '', positionId: 'nowhere' }
    plan.survey.mainPositionId = 'gone'
    const read = readPlan(plan)
    expect(read.ok ? [] : read.faults.map((f) => f.field)).toEqual([
      'survey.jobs[1].id',
      'survey.mainPositionId',
      'survey.jobs[0].positionId',
    ])
  })
  test('the JSON Schema refuses unknown keys and carries labels', () => {
    const schema = jsonSchemas()['conversion-6.json']
    expect(schema).toMatchObject({
      $id: 'urn:zesty-lathe:schema:conversion-6.json',
      additionalProperties: false,
      properties: { plan: { properties: { drive: { properties: { powerW: { title: 'Power' } } } } } },
    })
  })
})

describe('upgrades', () => {
  const steps = {
    1: (d: Record<string, unknown>) => ({ ...d, two: true }),
    2: (d: Record<string, unknown>) => ({ ...d, three: true }),
  }
  test('run in order from the document’s own version', () => {
    expect(upgrade({ schemaVersion: 1 }, steps, 3)).toEqual({
      ok: true,
      value: { schemaVersion: 3, two: true, three: true },
    })
    expect(upgrade({ schemaVersion: 2 }, steps, 3)).toEqual({ ok: true, value: { schemaVersion: 3, three: true } })
  })
  test('refuse newer documents and gaps', () => {
    expect(upgrade({ schemaVersion: 4 }, steps, 3).ok).toBe(false)
    expect(upgrade({ schemaVersion: 1 }, {}, 2).ok).toBe(false)
    expect(upgrade({ schemaVersion: '1' }, steps, 3).ok).toBe(false)
  })
})

describe('patches', () => {
  test('set, take away and leave the plan passed in alone', () => {
    const plan = emptyPlan('x')
    const next = applyPatch(plan, [
      set('motor.powerW', 1500),
      set('survey.jobs', [{ id: 'j' }]),
      set('survey.jobs.0.name', 'Bore'),
    ])
    expect([next.motor.powerW, next.survey.jobs[0]?.name, plan.motor.powerW]).toEqual([1500, 'Bore', undefined])
    expect('powerW' in applyPatch(next, [set('motor.powerW', undefined)]).motor).toBe(false)
    expect(applyPatch(plan, [set('motor.powerW', undefined)])).toEqual(plan)
  })
  test('a patch and its inverse give the plan back', () => {
    const change = fc
      .constantFrom(
        'motor.powerW',
        'motor.connection',
        'survey.jobs',
        'survey.positions.0.name',
        'supply',
        'settings.inDrive.overloadA',
      )
      .chain((path) =>
        fc.record({
          path: fc.constant(path),
          value: fc.oneof(fc.constant(undefined), fc.constant('x'), fc.double({ noNaN: true })),
        }),
      )
    fc.assert(
      fc.property(arbitraryPlan, fc.array(change, { maxLength: 5 }), (plan, patch) => {
        expect(applyPatch(applyPatch(plan, patch), inversePatch(plan, patch))).toEqual(plan)
      }),
      { numRuns: 200 },
    )
  })
  test('a path into nothing changes nothing', () => {
    const plan = emptyPlan('x')
    expect(applyPatch(plan, [set('survey.positions.4.name', 'D')])).toEqual(plan)
    expect(valueAt(plan, 'survey.positions.4.name')).toBeUndefined()
  })
})

describe('fields', () => {
  test('carry label, dimension, limits and help from the schema', () => {
    expect(fieldAt('motor.powerW')).toMatchObject({ label: 'Power', dimension: 'power', min: 10, max: 75000 })
    expect(fieldAt('survey.positions.3.transmission.1.driverMm')).toMatchObject({
      label: 'Driving pulley',
      dimension: 'length',
    })
    expect(fieldAt('motor.connection').options).toMatchObject({ star: 'Star' })
    // A path that is not there is a slip of the pen: it does not compile, and read from elsewhere it throws.
    expect(() => fieldAt('motor.nothing' as PlanPath)).toThrow('motor.nothing')
    expect([isPlanPath('motor.nothing'), isPlanPath('motor.powerW')]).toEqual([false, true])
  })
  test('every quantity of the plan has a label and a dimension', () => {
    const bare = planPaths().filter((path) => {
      const { min, dimension, label } = fieldAt(path)
      return min !== undefined && (dimension === undefined || label === '')
    })
    expect(bare).toEqual([])
  })
})

describe('difference', () => {
  test('is readable, with units and names', () => {
    const before = demoPlan('gap-bed-lathe')
    const after = applyPatch(before, [
      set('motor.connection', 'delta'),
      set('motor.powerW', 1100),
      set('survey.positions.1.transmission.0.driverMm', 100),
      set('supply.breakerA', undefined),
    ])
    const lines = planDifference(before, after).map((d) =>
      `${d.label}: ${d.before} -> ${d.after}`.replace(/\u00a0/g, ' '),
    )
    expect(lines).toEqual([
      'Survey, Belt positions, B, Stages, 1, Driving pulley: 90 mm -> 100 mm',
      'Wall, Breaker: 32 A -> not known',
      'Motor, Power: 1.5 kW -> 1.1 kW',
      'Motor, Links as they are: Star -> Delta',
    ])
  })
  test('of a plan with itself is empty', () =>
    expect(planDifference(demoPlan('turret-mill'), demoPlan('turret-mill'))).toEqual([]))
})

test('what a kind of thing has is the same by table and by schema', () => {
  fc.assert(
    fc.property(arbitraryPlan, fc.constantFrom(...planPaths()), (plan, path) => {
      expect([path, hasField(plan, path)]).toEqual([path, fieldIn(plan, path) !== undefined])
    }),
    runs(2000),
  )
})
