import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { advise } from '../src/conversion/advise'
import { evaluate } from '../src/conversion/evaluate'
import { measuredSchema, type Measured } from '../src/measurements/measured'
import { readingSchema } from '../src/readings/measurement'
import { median, robust } from '../src/readings/robust'
import { withMeasured } from '../src/measurements/withMeasured'
import { applyPatch, set, type Patch } from '../src/plan'
import { messageText } from '../src/quantities'
import { soundPlan, spoiled } from './mistakes'
import { measuredBy, soundReadings } from './readings'

const P = 'survey.positions.1'
const noSizes = set(`${P}.transmission`, [{ kind: 'v-belt' as const }])
const judged = (measured: Measured, ...patch: Patch) => evaluate(spoiled(...patch), undefined, measured)
const plain = (text: Parameters<typeof messageText>[0]): string => messageText(text).replace(/\s/g, ' ')

describe('a series', () => {
  const series = (...values: number[]) => robust(values.map((value, i) => ({ value, id: `${i}` })))
  test('its middle is not moved by one that is far off, which is named', () => {
    expect(series(412, 414, 411, 824)).toEqual({
      count: 4,
      median: 413,
      least: 411,
      outliers: [{ value: 824, id: '3' }],
    })
  })
  test('of two, neither is the odd one', () => expect(series(412, 824)?.outliers).toEqual([]))
  test('alike readings have no outlier by a hair', () => expect(series(100, 100, 100, 102)?.outliers).toEqual([]))
  test('the median lies among them, whatever order they come in', () => {
    fc.assert(
      fc.property(fc.array(fc.double({ min: 1, max: 1e4, noNaN: true }), { minLength: 1, maxLength: 40 }), (values) => {
        const found = median(values)
        expect(found).toBe(median([...values].reverse()))
        expect(values.filter((v) => v <= found).length * 2).toBeGreaterThanOrEqual(values.length)
        expect(values.filter((v) => v >= found).length * 2).toBeGreaterThanOrEqual(values.length)
      }),
    )
  })
})

describe('what readings come to', () => {
  test('is small and of the shape that goes over the wire', () => {
    const many = Array.from({ length: 400 }, (_, i) => ({
      kind: 'spindle-speed' as const,
      value: 400 + (i % 7) + (i % 5 === 0 ? 500 : 0),
      hz: 50,
      positionId: 'b',
    }))
    const measured = measuredBy(...many)
    expect(measuredSchema.parse(JSON.parse(JSON.stringify(measured)))).toEqual(JSON.parse(JSON.stringify(measured)))
    expect(JSON.stringify(measured).length).toBeLessThan(5000)
    expect(measured.positions.b?.perHertz?.outliers).toHaveLength(50)
  })
  test('a reading with both rpm counts by the rpm, and is not said to disagree with itself by slip', () => {
    const { positions, disagreements } = measuredBy(
      { kind: 'spindle-speed', value: 355, motorRpm: 1420, hz: 50, positionId: 'b' },
      { kind: 'spindle-speed', value: 356, motorRpm: 1424, positionId: 'b' },
    )
    expect(positions.b?.perTurn?.median).toBeCloseTo(0.25, 9)
    expect(disagreements).toEqual([])
  })
  test('values beyond sense are refused with their limits', () => {
    const read = readingSchema.safeParse({ kind: 'amps', value: 5000, takenAt: '2026-03-01T10:00:00Z' })
    expect(read.error?.issues[0]).toMatchObject({ path: ['value'], message: 'Amps: from 0.001 to 1000' })
  })
})

describe('what is judged by readings', () => {
  test('a position that the plan knows nothing of has the ratio that was read, as measured', () => {
    const { figures } = judged(
      measuredBy({ kind: 'spindle-speed', value: 355, motorRpm: 1420, positionId: 'b' }),
      noSizes,
    )
    expect(figures['position.b.speedRatio']).toMatchObject({ value: 0.25, basis: 'measured' })
  })
  test('by the hertz, and by a blade over its wheel', () => {
    const byHertz = judged(measuredBy({ kind: 'spindle-speed', value: 375, hz: 50, positionId: 'b' }), noSizes)
    expect(byHertz.figures['position.b.speedRatio']?.value).toBeCloseTo(0.25, 9)
    const byBlade = judged(
      measuredBy({ kind: 'surface-speed', value: 375 * Math.PI * 0.4, hz: 50, positionId: 'b' }),
      noSizes,
      set(`${P}.wheelMm`, 400),
    )
    expect(byBlade.figures['position.b.speedRatio']?.value).toBeCloseTo(0.25, 6)
  })
  test('beside sizes the plan stays as it is, and what differs is told with causes that were tried', () => {
    const measured = measuredBy({ kind: 'spindle-speed', value: 285, motorRpm: 1420, positionId: 'b' })
    const { figures, findings } = judged(measured)
    expect(figures['position.b.speedRatio']).toMatchObject({ basis: 'computed' })
    const finding = findings.find((f) => f.id === 'belts.known-speed/b-read')
    expect(finding?.severity).toBe('watch')
    expect(plain(finding?.says ?? [])).toContain('as measured')
  })
  test('a coast is taken where the plan times none; one that is typed stays', () => {
    const coast = measuredBy({ kind: 'coast', value: 14, fromRpm: 1200, positionId: 'b' })
    const open = judged(coast, set('survey.coastS', undefined), set('survey.coastFromRpm', undefined))
    expect(open.figures['survey.coastS']).toMatchObject({ value: 14, basis: 'measured' })
    expect(judged(coast, set('survey.coastS', 20)).figures['survey.coastS']).toMatchObject({
      value: 20,
      basis: 'given',
    })
  })
  test('on two that speak against each other nothing rests; the pulleys say which of them is right', () => {
    const measured = measuredBy(
      { kind: 'spindle-speed', value: 355, motorRpm: 1420, positionId: 'b' },
      { kind: 'spindle-speed', value: 571, motorRpm: 1420, positionId: 'b' },
    )
    const open = judged(measured, noSizes)
    expect(open.figures['position.b.speedRatio']).toBeUndefined()
    const { findings } = judged(measured)
    expect(findings.map((f) => f.id)).not.toContain('belts.known-speed/b-read')
    const pair = findings.find((f) => f.id.startsWith('measured.disagree/'))
    expect(plain(pair?.says ?? [])).toContain('The pulleys speak for 0.402 spindle turns')
  })
  test('two coasts tell how friction grows', () => {
    const two = judged(
      measuredBy(...soundReadings),
      set('survey.coastS', undefined),
      set('survey.coastFromRpm', undefined),
    )
    expect(two.figures['stop.coastS']).toMatchObject({ basis: 'measured', ruleId: 'drivetrain.coast-two-speeds' })
  })
  test('no remedy writes down what was read', () => {
    const measured = measuredBy(...soundReadings, { kind: 'insulation', value: 0.2 })
    const plan = applyPatch(soundPlan(), [set('survey.coastS', undefined), set('checks.testMOhm', undefined)])
    const { fields } = withMeasured(plan, measured)
    expect([...fields].sort()).toEqual(['checks.testMOhm', 'survey.coastFromRpm', 'survey.coastS'])
    const written = advise(plan, undefined, measured).findings.flatMap((f) =>
      f.remedies.flatMap((r) => r.patch.map((c) => c.path)),
    )
    expect(written.filter((path) => fields.has(path))).toEqual([])
  })
  test('readings that agree are good; nothing that was read is said to be nothing', () => {
    const line = (measured: Measured) => judged(measured).judged.find((l) => l.id === 'measured.disagree')
    expect(line(measuredBy(...soundReadings))).toMatchObject({ answer: 'good' })
    expect(line(measuredBy())).toMatchObject({ answer: 'does-not-apply' })
  })
})

describe('a pair that disagrees says what would explain it', () => {
  const speed = (value: number) => ({ kind: 'spindle-speed' as const, value, hz: 50, positionId: 'b' })
  const said = (...told: Parameters<typeof measuredBy>): string =>
    plain(judged(measuredBy(...told)).findings.find((f) => f.id.startsWith('measured.disagree/'))?.says ?? [])
  test.each([
    [[speed(590), speed(1180)], 'two marks a turn'],
    [[speed(590), speed(708)], '50 and 60 Hz are exchanged'],
    [[speed(590), speed(5900)], 'a decimal is misplaced'],
    [[speed(590), speed(630)], 'the belt slips'],
    [[speed(590), speed(1305)], 'one was read on A'],
    [[speed(590), speed(770)], 'Nothing tried here explains it'],
    [
      [
        { kind: 'coast' as const, value: 14, fromRpm: 1200 },
        { kind: 'coast' as const, value: 30, fromRpm: 1200 },
      ],
      'something else was on the spindle',
    ],
  ])('%j', (told, why) => expect(said(...told)).toContain(why))
})

describe('amps that were read', () => {
  const found = (...amps: number[]) => {
    const leads = ['u', 'v', 'w'] as const
    const told = amps.map((value, i) => ({ kind: 'amps' as const, value, lead: leads[i] ?? 'u' }))
    return judged(measuredBy(...told)).findings.find((f) => f.id === 'measured.amps')
  }
  test('over the plate are told', () => expect(plain(found(9, 9, 9)?.title ?? [])).toContain('more than its plate'))
  test('that differ from lead to lead are told', () => expect(plain(found(3, 3, 4)?.title ?? [])).toContain('alike'))
  test('that are alike and under the plate are good', () => expect(found(3, 3.1, 3)).toBeUndefined())
})
