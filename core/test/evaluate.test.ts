import { stageIds } from '../src/stages/stages'
import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { evaluate } from '../src/conversion/evaluate'
import type { Evaluation } from '../src/evaluate/evaluation'
import type { FigureId } from '../src/facts/figureId'
import { report } from '../src/report/report'
import { applyPatch, emptyPlan, readPlan, set, settingIds } from '../src/plan'
import { settingHearts } from '../src/stages/settingTable'
import { frameHeightMm } from '../src/motor'
import { messageText } from '../src/quantities'
import { runs } from './effort'
import { arbitraryPlan } from './arbitraryPlan'
import { demoPlan, demoPlans } from './demoPlans'

const value = (e: Evaluation, id: FigureId): number | undefined => e.figures[id]?.value
const plain = (text: string): string => text.replace(/[\u00a0\u202f]/g, ' ')

test('never throws, and gives only finite figures, on any valid plan', () => {
  fc.assert(
    fc.property(arbitraryPlan, (plan) => {
      const evaluation = evaluate(plan)
      for (const [id, figure] of Object.entries(evaluation.figures))
        expect([id, Number.isFinite(figure?.value)]).toEqual([id, true])
      for (const finding of evaluation.findings)
        for (const remedy of finding.remedies)
          expect([finding.id, readPlan(applyPatch(plan, remedy.patch))]).toEqual([
            finding.id,
            expect.objectContaining({ ok: true }),
          ])
      expect(report(plan, evaluation).length).toBeGreaterThan(10)
      // Every rung of a ladder is faster than the one below it.
      for (const { id, ladder } of evaluation.positions)
        ladder.slice(1).forEach((rung, i) => {
          const below = ladder[i]
          // Hertz that differ in their last digit alone may give one speed.
          const rises =
            below &&
            rung.frequencyHz > below.frequencyHz &&
            (rung.spindleRpm > below.spindleRpm || rung.frequencyHz - below.frequencyHz < 1e-9 * rung.frequencyHz)
          expect([id, rises]).toEqual([id, true])
        })
    }),
    runs(600),
  )
})

test('is pure: the same plan gives the same evaluation and stays as it was', () => {
  for (const plan of demoPlans.values()) {
    const before = structuredClone(plan)
    expect(evaluate(plan)).toEqual(evaluate(plan))
    expect(plan).toEqual(before)
  }
})

describe('the gap-bed lathe', () => {
  const evaluation = evaluate(applyPatch(demoPlan('gap-bed-lathe'), [set('motor.connection', 'delta')]))
  test.each<[FigureId, number]>([
    ['motor.poles', 4],
    ['motor.synchronousRpm', 1500],
    ['motor.torque', 10.087],
    ['motor.plateVoltageV', 230],
    ['motor.plateCurrentA', 6],
    ['motor.safeRpm', 3600],
    ['motor.efficiency', 1500 / (Math.sqrt(3) * 230 * 6) / 0.8],
    ['drive.busV', 325.27],
    ['drive.inputA', 14.5],
    ['settings.maximumHz', 90],
    ['settings.minimumHz', 6],
    ['position.b.speedRatio', 90 / 224],
    ['position.b.bottomRpm', 180 * (90 / 224)],
    ['position.b.unloadedTopRpm', 2700 * (90 / 224)],
    ['position.c.speedRatio', 90 / 224 / 2.25],
    ['position.b.torque', (10.0873 * 0.95 * 224) / 90],
  ])('%s is %d', (id, expected) => expect(value(evaluation, id)).toBeCloseTo(expected, 2))
  test('the chain says it in a line each', () => {
    expect(
      evaluation.chain.map((l) => plain(`${l.name}: ${messageText(l.headline)}; ${messageText(l.detail)}`)),
    ).toEqual([
      'Wall: 230 V, 1-phase, 32 A; takes 14.5 A at full load',
      'Drive: 7 A out, 1.5 kW; 6 Hz to 90 Hz, 230 V at base',
      'Motor: Delta, 4-pole, 6 A; 10.1 N m',
      'Belts: 2.49 : 1 on B; 2 other positions',
      'Spindle: 72 to 1 080 rpm; 23.9 N m, 5 of 6 jobs',
    ])
  })
  test('every setting has a value, is left alone, or says what it waits for, in order of entry', () => {
    expect(evaluation.settings.map((s) => s.id)).toEqual(
      settingIds.filter((id) => settingHearts(id).includes('inverter')),
    )
    expect(
      evaluation.settings.filter((s) => s.value === undefined && s.leave !== true && s.missing.length === 0),
    ).toEqual([])
    expect(evaluation.settings.slice(0, 4).map((s) => [s.id, s.value])).toEqual([
      ['mainsHertz', '50'],
      ['ratedVoltageV', 230],
      ['ratedCurrentA', 6],
      ['baseFrequencyHz', 50],
    ])
  })
  test('a threading job goes to the back gear', () => {
    expect(evaluation.jobs.find((j) => j.id === 'thread')).toMatchObject({ verdict: 'too-fast', doneOn: ['c'] })
  })
})

describe('provenance', () => {
  test('what rests on a typical value says so all the way down', () => {
    const evaluation = evaluate(demoPlan('gap-bed-lathe'))
    expect(evaluation.figures['drive.computedInputA']).toMatchObject({
      basis: 'computed',
      restsOnTypical: true,
      ruleId: 'drive.input-current',
    })
    expect(evaluation.figures['motor.torque']).toMatchObject({ basis: 'computed', restsOnTypical: false })
    expect(evaluation.figures['position.b.unloadedTopRpm']?.restsOnTypical).toBe(true)
  })
  test('an override takes the place of the typical value', () => {
    const evaluation = evaluate(
      applyPatch(demoPlan('gap-bed-lathe'), [
        set('overrides.driveEfficiency', 0.9),
        set('overrides.truePowerFactor', 0.8),
        set('settings.inDrive', {}),
      ]),
    )
    expect(evaluation.figures['drive.computedInputA']?.restsOnTypical).toBe(false)
  })
  test('every computed figure names figures or inputs that exist', () => {
    for (const plan of demoPlans.values()) {
      const { figures } = evaluate(plan)
      for (const [id, figure] of Object.entries(figures))
        for (const line of figure?.from ?? [])
          if (line.figureId) expect([id, line.figureId, line.figureId in figures]).toEqual([id, line.figureId, true])
    }
  })
})

describe('half-empty plans', () => {
  test('say what is missing and what that blocks', () => {
    const evaluation = evaluate(
      applyPatch(emptyPlan('x'), [set('motor.powerW', 1500), set('motor.ratedFrequencyHz', 50)]),
    )
    expect(evaluation.missing.find((m) => m.path === 'motor.ratedSpeedRpm')).toMatchObject({
      label: 'Speed',
      stage: 'motor',
      blocks: expect.arrayContaining(['Rated torque', 'Poles']),
    })
    expect(value(evaluation, 'motor.torque')).toBeUndefined()
    expect(evaluation.blocked['motor.torque']).toMatchObject({ missing: ['motor.ratedSpeedRpm'] })
  })
  test('lead through the first steps in order', () => {
    const at = (...patch: Parameters<typeof set>[]) =>
      evaluate(
        applyPatch(
          emptyPlan('x'),
          patch.map(([p, v]) => set(p, v)),
        ),
      ).agenda[0]
    expect(at()).toMatchObject({ stage: 'survey', paths: ['survey.machineKind'] })
    expect(at(['survey.machineKind', 'lathe'])).toMatchObject({
      stage: 'survey',
      paths: ['supply.voltageV', 'supply.phases', 'supply.frequencyHz', 'supply.breakerA'],
    })
  })
  test('an empty plan is open at every stage and has no state but open in the chain', () => {
    const evaluation = evaluate(emptyPlan('x'))
    expect(evaluation.chain.map((l) => l.state)).toEqual(['open', 'open', 'open', 'open', 'open'])
    expect(evaluation.stages.map((s) => s.state)).toEqual(stageIds.map(() => 'open'))
  })
})

test('the highest hertz is the lowest of motor, drive and spindle, and two poles stay at the plate', () => {
  const at = (...patch: Parameters<typeof applyPatch>[1]) =>
    value(
      evaluate(applyPatch(demoPlan('gap-bed-lathe'), [set('motor.connection', 'delta'), ...patch])),
      'settings.maximumHz',
    )
  expect(at(set('drive.maximumHz', 70))).toBe(70)
  // In star its field is weak, and pull-out ends it soon.
  expect(at(set('motor.connection', 'star'))).toBe(55)
  expect(at(set('motor.frame', undefined))).toBe(50)
  expect(at(set('motor.frame', '132S'))).toBe(90)
  expect(at(set('motor.maximumRpm', 2400))).toBe(80)
  expect(at(set('survey.holders.1.markedRpm', 800))).toBe(Math.floor((800 * 4) / 120 / (90 / 224)))
  expect(at(set('motor.ratedSpeedRpm', 2840), set('survey.holders', []), set('survey.originalTopRpm', undefined))).toBe(
    50,
  )
})

test('frames: IEC heights and NEMA numbers', () => {
  const cases: [string, number | undefined][] = [
    ['90L', 90],
    ['112M', 112],
    ['80', 80],
    ['56', undefined],
    ['IEC 56', 56],
    ['NEMA 56', 88.9],
    ['56C', 88.9],
    ['145T', 88.9],
    ['182T', 114.3],
    ['213T', 133.35],
    ['IEC 100L', 100],
    ['48', 76.2],
    ['hello', undefined],
    ['999', undefined],
  ]
  for (const [name, height] of cases)
    expect([name, frameHeightMm(name)]).toEqual([name, height === undefined ? undefined : expect.closeTo(height, 6)])
})
