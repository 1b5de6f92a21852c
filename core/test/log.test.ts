import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { logEntrySchema } from '../src/log/logEntry'
import { symptomOfFault, symptoms, symptomsOf, type SymptomId } from '../src/log/symptoms'
import { upkeepOf } from '../src/log/upkeep'
import { nothingMeasured } from '../src/measurements/measured'
import { heartOf, set, type Plan } from '../src/plan'
import { messageText } from '../src/quantities'
import { arbitraryPlan } from './arbitraryPlan'
import { demoPlan } from './demoPlans'
import { asDc, asDriver } from './heartMistakes'
import { soundPlan, spoiled } from './mistakes'
import { upkeepTasksOf } from '../src/sequence/upkeepTasksOf'
import { shippedManuals } from './shippedManuals'
import { measuredBy } from './readings'
import { symptomCauses } from './parts'

const all = Object.keys(symptoms) as SymptomId[]
const first = (symptom: SymptomId, plan: Plan = soundPlan()) => symptomCauses(plan, nothingMeasured, symptom)[0]?.id

describe('a symptom', () => {
  test.each(all)('%s has causes, each with a test and what to change, the weightiest first', (symptom) => {
    fc.assert(
      fc.property(arbitraryPlan, (plan) => {
        const causes = symptomCauses(plan, nothingMeasured, symptom)
        expect(causes.length).toBeGreaterThan(1)
        causes.forEach((cause, i) => {
          expect([cause.test, cause.change].every((words) => words.length > 3)).toBe(true)
          expect(cause.weight).toBeGreaterThanOrEqual(0)
          expect(cause.weight).toBeLessThanOrEqual(causes[i - 1]?.weight ?? 1)
          expect(messageText(cause.says)).not.toMatch(/NaN|undefined|Infinity/)
          expect(messageText(cause.numbers ?? [])).not.toMatch(/NaN|undefined|Infinity/)
        })
      }),
      { numRuns: 12 },
    )
  })
  test.each([
    ['over-voltage', 'ramp', set('settings.chosen.decelerationS', 1)],
    ['unscrews', 'reverse', set('controls.reverseWanted', true)],
    ['hot', 'fan', set('settings.chosen.minimumHz', 5)],
    ['no-pull', 'star', set('motor.connection', 'star')],
    ['whistle', 'carrier', set('settings.chosen.carrierHz', 3000)],
    ['starts-itself', 'lockout', set('drive.lineStartLockout', false)],
  ] as const)('%s: the machine’s own numbers bring %s forward', (symptom, cause, patch) => {
    expect(first(symptom, spoiled(patch))).toBe(cause)
  })
  test.each([
    ['runs-away', 'field', spoiled(...asDc({}, { fieldLossTrip: false }))],
    ['runs-away', 'series', spoiled(...asDc({ fieldKind: 'series' }))],
    ['sparks', 'commutator', spoiled(...asDc({}, { commutator: 'burnt' }))],
    ['nothing-on-run', 'field', spoiled(...asDc())],
    ['over-current', 'plug', spoiled(...asDc({}, { reversal: 'plug' }))],
    ['jerks', 'order', spoiled(...asDriver({}, { chosenOrder: 'uvw' }))],
    ['jerks', 'sensor', spoiled(...asDriver())],
    ['over-voltage', 'pump', spoiled(...asDriver({}, { bleeds: false }))],
  ] as const)('%s of another heart: %s comes forward', (symptom, cause, plan) => {
    expect(first(symptom, plan)).toBe(cause)
  })
  test('of a motor without hertz no cause speaks of hertz, of links or of a carrier', () => {
    for (const plan of [spoiled(...asDc()), spoiled(...asDriver())])
      for (const symptom of symptomsOf(heartOf(plan)))
        for (const { id, says, test, change, numbers } of symptomCauses(plan, nothingMeasured, symptom))
          expect([symptom, id, [messageText(says), test, change, messageText(numbers ?? [])].join(' ')]).toEqual([
            symptom,
            id,
            expect.not.stringMatching(/hertz|\bHz\b|V\/f|carrier|\bstar\b|sensorless|chopper/i),
          ])
  })
  test('are listed by what turns the machine', () => {
    const only = (heart: 'inverter' | 'dc' | 'driver') =>
      (['sparks', 'field-lost', 'jerks', 'runs-away', 'hot'] as const).filter((id) => symptomsOf(heart).includes(id))
    expect([only('inverter'), only('dc'), only('driver')]).toEqual([
      ['runs-away', 'hot'],
      ['sparks', 'field-lost', 'runs-away', 'hot'],
      ['jerks', 'runs-away', 'hot'],
    ])
    expect([symptomOfFault('Field lost'), symptomOfFault('Hall sensors open')]).toEqual(['field-lost', 'jerks'])
  })
  test('amps that were read speak for the work', () => {
    const measured = measuredBy({ kind: 'amps', value: 9, lead: 'u' })
    expect(symptomCauses(soundPlan(), measured, 'overload')[0]?.id).toBe('work')
  })
  test('the faults of every manual that ships lead to one, or say nothing rather than a wrong one', () => {
    const found = [...shippedManuals.values()].flatMap((m) =>
      m.faults.map(({ means }) => [means, symptomOfFault(means)]),
    )
    expect(found.length).toBeGreaterThan(5)
    expect(found.filter(([, symptom]) => symptom === undefined).length).toBeLessThan(found.length / 2)
    expect(symptomOfFault('Bus too high')).toBe('over-voltage')
  })
})

describe('upkeep', () => {
  const done = (task: 'belt' | 'stop', at: string) =>
    logEntrySchema.parse({ id: '00000000-0000-4000-8000-000000000001', kind: 'upkeep', task, at })
  test('is due so many days after the last time, and from when it came into use', () => {
    const all = upkeepOf([done('stop', '2026-03-01T10:00:00.000Z')], '2026-01-01', '2026-04-05')
    expect(all.find((u) => u.task === 'stop')).toMatchObject({
      dueOn: '2026-03-31',
      overdue: true,
      lastOn: '2026-03-01',
    })
    expect(all.find((u) => u.task === 'belt')).toMatchObject({ dueOn: '2026-04-01', overdue: true })
    expect(all[0]?.task).toBe('stop')
  })
  test('is by what turns the machine: brushes of a DC motor, hours and water of a spindle, switches of an axis', () => {
    const more = (name: string) => upkeepTasksOf(demoPlan(name)).slice(7)
    expect(more('gap-bed-lathe')).toEqual([])
    expect(more('long-bed-lathe-dc')).toEqual(['brushes', 'field-trip'])
    expect(more('gantry-router')).toEqual(['spindle-hours', 'water', 'homing'])
    const days = upkeepOf([], '2026-01-01', '2026-01-02', upkeepTasksOf(demoPlan('long-bed-lathe-dc')))
    expect(days.find((u) => u.task === 'brushes')?.dueOn).toBe('2026-03-02')
  })
  test('of a machine that is not in use nothing is due', () => {
    expect(upkeepOf([], undefined, '2026-04-05').some((u) => u.overdue || u.dueOn !== undefined)).toBe(false)
  })
})
