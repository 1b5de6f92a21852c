import { describe, expect, test } from '@jest/globals'
import { evaluate } from '../src/conversion/evaluate'
import type { Finding } from '../src/findings/finding'
import { judgements } from '../src/findings/judge'
import { applyPatch, emptyPlan, readPlan, set, type Patch, type Plan } from '../src/plan'
import { messageText } from '../src/quantities'
import { advised } from './advised'
import { demoPlan, demoPlans } from './demoPlans'
import { mistakes, on400, soundPlan, spoiled } from './mistakes'

const plainText = (said: Finding['title']): string => messageText(said).replace(/[\u00a0\u202f]/g, ' ')
const findings = (plan: Plan): Finding[] => evaluate(plan).findings
const urgent = (plan: Plan): string[] =>
  findings(plan)
    .filter((f) => f.severity !== 'note')
    .map((f) => `${f.severity} ${f.id}`)
const find = (plan: Plan, id: string): Finding | undefined =>
  findings(plan).find((f) => f.id === id || f.id.startsWith(`${id}/`))

const offered = (patch: Patch, id: string | undefined) =>
  advised(patch)
    .findings.find((f) => f.id === id)
    ?.remedies.map((r) => plainText(r.label))

test('the sound plan has nothing to stop for or watch', () => expect(urgent(soundPlan())).toEqual([]))

describe('each mistake is found', () => {
  test.each(mistakes)('%s is a %s: %j', (id, severity, patch, labels, title, says, why, path) => {
    const plan = spoiled(...patch)
    expect(readPlan(plan)).toEqual({ ok: true, value: plan })
    const finding = find(plan, id)
    expect([finding?.severity, plainText(finding?.title ?? []), plainText(finding?.says ?? [])]).toEqual([
      severity,
      title,
      says,
    ])
    expect([finding?.why, finding?.path ?? '']).toEqual([why, path])
    expect(offered(patch, finding?.id)).toEqual(labels)
  })
  test.each(mistakes)('every remedy of %s (%s) is a valid plan that no longer has it: %j', (id, _severity, patch) => {
    const plan = spoiled(...patch)
    const finding = find(plan, id)
    for (const remedy of advised(patch).findings.find((f) => f.id === finding?.id)?.remedies ?? []) {
      const mended = applyPatch(plan, remedy.patch)
      expect([plainText(remedy.label), readPlan(mended).ok]).toEqual([plainText(remedy.label), true])
      const after = findings(mended).find((f) => f.id === finding?.id)
      expect([plainText(remedy.label), after?.severity === finding?.severity]).toEqual([plainText(remedy.label), false])
    }
  })
  test('there is one for every judgement there is', () => {
    // What is judged of readings has its mistakes in the tests of measurements and of the run-in.
    const named = [
      ...mistakes.map(([id]) => id),
      'measured.disagree',
      'measured.amps',
      'run-in.amps',
      'run-in.warmth',
      'run-in.times',
      'run-in.speed',
      'dial.reads',
    ]
    const never = judgements.filter((j) => !named.some((id) => id === j.id || id.startsWith(`${j.id}/`)))
    expect(never.map((j) => j.id)).toEqual([])
  })
})

describe('what is no mistake is not found', () => {
  const sound: [string, string, Patch][] = [
    ['220 V plate on a 230 V wall', 'motor.flux', [set('motor.lowVoltageV', 220), set('motor.highVoltageV', 380)]],
    [
      '240 V wall, 220 V plate',
      'motor.flux',
      [set('supply.voltageV', 240), set('motor.lowVoltageV', 220), set('motor.highVoltageV', 380)],
    ],
    ['208 V wall', 'motor.flux', [set('supply.voltageV', 208), set('drive.inputVoltageV', 208)]],
    [
      'mains hertz at a plate that prints its loaded speed',
      'motor.over-safe-speed',
      [set('motor.maximumRpm', 1420), set('settings.chosen.maximumHz', 50)],
    ],
    [
      'a constant-torque plate at low hertz',
      'motor.hot-at-low-hertz',
      [set('motor.inverterDutyRatio', 10), set('settings.chosen.minimumHz', 5)],
    ],
    [
      'a blower at low hertz',
      'motor.hot-at-low-hertz',
      [set('motor.cooling', 'blower'), set('settings.chosen.minimumHz', 3)],
    ],
    ['no emergency stop said yet', 'controls.emergency-stop', [set('controls.emergencyStop', undefined)]],
    [
      'a measured seat that holds',
      'controls.threaded-nose-stop',
      [set('survey.spindleNose', 'threaded'), set('survey.seatTorqueNm', 60), set('settings.chosen.decelerationS', 4)],
    ],
    ['a maintained switch with lockout', 'controls.restart', [set('controls.runBy', 'maintained')]],
    [
      'an unmarked wheel at its original speed',
      'spindle.wheel-over-mark',
      [set('survey.holders', [{ id: 'w', kind: 'wheel', diameterMm: 200 }]), set('survey.originalTopRpm', 1600)],
    ],
    ['amps by the plate', 'motor.overload', [set('settings.inDrive.overloadA', 6)]],
  ]
  test.each(sound)('%s', (_, id, patch) => {
    const finding = find(spoiled(...patch), id)
    expect(
      finding === undefined || finding.id.endsWith('-elsewhere') || finding.severity === 'note'
        ? 'none'
        : messageText(finding.says),
    ).toBe('none')
  })
  test('nothing at all is found in an empty plan', () => expect(findings(emptyPlan('x'))).toEqual([]))
})

test('star on a delta drive: a third of the torque, root three times the amps, and one remedy for both', () => {
  const plan = demoPlan('gap-bed-lathe')
  const says = (id: string) => messageText(find(plan, id)?.says ?? []).replace(/\u00a0/g, ' ')
  expect(says('motor.flux')).toMatch(
    /Flux 57\.5 %, pull-out 33\.1 % of what it should be; all day about 5\.8 N m where 10\.1 N m should be/,
  )
  expect(says('motor.overload')).toMatch(
    /It is set to 6 A; the plate allows 3\.5 A for these links\. The windings could carry 171 %/,
  )
  const relink = find(plan, 'motor.overload')?.remedies[0]
  expect(messageText(relink?.label ?? [])).toBe('Move links to delta')
  const after = applyPatch(plan, relink?.patch ?? [])
  expect([find(after, 'motor.flux'), find(after, 'motor.overload')]).toEqual([undefined, undefined])
})

test('a 400 V motor on 230 V gets its torque back up to 29 Hz', () => {
  const plan = spoiled(
    set('motor.connection', 'star'),
    set('motor.lowVoltageV', undefined),
    set('motor.lowVoltageA', undefined),
    set('motor.highVoltageV', undefined),
    set('motor.highVoltageA', undefined),
    set('motor.lowVoltageV', 400),
    set('motor.lowVoltageA', 3.5),
  )
  const finding = find(plan, 'motor.flux')
  expect(finding?.remedies.map((r) => messageText(r.label).replace(/\u00a0/g, ' '))).toEqual([
    'Set base to 29 Hz: full torque up to there',
  ])
  expect(find(applyPatch(plan, finding?.remedies[0]?.patch ?? []), 'motor.flux')).toBeUndefined()
})

test('the lower-voltage links on a 400 V drive: full flux to 87 Hz, and only with a drive that gives their amps', () => {
  const plan = spoiled(...on400)
  const finding = find(plan, 'motor.delta-87-hz')
  expect(messageText(finding?.says ?? []).replace(/\s/g, ' ')).toMatch(
    /Linked delta, with base set to 87 Hz, this motor keeps its full torque to 87 Hz instead of 50 Hz: 2\.61 kW there\. The drive must give 6 A\./,
  )
  const after = evaluate(applyPatch(plan, finding?.remedies[0]?.patch ?? []))
  expect(after.figures['motor.fluxFraction']?.value).toBeCloseTo(1, 2)
  const small = evaluate(applyPatch(plan, [set('drive.ratedOutputA', 4)]))
  expect(small.findings.find((f) => f.id === 'motor.delta-87-hz')?.remedies).toEqual([])
  const twoPole = evaluate(applyPatch(plan, [set('motor.ratedSpeedRpm', 2850)]))
  expect(twoPole.findings.some((f) => f.id === 'motor.delta-87-hz')).toBe(false)
})

test('a box of the offered size keeps the drive at its temperature', () => {
  const plan = spoiled(
    set('installation.place', 'in-box'),
    set('installation.boxWidthMm', 250),
    set('installation.boxHeightMm', 300),
    set('installation.boxDepthMm', 200),
    set('installation.roomC', 25),
  )
  const finding = find(plan, 'installation.box-hot')
  const mended = evaluate(applyPatch(plan, finding?.remedies[0]?.patch ?? []))
  const inside = mended.figures['installation.insideC']?.value ?? 0
  expect([inside > 35, inside <= 40]).toEqual([true, true])
})

test('stops come before watches, watches before notes', () => {
  for (const plan of demoPlans.values()) {
    const order = findings(plan).map((f) => ['stop', 'watch', 'note'].indexOf(f.severity))
    expect(order).toEqual([...order].sort())
  }
})
