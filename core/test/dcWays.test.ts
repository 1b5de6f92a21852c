import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { routeFindings } from '../src/compare/comparedFindings'
import { compareRoutes } from '../src/compare/compareRoutes'
import type { DcWayId } from '../src/compare/dcWay'
import { powerForTorque, torqueByPower } from '../src/drivetrain'
import { evaluate } from '../src/conversion/evaluate'
import { numberOf } from '../src/facts/figure'
import { applyPatch, set, type Patch } from '../src/plan'
import { messageText } from '../src/quantities'
import { demoPlan } from './demoPlans'

const compared = (demo: string, ...patch: Patch) => {
  const plan = applyPatch(demoPlan(demo), patch)
  return compareRoutes(plan, evaluate(plan))
}
const way = (of: ReturnType<typeof compared>, id: DcWayId) => {
  const found = of.dcWays.find((w) => w.id === id)
  if (!found) throw new Error(`no way ${id}`)
  return { ...found, says: messageText(found.verdict.says) }
}

/** The long-bed lathe whose DC motor gave way to an AC one: 3 hp at 1150 rpm against 3 hp at 1750, the same pulleys. */
const replaced = compared('long-bed-lathe')
/** Its sister that has the DC motor still. */
const kept = compared('long-bed-lathe-dc')
const sound = [
  set('dcDrive.fieldLossTrip', true),
  set('dcDrive.rectifier', 'smooth'),
  set('route.dcPhases', 'one'),
] as const

describe('torque at the slowest job', () => {
  test('by hand: 9.5493 P / n, through belt and gears with their losses', () => {
    // 45 rpm by 112:250, 24:72 and 30:60 want 603 rpm of the motor, under base: full torque.
    const motorNm = (60 / (2 * Math.PI)) * (2237.1 / 1150)
    const ratio = (112 / 250) * (24 / 72) * (30 / 60)
    const efficiency = replaced.figures['position.back.efficiency']?.value ?? 0
    expect(numberOf(way(replaced, 'keep-dc').slowNm)).toBeCloseTo((motorNm * efficiency) / ratio, 3)
  })
  test('a new drive on one phase loses the ripple’s share, on three hardly any', () => {
    const share = (of: ReturnType<typeof compared>) =>
      (numberOf(way(of, 'fixed-dc').slowNm) ?? 0) / (numberOf(way(of, 'keep-dc').slowNm) ?? 1)
    expect(share(replaced)).toBeCloseTo(1 / 1.4, 6)
    expect(share(compared('long-bed-lathe', set('supply.phases', 3)))).toBeCloseTo(1 / 1.05, 6)
  })
  test('an AC motor of as much power at more speed has less; the power that would equal it is told', () => {
    const geared = way(replaced, 'ac-geared')
    expect(numberOf(geared.slowNm)).toBeLessThan(numberOf(way(replaced, 'keep-dc').slowNm) ?? 0)
    // With a blower the torque of 2237 W at 1750 rpm is to that at 1150 as the speeds are.
    expect((numberOf(geared.equalW) ?? 0) / 2237.1).toBeCloseTo(1750 / 1150, 2)
    expect(geared.verdict.answer).toBe('watch')
    expect(geared.says).toMatch(/^65\.7.% of the DC motor’s 222.N.m at the slowest job\. 3\.4.kW with a blower/)
  })
  test('without the back gear the slowest job is out of reach, and only a far larger motor equals it', () => {
    const open = way(replaced, 'ac-open')
    expect([numberOf(open.slowNm), open.verdict.answer]).toEqual([undefined, 'watch'])
    expect(open.says).toMatch(/No belt position turns 45 rpm this way\. 19\.2.kW with a blower/)
  })
  test('what equals it does: that power gives that torque', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 50, max: 5e4, noNaN: true }),
        fc.double({ min: 0.1, max: 1e3, noNaN: true }),
        fc.double({ min: 0.1, max: 1e3, noNaN: true }),
        (powerW, torqueNm, wantedNm) => {
          const made = powerForTorque.run({ powerW, torqueNm, wantedNm })
          if (!made.ok) return
          const back = torqueByPower.run({ torqueNm, powerW, otherPowerW: made.value.powerW })
          if (back.ok) expect(back.value.torqueNm / wantedNm).toBeCloseTo(1, 9)
        },
      ),
    )
  })
})

describe('speeds in one position', () => {
  test('by field to the top, with a fixed field to base, with AC as far as the knob goes', () => {
    const spans = (['keep-dc', 'fixed-dc', 'small-dc'] as const).map((id) => way(replaced, id).span)
    expect(spans.map((s) => [s?.position, s?.fromRpm, s?.toRpm.toFixed(1), s?.jobs])).toEqual([
      ['Open belt', 0, '1030.4', 3],
      ['Open belt', 0, '515.2', 2],
      ['Open belt', 0, '1030.4', 3],
    ])
    expect(way(replaced, 'ac-geared').span?.fromRpm).toBeGreaterThan(0)
  })
  test('a plate that prints one speed has nothing above base', () => {
    const one = compared('long-bed-lathe', set('route.dcTopRpm', undefined))
    expect(way(one, 'keep-dc').span?.toRpm).toBeCloseTo(515.2, 6)
  })
})

describe('verdicts', () => {
  test('a field that can be lost without a trip stops the drive that is kept, not a new one', () => {
    expect([way(kept, 'keep-dc').verdict.answer, way(kept, 'fixed-dc').verdict.answer]).toEqual(['stop', 'watch'])
    const modern = compared('long-bed-lathe-dc', set('dcDrive.source', 'modern'))
    expect(way(modern, 'fixed-dc').verdict.answer).toBe('stop')
  })
  test('of the way that is chosen it is a finding of the comparison, in the same words', () => {
    const plan = demoPlan('long-bed-lathe-dc')
    const found = routeFindings(plan, kept).find((f) => f.id.startsWith('route.dc-way'))
    expect([found?.severity, messageText(found?.says ?? [])]).toEqual(['stop', way(kept, 'keep-dc').says])
    const good = applyPatch(plan, sound)
    expect(routeFindings(good, compareRoutes(good, evaluate(good))).map((f) => f.id)).not.toContain(
      'route.dc-way/keep-dc',
    )
  })
  test('brushes that spark stop every way that keeps the motor, and no other', () => {
    const sparking = compared('long-bed-lathe-dc', ...sound, set('dcDrive.brushes', 'sparking'))
    expect(sparking.dcWays.map((w) => w.verdict.answer)).toEqual(['stop', 'stop', 'stop', 'watch', 'watch'])
  })
  test('what is kept and sound is good', () =>
    expect(way(compared('long-bed-lathe-dc', ...sound), 'keep-dc').verdict.answer).toBe('good'))
  test('a system for three phases wants a converter at a wall of one, in money and amps too', () => {
    expect(way(replaced, 'keep-dc').says).toMatch(/wants three phases and the wall has one/)
    const line = (of: ReturnType<typeof compared>) => of.lines.find((l) => l.id === 'keep-dc')
    const one = compared('long-bed-lathe', set('route.dcPhases', 'one'))
    expect([numberOf(line(replaced)?.costThis), numberOf(line(one)?.costThis)]).toEqual([450 + 720, 450])
    expect(numberOf(line(replaced)?.wallA)).toBeGreaterThan(numberOf(line(one)?.wallA) ?? Infinity)
  })
  test('which phases it wants is asked for, unless its bridge says it', () => {
    const asked = compared('long-bed-lathe', set('route.dcPhases', undefined))
    expect([way(asked, 'keep-dc').verdict.answer, way(asked, 'keep-dc').says]).toEqual([
      'unknown',
      expect.stringMatching(/one phase or three is not known/),
    ])
    const bridge = [set('dcDrive.rectifier', 'three-phase'), set('dcDrive.fieldLossTrip', true)] as const
    expect(way(compared('long-bed-lathe-dc', ...bridge), 'keep-dc').says).toMatch(/wants three phases/)
  })
  test('the AC motor that is not typed is asked for where it is typed', () => {
    const none = compared('long-bed-lathe-dc', set('route.acPowerW', undefined))
    const geared = way(none, 'ac-geared')
    expect([geared.verdict.answer, 'missing' in geared.slowNm && geared.slowNm.missing]).toEqual([
      'unknown',
      ['route.acPowerW'],
    ])
    // The DC motor's own numbers are never taken for it.
    const each = none.lines.find((l) => l.id === 'drive-each')
    expect([numberOf(each?.slowNm), numberOf(each?.wallA)]).toEqual([undefined, undefined])
  })
  test('with the back gear lost a drive on each machine is told by the positions that are left', () => {
    const lost = compared('long-bed-lathe-dc', set('route.backGearKept', false))
    expect(lost.lines.find((l) => l.id === 'drive-each')?.slowNm).toBe(way(lost, 'ac-open').slowNm)
    const geared = compared(
      'long-bed-lathe-dc',
      set('survey.positions', demoPlan('long-bed-lathe-dc').survey.positions.slice(1)),
    )
    expect(way(geared, 'ac-open').verdict.answer).toBe('stop')
  })
  test('a DC motor on a DC drive is told as unsuitable neither on Motor nor on Route, on another drive on both', () => {
    const told = (...patch: Patch) => {
      const plan = applyPatch(demoPlan('long-bed-lathe-dc'), patch)
      const evaluation = evaluate(plan)
      return [
        evaluation.findings.some((f) => f.id === 'motor.kind'),
        compareRoutes(plan, evaluation).motor !== undefined,
      ]
    }
    expect([told(), told(set('drive.kind', 'digital'))]).toEqual([
      [false, false],
      [true, true],
    ])
  })
  test('a machine without a DC motor has none of these', () => expect(compared('gap-bed-lathe').dcWays).toEqual([]))
})
