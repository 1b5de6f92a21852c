import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { evaluate } from '../src/conversion/evaluate'
import { applyPatch, emptyPlan, fieldAt, isThere, set, type Patch } from '../src/plan'
import { messageText } from '../src/quantities'
import { stageIds } from '../src/stages/stages'
import { runs } from './effort'
import { arbitraryPlan } from './arbitraryPlan'
import { demoPlans } from './demoPlans'
import { mistakes, soundPlan, spoiled } from './mistakes'

const asks = (...patch: Patch) => evaluate(applyPatch(emptyPlan('x'), patch)).agenda.filter((s) => s.kind === 'ask')
const asked = (...patch: Patch): string[] =>
  evaluate(spoiled(...patch)).agenda.flatMap((s) => (s.kind === 'ask' ? (s.paths ?? []) : []))

describe('what is to be done next', () => {
  test('of any plan: fields that are there, each once, in the stage they stand on; and work to do at the end', () => {
    const holds = (plan: ReturnType<typeof soundPlan>) => {
      const { agenda, findings } = evaluate(plan)
      expect(agenda.at(-1)?.kind).toBe('do')
      expect(agenda.filter((s) => s.kind === 'do')).toHaveLength(1)
      const paths = agenda.flatMap((s) => s.paths ?? [])
      expect(paths).toEqual([...new Set(paths)])
      expect(paths.filter((path) => !isThere(plan, path))).toEqual([])
      for (const { stage, paths: here = [], kind } of agenda)
        expect([kind, stage, ...here.map((p) => fieldAt(p).stage)].filter((s) => s !== stage && s !== kind)).toEqual([])
      // Stops come before watches, and what follows from another is not gone to by itself.
      const shown = agenda.flatMap((s) => findings.filter((f) => f.id === s.findingId))
      expect(shown.filter((f) => f.follows !== undefined || !f.due)).toEqual([])
      expect(shown.map((f) => f.severity)).toEqual([...shown.map((f) => f.severity)].sort())
    }
    fc.assert(fc.property(arbitraryPlan, holds), runs(200))
    for (const plan of [soundPlan(), ...demoPlans.values(), ...mistakes.map(([, , patch]) => spoiled(...patch))])
      holds(plan)
  })

  test('begins with the first verdict, then goes through the stages in their order', () => {
    expect(asks().map((s) => s.text)).toEqual(
      expect.arrayContaining(['Say what machine it is', 'Type the motor’s plate']),
    )
    const later = asks(set('survey.machineKind', 'lathe')).filter((s) => s.text.startsWith('Fill in'))
    const order = later.map((s) => stageIds.indexOf(s.stage))
    expect(order).toEqual([...order].sort((a, b) => a - b))
    expect(new Set(order).size).toBe(order.length)
  })

  test('a sound plan is asked nothing, and told what to do', () => {
    const { agenda } = evaluate(soundPlan())
    expect(agenda.filter((s) => s.kind === 'ask')).toEqual([])
    expect(agenda[0]).toMatchObject({ kind: 'do', text: 'Make the checks before first spin, with the belt off' })
  })
  test('before first power that is the card', () => {
    expect(evaluate(spoiled(set('settings.state', undefined))).agenda.at(-1)?.text).toContain('Print the settings card')
  })
})

describe('what is asked is named exactly, and only what applies', () => {
  test('of what spins, its width, not the list', () => {
    const width = asked(
      set('survey.holders', [{ id: 'h', kind: 'chuck', diameterMm: 160 }]),
      set('survey.comesNext', 'in-use'),
    )
    expect(width).toContain('survey.holders.0.widthMm')
    expect(width).not.toContain('survey.holders')
  })
  test('where there is no spindle, nothing of what spins', () => {
    expect(asked(set('survey.spindleNose', 'none'), set('survey.holders', []))).not.toContain('survey.holders')
  })
  test('one voltage and no leads told: neither links nor leads', () => {
    const one: Patch = [
      set('motor.highVoltageV', undefined),
      set('motor.highVoltageA', undefined),
      set('motor.connection', undefined),
      set('motor.leads', undefined),
    ]
    expect(asked(...one).filter((p) => p === 'motor.leads' || p === 'motor.connection')).toEqual([])
    const motor = evaluate(spoiled(...one)).chain.find((l) => l.id === 'motor')
    expect(messageText(motor?.headline ?? [])).toContain('One voltage')
    expect(asked(...one, set('motor.leads', '9-star'))).toContain('motor.connection')
  })
  test('whose drive is known is not asked for a route', () => {
    expect(asked(set('route.chosen', undefined))).not.toContain('route.chosen')
  })
  test('whether it doubles: of any drive for one phase up to 130 V, and of no other', () => {
    const doubles = (input: '1' | '3', inputVoltageV: number | undefined) =>
      asked(
        set('drive.doubler', undefined),
        set('drive.input', input),
        set('drive.inputVoltageV', inputVoltageV),
        set('drive.inputVoltageTopV', undefined),
      ).includes('drive.doubler')
    expect([100, 115, 120, 127, 130, undefined].map((v) => doubles('1', v))).toEqual(Array(6).fill(true))
    expect([200, 230, 400].map((v) => doubles('1', v))).toEqual([false, false, false])
    expect([120, undefined].map((v) => doubles('3', v))).toEqual([false, false])
  })
  test('of a job what its rule wants', () => {
    const job = (more: object) => asked(set('survey.jobs', [{ id: 'j', speedRpm: 200, ...more }]))
    expect(job({ kind: 'turning', diameterMm: 25 })).toContain('survey.jobs.0.material')
    expect(job({ kind: 'turning', diameterMm: 25, material: 'brass' })).toEqual(
      expect.arrayContaining(['survey.jobs.0.feedMm', 'survey.jobs.0.depthMm']),
    )
    // No rule reckons it, and nobody knows it.
    expect(job({ kind: 'polishing' })).not.toContain('survey.jobs.0.torqueNm')
  })
  test('links and the filter’s link are asked with what they belong to', () => {
    const both = asked(set('supply.earthing', undefined), set('drive.filterLink', undefined))
    expect(both).toEqual(expect.arrayContaining(['supply.earthing', 'drive.filterLink']))
  })
})
