import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { evaluate } from '../src/conversion/evaluate'
import { applyPatch, asJudged, isThere, set, type Plan } from '../src/plan'
import { messageText } from '../src/quantities'
import { runs } from './effort'
import { arbitraryPlan } from './arbitraryPlan'
import { soundPlan } from './mistakes'

const bare = (plan: Plan): Plan => applyPatch(plan, [set('survey.machineKind', 'bare-motor')])

describe('a motor on the bench', () => {
  const plan = bare(soundPlan())
  const evaluation = evaluate(plan)

  test('turns its own shaft at every hertz', () => {
    expect(evaluation.positions.map((p) => p.name)).toEqual(['Motor shaft'])
    expect(evaluation.figures['position.shaft.speedRatio']?.value).toBe(1)
    expect(evaluation.figures['position.shaft.unloadedTopRpm']?.value).toBe(evaluation.figures['motor.topRpm']?.value)
    expect(evaluation.jobs).toEqual([])
  })

  test('has direction, amps, hertz and settings', () => {
    const rotation = evaluation.judged.find((j) => j.id === 'spindle.rotation')
    expect(rotation?.answer === 'good' || rotation?.answer === 'found').toBe(true)
    expect(evaluation.figures['motor.plateCurrentA']?.value).toBeGreaterThan(0)
    expect(
      evaluation.settings.filter((s) => s.value === undefined && s.leave !== true && s.missing.length === 0),
    ).toEqual([])
  })

  test('has neither belts nor first steps of them', () => {
    const link = evaluation.chain.find((l) => l.id === 'belts')
    expect([link?.state, messageText(link?.headline ?? [])]).toEqual(['ok', 'None'])
    expect(evaluation.firstSteps.map((s) => s.label)).not.toContain('Belts')
    expect(evaluation.agenda.flatMap((s) => s.paths ?? []).filter((p) => p.startsWith('survey.positions'))).toEqual([])
  })

  test('what was typed of a machine before stays in the plan', () => {
    expect(plan.survey.positions).toHaveLength(3)
    expect(asJudged(soundPlan())).toEqual(soundPlan())
  })

  test('whatever is known of it, nothing asks for what it has not got', () => {
    fc.assert(
      fc.property(arbitraryPlan, (any) => {
        const { missing, judged, findings, agenda } = evaluate(bare(any))
        const asked = [
          ...missing.map((m) => m.path),
          ...judged.flatMap((j) => j.missing),
          ...findings.flatMap((f) => f.path ?? []),
          ...findings.flatMap((f) => f.remedies.flatMap((r) => r.patch.map((c) => c.path))),
          ...agenda.flatMap((step) => step.paths ?? []),
        ]
        expect(asked.filter((path) => !isThere(bare(any), path))).toEqual([])
      }),
      runs(200),
    )
  })
})
