import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { advise, withTriedRemedies } from '../src/conversion/advise'
import { conversion } from '../src/conversion/conversion'
import { evaluate } from '../src/conversion/evaluate'
import { applyPatch, readPlan, set, type Patch, type Plan } from '../src/plan'
import { messageText } from '../src/quantities'
import { advised } from './advised'
import { runs, someOf } from './effort'
import { arbitraryPlan } from './arbitraryPlan'
import { demoPlans } from './demoPlans'
import { mistakes, on400, spoiled } from './mistakes'

const plain = (text: string) => text.replace(/[\u00a0\u202f]/g, ' ')

const labels = (patch: Patch, id: string): string[] =>
  (advised(patch).findings.find((f) => f.id === id || f.id.startsWith(`${id}/`))?.remedies ?? []).map((r) =>
    plain(messageText(r.label)),
  )

/** Remedies that are offered and bring a stop that was not there. */
function harmful(plan: Plan): string[] {
  const of = conversion(plan)
  const { findings } = withTriedRemedies(of)
  const before = new Set(findings.filter((f) => f.severity === 'stop').map((f) => f.id))
  return findings.flatMap(({ id, remedies }) =>
    remedies.flatMap(({ label, patch }) => {
      const mended = applyPatch(plan, patch)
      const made = of.tried(patch).evaluation.findings.filter((f) => f.severity === 'stop' && !before.has(f.id))
      return readPlan(mended).ok && made.length === 0
        ? []
        : [`${id}: ${messageText(label)} makes ${made.map((f) => f.id).join(', ')}`]
    }),
  )
}

describe('a remedy', () => {
  test('makes no stop that was not there, whichever is pressed', () => {
    expect(
      [...someOf(mistakes).map(([, , patch]) => spoiled(...patch)), ...demoPlans.values()].flatMap(harmful),
    ).toEqual([])
    fc.assert(
      fc.property(arbitraryPlan, (plan) => expect(harmful(plan)).toEqual([])),
      { ...runs(60), endOnFailure: true },
    )
  })
  test('for the lower links on the higher volts sets the base where those volts belong, never the plate’s hertz', () => {
    const patch = [...on400, set('motor.connection', 'delta'), set('settings.chosen.ratedVoltageV', 400)]
    const flux = evaluate(spoiled(...patch)).figures['motor.fluxFraction']?.value
    expect(flux).toBeCloseTo(400 / 230, 3)
    expect(labels(patch, 'motor.flux')).toEqual([
      'Move links to star',
      'Set motor volts to 230 V',
      'Set base to 87 Hz, where these volts belong',
    ])
  })
  test('that moves links takes volts and base that were chosen for the others along', () => {
    const lowered = [set('motor.connection', 'star'), set('settings.chosen.baseFrequencyHz', 33)] satisfies Patch
    const plan = spoiled(...lowered)
    const relink = advise(plan)
      .findings.flatMap((f) => f.remedies)
      .find((r) => messageText(r.label) === 'Move links to delta')
    expect(relink).toBeDefined()
    const after = evaluate(applyPatch(plan, relink?.patch ?? []))
    expect(after.findings.filter((f) => f.id.startsWith('motor.flux'))).toEqual([])
    expect(after.figures['motor.fluxFraction']?.value).toBeCloseTo(1, 2)
  })
  test('on the motor’s side is not offered where a doubler stands on too many volts', () => {
    const patch = [
      set('supply.voltageV', 240),
      set('drive.doubler', true),
      set('drive.inputVoltageV', 120),
    ] satisfies Patch
    expect(labels(patch, 'motor.flux')).not.toContain('Set motor volts to 230 V')
    expect(labels(patch, 'wall.doubler')).toEqual([])
  })
  test('never lowers the highest hertz below the lowest', () => {
    const patch = [
      set('settings.chosen.minimumHz', 30),
      set('survey.holders.1.markedRpm', 100),
      set('settings.chosen.maximumHz', 60),
    ] satisfies Patch
    expect(labels(patch, 'spindle.over-limit')).toEqual([])
  })
  test('that ramps down instead of braking is a patient ramp', () => {
    const patch = [
      set('survey.spindleNose', 'threaded'),
      set('settings.chosen.stopMode', 'dc-brake'),
      set('settings.inDrive.decelerationS', 0.5),
      set('controls.reverseWanted', false),
    ] satisfies Patch
    const plan = spoiled(...patch)
    const ramp = advise(plan)
      .findings.find((f) => f.id.startsWith('controls.threaded-nose-stop'))
      ?.remedies.find((r) => messageText(r.label) === 'Ramp down instead')
    const mended = applyPatch(plan, ramp?.patch ?? [])
    expect([mended.settings.inDrive.decelerationS, mended.settings.chosen.decelerationS]).toEqual([undefined, 10])
  })
  test('plans no safe torque off on a drive that has none', () => {
    const patch = [set('controls.emergencyStop', 'none'), set('drive.safeTorqueOff', false)] satisfies Patch
    expect(labels(patch, 'controls.emergency-stop')).toEqual(['Plan a supply contactor'])
  })
  test('that is work on the mains says so', () => {
    const { findings } = advise(spoiled(set('supply.isolatorInReach', false)))
    expect(findings.find((f) => f.id === 'wall.isolator-out-of-reach')?.remedies[0]?.mains).toBe(true)
  })
  test('never writes a planning value into what was read in the drive', () => {
    const read = [set('settings.inDrive.accelerationS', 2), set('settings.inDrive.ratedCurrentA', 5)] satisfies Patch
    const plan = spoiled(...read)
    const finding = advise(plan).findings.find((f) => f.id === 'settings.differs-from-card')
    expect(finding?.remedies[0]?.patch.map((c) => c.path)).toEqual(['settings.inDrive.ratedCurrentA'])
  })
})
