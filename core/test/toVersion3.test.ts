import { describe, expect, test } from '@jest/globals'
import { evaluate } from '../src/conversion/evaluate'
import { readItem } from '../src/library/readItem'
import {
  PLAN_VERSION,
  CONVERSION_FORMAT,
  emptyPlan,
  planDifference,
  readConversionFile,
  readPlan,
  applyPatch,
  set,
  type Plan,
} from '../src/plan'

/** A plan as an older release kept it, with these parts. */
const old = (parts: Record<string, unknown>, schemaVersion = 2): unknown => {
  const { installation, ...rest } = emptyPlan('Old lathe')
  return { ...rest, mount: installation, ...parts, schemaVersion }
}
const read = (document: unknown): Plan => {
  const plan = readPlan(document)
  if (!plan.ok) throw new Error(JSON.stringify(plan.faults))
  return plan.value
}
const survey = (stages: object[], more: object = {}) => ({
  ...emptyPlan('x').survey,
  positions: [{ id: 'a', name: 'A', stages, ...more }],
})
const stagesOf = (...stages: object[]) => read(old({ survey: survey(stages) })).survey.positions[0]?.transmission

describe('a plan of version 2', () => {
  test('has its motor by kind, with what that kind has', () => {
    const kinds: [string, object][] = [
      ['three-phase', { kind: 'induction', powerW: 1500, leads: '6' }],
      ['two-speed', { kind: 'pole-changing', powerW: 1500, leads: '6' }],
      ['one-winding', { kind: 'pole-changing', oneWinding: true, powerW: 1500, leads: '6' }],
      ['high-frequency', { kind: 'high-frequency', powerW: 1500 }],
      ['single-phase', { kind: 'single-phase', powerW: 1500 }],
      ['universal', { kind: 'universal', powerW: 1500 }],
      ['dc', { kind: 'dc', powerW: 1500 }],
      ['stepper', { kind: 'servo', powerW: 1500 }],
    ]
    for (const [was, is] of kinds) {
      const { motor } = read(old({ motor: { kind: was, powerW: 1500, leads: '6' } }))
      expect([was, motor]).toEqual([was, expect.objectContaining(is)])
    }
    expect(read(old({ motor: { powerW: 1500 } })).motor).toEqual({ powerW: 1500 })
  })
  test('counts teeth as teeth, starts as starts, and keeps millimetres for pulleys', () => {
    expect(
      stagesOf(
        { kind: 'v-belt', driverMm: 90, drivenMm: 224, section: 'a', pressN: 12, pressMm: 6 },
        { kind: 'gear-pair', driverMm: 28, drivenMm: 42 },
        { kind: 'timing-belt', driverMm: 24, drivenMm: 60, section: 'tooth-l' },
        { kind: 'worm', driverMm: 2, drivenMm: 40 },
        { driverMm: 90, drivenMm: 180 },
      ),
    ).toEqual([
      { kind: 'v-belt', driverMm: 90, drivenMm: 224, section: 'a', deflectionForceN: 12, deflectionMm: 6 },
      { kind: 'gear-pair', driverTeeth: 28, drivenTeeth: 42 },
      { kind: 'timing-belt', driverTeeth: 24, drivenTeeth: 60, section: 'tooth-l' },
      { kind: 'worm', starts: 2, wheelTeeth: 40 },
      { driverMm: 90, drivenMm: 180 },
    ])
  })
  test('that coupled two shafts directly at unlike sizes keeps its ratio, as a gearbox', () => {
    expect(stagesOf({ kind: 'direct', driverMm: 1, drivenMm: 4 }, { kind: 'direct' })).toEqual([
      { kind: 'gearbox', reduction: 4 },
      { kind: 'direct' },
    ])
  })
  test('keeps the speed of its spindle whatever the sizes of its gears were', () => {
    for (const [driverMm, drivenMm] of [
      [28, 42],
      [45.5, 91],
      [33.3, 100],
    ] as const) {
      const plan = read(old({ survey: survey([{ kind: 'gear-pair', driverMm, drivenMm }]) }))
      expect(evaluate(plan).figures['position.a.speedRatio']?.value).toBeCloseTo(driverMm / drivenMm, 9)
      expect(evaluate(plan).positions[0]?.reversed).toBe(true)
    }
  })
  test('bears the names of version 3', () => {
    const plan = read(
      old({
        survey: survey([], { shakesHz: 31 }),
        supply: { circuitId: 'c', source: 'generator', sourceW: 4000, sourceVA: 5000, joining: 'plug' },
        drive: { resistorFitted: true, name: 'D' },
        mount: { roomC: 30 },
        overrides: { sourceEfficiency: 0.8 },
      }),
    )
    expect(plan.survey.positions[0]).toMatchObject({ resonanceHz: 31 })
    expect(plan.supply).toEqual({
      branchCircuitId: 'c',
      supplyUnit: 'generator',
      supplyUnitW: 4000,
      supplyUnitVA: 5000,
      plugOrFixed: 'plug',
    })
    expect([plan.drive, plan.installation, plan.overrides]).toEqual([
      { name: 'D', resistor: {} },
      { roomC: 30 },
      { supplyUnitEfficiency: 0.8 },
    ])
    expect(read(old({ drive: { resistorFitted: false } })).drive).toEqual({})
  })
  test('has the plates beside its own by kind too', () => {
    const candidates = {
      motors: [{ id: 'm', name: 'M', plate: { kind: 'three-phase', powerW: 750 } }],
      drives: [{ id: 'd', name: 'D', plate: { resistorFitted: true } }],
    }
    expect(read(old({ candidates })).candidates).toEqual({
      motors: [{ id: 'm', name: 'M', plate: { kind: 'induction', powerW: 750 } }],
      drives: [{ id: 'd', name: 'D', plate: { resistor: {} } }],
    })
  })
  test('that was never right is told what is wrong, by its field', () => {
    const faults = (parts: Record<string, unknown>) => {
      const plan = readPlan(old(parts))
      return plan.ok ? [] : plan.faults.map((f) => f.field)
    }
    expect(faults({ motor: { kind: 'steam' } })).toEqual(['motor.kind'])
    expect(faults({ survey: survey([{ kind: 'rope' }]) })).toEqual(['survey.positions[0].transmission[0].kind'])
    expect(faults({ motor: 'none' })).toEqual(['motor'])
  })
})

test('plans of version 1 are still opened, in a file too', () => {
  const plan = old({ motor: { kind: 'three-phase', powerW: 1500 } }, 1)
  expect(read(plan).motor).toMatchObject({ kind: 'induction', powerW: 1500 })
  const file = readConversionFile({ format: CONVERSION_FORMAT, plan })
  expect(file.ok ? file.value.plan.schemaVersion : file.faults).toBe(PLAN_VERSION)
})

test('items of the library go the same way, and say what of them cannot be read', () => {
  const item = { kind: 'motor' as const, name: 'Elm', version: 2, item: { kind: 'three-phase', powerW: 1500 } }
  expect(readItem(item)).toEqual({
    ok: true,
    value: { kind: 'motor', name: 'Elm', item: { kind: 'induction', powerW: 1500 } },
  })
  expect(readItem({ kind: 'circuit', name: 'Wall', version: 2, item: { source: 'generator' } })).toMatchObject({
    value: { item: { supplyUnit: 'generator' } },
  })
  expect(readItem({ ...item, item: { kind: 'steam' } }).ok).toBe(false)
  expect(readItem({ ...item, version: 99 }).ok).toBe(false)
})

test('a revision tells teeth as teeth', () => {
  const before = applyPatch(emptyPlan('x'), [
    set('survey.positions', [
      { id: 'a', name: 'A', transmission: [{ kind: 'gear-pair', driverTeeth: 28, drivenTeeth: 42 }] },
    ]),
  ])
  const after = applyPatch(before, [set('survey.positions.0.transmission.0.driverTeeth', 30)])
  for (const units of ['metric', 'imperial'] as const)
    expect(
      planDifference(before, after, units).map((d) => `${d.before} to ${d.after}`.replace(/\u00a0/g, ' ')),
    ).toEqual(['28 teeth to 30 teeth'])
})

describe('keys that every object has are read like any other that is not known', () => {
  test.each(['constructor', 'toString', '__proto__', 'hasOwnProperty'])('%s', (key) => {
    const strange = JSON.parse(`{${JSON.stringify(key)}: 1}`) as object
    const documents = [
      old({ motor: { ...strange, kind: 'three-phase' } }),
      old({ motor: { kind: key } }),
      old({ survey: survey([{ ...strange, kind: 'v-belt', driverMm: 90, drivenMm: 180 }]) }),
      old({ survey: survey([{ kind: key }]) }),
      old({ supply: strange, overrides: strange, drive: strange }),
      old({ candidates: { motors: [{ id: 'm', plate: { ...strange, kind: 'dc' } }], drives: [] } }),
    ]
    // Taken without it, or refused with the reason; and never a fault of the reader.
    for (const document of documents) {
      const plan = readPlan(document)
      expect(plan.ok ? JSON.stringify(plan.value).includes(`"${key}"`) : plan.faults.length === 0).toBe(false)
    }
  })
})
