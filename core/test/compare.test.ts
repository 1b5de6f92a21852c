import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { compareDrives } from '../src/compare/compareDrives'
import { compareMotors } from '../src/compare/compareMotors'
import { compareRoutes } from '../src/compare/compareRoutes'
import { motorFit } from '../src/compare/motorFit'
import { frameSize, frameSizes } from '../src/data/frameSizes'
import { leadConnections } from '../src/motor/leadConnections'
import { evaluate } from '../src/conversion/evaluate'
import { numberOf } from '../src/facts/figure'
import { ingressOf, letsIn } from '../src/facts/drive/ingress'
import { frameHeightMm, terminalLinks } from '../src/motor'
import { applyPatch, emptyPlan, set, upgrade, type Plan } from '../src/plan'
import { messageText } from '../src/quantities'
import { runs } from './effort'
import { arbitraryPlan } from './arbitraryPlan'
import { measuredBy } from './readings'
import { demoPlan } from './demoPlans'

describe('frames', () => {
  test('the height of each frame agrees with its name', () => {
    for (const [name, { centreHeightMm }] of Object.entries(frameSizes.frames))
      expect([name, frameHeightMm(name)?.toFixed(2)]).toEqual([name, centreHeightMm.toFixed(2)])
  })
  test.each([
    ['90L', 24, 125],
    ['IEC 112M', 28, 140],
    ['145TC', 22.225, 127],
    ['56H', 15.875, 76.2],
    ['80', 19, 100],
  ])('%s', (frame, shaftMm, footAlongMm) => {
    expect(frameSize(frame)?.shaftMm).toBeCloseTo(shaftMm, 3)
    expect(frameSize(frame)?.footAlongMm).toBeCloseTo(footAlongMm, 3)
  })
  test('a name that fixes nothing gives nothing', () =>
    expect([frameSize('56'), frameSize('big'), frameSize('225')]).toEqual([undefined, undefined, undefined]))
})

describe('connections', () => {
  test('every connection that leads allow can be drawn', () => {
    for (const [leads, ways] of Object.entries(leadConnections))
      for (const { connection } of leads === '3' ? [] : ways)
        expect([leads, connection, terminalLinks.run({ leads, connection }).ok]).toEqual([leads, connection, true])
  })
  test('twelve leads in star take root three times the volts of their delta', () => {
    const plan = applyPatch(emptyPlan('x'), [
      set('motor', {
        kind: 'induction',
        powerW: 2200,
        lowVoltageV: 230,
        highVoltageV: 460,
        lowVoltageA: 8,
        leads: '12',
        connection: 'high-star',
      }),
    ])
    const { figures } = evaluate(plan)
    expect(figures['motor.plateVoltageV']?.value).toBeCloseTo(796.74, 2)
    expect(figures['motor.plateCurrentA']?.value).toBeCloseTo(2.3094, 4)
  })
  test('twelve leads kept before stars and deltas were told apart are read as delta', () => {
    const old = { ...emptyPlan('x'), schemaVersion: 1, motor: { leads: '12', connection: 'low' } }
    const up = upgrade(old)
    expect(up.ok && up.value['motor']).toEqual({ leads: '12', connection: 'low-delta' })
  })
})

describe('enclosures', () => {
  test.each([
    ['IP20', ['chips', 'grit', 'coolant']],
    ['IP54', []],
    ['TEFC', []],
    ['IP44', ['grit', 'coolant']],
  ] as const)('%s lets in %j', (enclosure, entering) => {
    const ingress = ingressOf(enclosure)
    expect(ingress && letsIn(ingress, ['chips', 'grit', 'coolant'])).toEqual(entering)
  })
  test('words without a code say nothing', () => expect(ingressOf('grey box')).toBeUndefined())
})

describe('motors side by side', () => {
  const columns = () => compareMotors(demoPlan('gap-bed-lathe'))
  test('what was read of the machine counts for each, what was read of the winding for its own alone', () => {
    const plan = demoPlan('gap-bed-lathe')
    delete plan.survey.coastS
    plan.checks = { secondHand: true }
    const read = measuredBy(
      { kind: 'coast', value: 14, fromRpm: 1200, positionId: 'b' },
      { kind: 'insulation', value: 0.2 },
    )
    const [own, other] = compareMotors(plan, read)
    const [bare] = compareMotors(plan)
    expect([own, other, bare].map((c) => c?.evaluation.figures['survey.coastS']?.basis === 'measured')).toEqual([
      true,
      true,
      false,
    ])
    expect([own, other].map((c) => c?.evaluation.figures['checks.testMOhm']?.value)).toEqual([0.2, undefined])
    expect(compareDrives(plan, read)[1]?.evaluation.figures['checks.testMOhm']?.value).toBe(0.2)
  })
  test('the plan’s own first, then each thought of', () =>
    expect(columns().map((c) => c.name)).toEqual([
      'In the plan',
      'Teasel 100L, six-pole',
      'Teasel 80, two-pole',
      'Sorrel 90L, blower',
    ]))
  test('what fits, what is adapted, what does not', () => {
    const verdicts = (name: string) =>
      Object.fromEntries(
        columns()
          .find((c) => c.name === name)
          ?.fit.map((f) => [f.what, f.verdict]) ?? [],
      )
    expect(verdicts('Teasel 100L, six-pole')).toMatchObject({
      'Shaft height': 'adapt',
      'Length over all': 'no',
      Shaft: 'adapt',
      Mass: 'adapt',
      Speed: 'adapt',
    })
    expect(verdicts('In the plan')).toMatchObject({ 'Shaft height': 'fits', Shaft: 'fits', 'Feet, along': 'adapt' })
    expect(verdicts('Teasel 80, two-pole')).toMatchObject({ 'Shaft height': 'adapt', 'Terminal box': 'fits' })
  })
  test('a taller motor fits only as far as the plate drops', () => {
    const height = (raiseMm?: number) =>
      motorFit({ frame: '90S', ...(raiseMm === undefined ? {} : { raiseMm }) }, { frame: '100L' })[0]
    expect([height()?.verdict, height(12)?.verdict, height(5)?.verdict]).toEqual(['adapt', 'adapt', 'no'])
    expect(messageText(motorFit({ frame: '100L' }, { frame: '90S' })[0]?.says ?? [])).toMatch(/Riser block of 10\smm/)
  })
  test('the fan end wants air, and a blower a supply of its own', () => {
    const fan = (overallMm: number, cooling: 'shaft-fan' | 'blower') =>
      motorFit({ roomMm: 360 }, { overallMm, cooling }).find((f) => f.what === 'Fan end')
    expect([fan(310, 'shaft-fan')?.verdict, fan(340, 'shaft-fan')?.verdict, fan(310, 'blower')?.verdict]).toEqual([
      'fits',
      'adapt',
      'adapt',
    ])
    expect(messageText(fan(310, 'blower')?.says ?? [])).toMatch(/never from U, V, W/)
  })
  test('a typed size counts before the frame’s', () => {
    const [height] = motorFit({ frame: '90S' }, { frame: '90S', centreHeightMm: 95 })
    expect([height?.new, height?.byFrame]).toEqual([95, false])
  })
  test('six poles have more torque at the slowest job than four of the same power, a blower more than a fan', () => {
    const torque = columns().map((c) => numberOf(c.slowest?.continuousNm) ?? 0)
    expect(torque[1]).toBeGreaterThan(torque[0] ?? 0)
    expect(torque[3]).toBeGreaterThan(torque[0] ?? 0)
    expect(torque[2]).toBeLessThan(torque[0] ?? 0)
  })
})

describe('drives side by side', () => {
  const columns = () => compareDrives(demoPlan('gap-bed-lathe'))
  test('true cost takes what the drive wants here', () => {
    const cost = Object.fromEntries(columns().map((c) => [c.name, numberOf(c.cost)]))
    expect(cost['Heron 22']).toBe(285 + 85 + 40)
    expect(cost['Plover 15, sealed']).toBe(465)
    expect(cost['Dunlin P15, trim-pots']).toBe(240 + 85)
  })
  test('a price that is wanted and not known leaves the sum unknown', () => {
    const plan = applyPatch(demoPlan('gap-bed-lathe'), [
      set('drive.resistor', { ohm: 100 }),
      set('drive.resistorPrice', undefined),
    ])
    const [own] = compareDrives(plan)
    expect(own && 'missing' in own.cost && own.cost.missing).toEqual(['drive.resistorPrice'])
  })
  test('plain V/f pulls less at the slowest job than vector control', () => {
    const plan = demoPlan('gap-bed-lathe')
    const peak = (control: 'vf' | 'vector') =>
      numberOf(compareDrives(applyPatch(plan, [set('drive.control', control)]))[0]?.slowest?.peakNm) ?? 0
    expect(peak('vf')).toBeLessThan(0.8 * peak('vector'))
  })
  test('the carrier costs amps only above the manual’s', () => {
    const up = columns().find((c) => c.name === 'Heron 22')
    expect(up?.evaluation.figures['drive.outputA']?.value).toBeCloseTo(9, 6)
    expect(up?.evaluation.figures['drive.outputA']?.ruleId).toBe('drive.derating')
  })
})

describe('routes', () => {
  const compared = (plan: Plan) => compareRoutes(plan, evaluate(plan))
  const lathe = compared(demoPlan('gap-bed-lathe'))
  const line = (id: string) => lathe.lines.find((l) => l.id === id)
  test('cost for this machine and for all', () => {
    expect([numberOf(line('drive-each')?.costThis), numberOf(line('drive-each')?.costAll)]).toEqual([430, 1720])
    expect([numberOf(line('converter-starters')?.costThis), numberOf(line('converter-starters')?.costAll)]).toEqual([
      1075, 1360,
    ])
    expect(numberOf(line('converter-drives')?.costAll)).toBe(980 + 4 * 260)
  })
  test('the crossover is the first number of machines at which the converter is cheaper', () => {
    const [starters, drives] = lathe.crossovers.map(numberOf)
    expect([starters, drives]).toEqual([3, 6])
    for (const [each, from] of [
      [95, starters],
      [260, drives],
    ] as const) {
      const n = from ?? 0
      expect([980 + n * each < n * 430, 980 + (n - 1) * each < (n - 1) * 430]).toEqual([true, false])
    }
  })
  test('wall amps: the drive as on its own stage, the converter with its losses', () => {
    expect(numberOf(line('drive-each')?.wallA)).toBeCloseTo(lathe.figures['drive.computedInputA']?.value ?? 0, 6)
    expect(numberOf(line('drive-each')?.togetherA)).toBeGreaterThan(numberOf(line('drive-each')?.wallA) ?? 0)
    expect(line('drive-each')?.runAtOnce?.[0]).toBe('Gap-bed lathe, east bay')
  })
  test('an idler for hard starts is twice the motor, behind drives half as much again', () => {
    expect(numberOf(line('converter-starters')?.idlerW)).toBe(2250)
    const grinder = compared(applyPatch(demoPlan('gap-bed-lathe'), [set('route.machines.1.powerW', 2000)]))
    const idler = (id: string) => numberOf(grinder.lines.find((l) => l.id === id)?.idlerW)
    expect([idler('converter-starters'), idler('converter-drives')]).toEqual([4000, 3000])
  })
  test('a DC drive applies only where there is one', () => {
    expect([line('keep-dc')?.applies, line('small-dc')?.applies]).toEqual([false, false])
    const long = compared(demoPlan('long-bed-lathe'))
    expect(long.lines.find((l) => l.id === 'keep-dc')?.applies).toBe(true)
    expect(long.dc?.curves.map((w) => w.id)).toEqual(['drive-each', 'keep-dc', 'fixed-dc', 'small-dc'])
    const [kept, small] = ['keep-dc', 'small-dc'].map((id) => long.dc?.curves.find((w) => w.id === id)?.points ?? [])
    // Below base speed the kept drive has twice the torque of the field left at half, and what a new one's ripple costs.
    expect((kept?.[5]?.torqueNm ?? 0) / (small?.[5]?.torqueNm ?? 1)).toBeCloseTo(2 * 1.4, 6)
    // At the top only the ripple is left between them.
    expect((kept?.at(-1)?.torqueNm ?? 0) / (small?.at(-1)?.torqueNm ?? 1)).toBeCloseTo(1.4, 6)
    expect(numberOf(long.reversals[2]?.energyJ)).toBeCloseTo(4 * (numberOf(long.reversals[0]?.energyJ) ?? 0), 6)
  })
  test('a motor that no drive runs is told with the ways that lead on, and a variable unit with what becomes of it', () => {
    const repulsion = compared(
      applyPatch(demoPlan('gap-bed-lathe'), [
        set('motor', { kind: 'repulsion', powerW: 750 }),
        set('route.motorPrice', 180),
      ]),
    )
    expect([repulsion.motor?.leadsTo, lathe.motor]).toEqual([
      ['A drive on each machine', 'A complete pre-wired kit'],
      undefined,
    ])
    // Its price counts a three-phase motor too.
    expect(numberOf(repulsion.lines[0]?.costThis)).toBe(430 + 180)
    const sheaves = compared(
      applyPatch(demoPlan('gap-bed-lathe'), [
        set('survey.positions.0.transmission.0', { kind: 'variable-sheave', driverMm: 90, drivenMm: 180 }),
      ]),
    )
    const work = (id: string) => sheaves.lines.find((l) => l.id === id)?.work[0]
    expect([work('drive-each'), work('converter-starters')]).toEqual([
      expect.stringMatching(/^Lock the variable unit at one ratio/),
      expect.stringMatching(/^Keep the variable unit/),
    ])
    expect(line('drive-each')?.work[0]).not.toMatch(/variable unit/)
  })
  test('a price that is not typed leaves the cost unknown and names it', () => {
    const plan = applyPatch(demoPlan('gap-bed-lathe'), [set('route.drivePrice', undefined)])
    const cost = compared(plan).lines[0]?.costThis
    expect(cost && 'missing' in cost && cost.missing).toEqual(['route.drivePrice'])
  })
})

test('no valid plan makes a comparison throw, and every figure of one is a number', () => {
  fc.assert(
    fc.property(arbitraryPlan, (plan) => {
      const all = [
        compareRoutes(plan, evaluate(plan)).figures,
        ...compareMotors(plan).map((c) => c.evaluation.figures),
        ...compareDrives(plan).map((c) => c.evaluation.figures),
      ]
      for (const figures of all)
        for (const [id, f] of Object.entries(figures)) expect([id, Number.isFinite(f?.value)]).toEqual([id, true])
    }),
    runs(60),
  )
})
