import { describe, expect, test } from '@jest/globals'
import { evaluate } from '../src/conversion/evaluate'
import { set, type Patch } from '../src/plan'
import { messageText } from '../src/quantities'
import { trainChoices } from '../src/search/trains'
import { spoiled } from './mistakes'

/** The position used most is 90 on 224 mm; C is 224 on 90. */
const P = 'survey.positions.1'
const after = (...patch: Patch) => evaluate(spoiled(...patch))
const noSizes = set(`${P}.transmission`, [{ kind: 'v-belt' as const }])
const said = (...patch: Patch): string =>
  messageText(after(...patch).findings.find((f) => f.id === 'belts.known-speed/b')?.says ?? []).replace(/\s/g, ' ')

describe('a position known by its speed', () => {
  test('has the ratio of the two speeds, given or measured as it was said', () => {
    const printed = after(noSizes, set(`${P}.knownSpindleRpm`, 355), set(`${P}.knownMotorRpm`, 1420))
    expect(printed.figures['position.b.speedRatio']).toMatchObject({ value: 0.25, basis: 'given' })
    const measured = after(
      noSizes,
      set(`${P}.knownSpindleRpm`, 355),
      set(`${P}.knownMotorRpm`, 1420),
      set(`${P}.knownFrom`, 'measured'),
    )
    expect(measured.figures['position.b.speedRatio']).toMatchObject({ value: 0.25, basis: 'measured' })
    expect(printed.figures['position.b.topRpm']?.value).toBeGreaterThan(0)
    expect(printed.positions[1]?.reversed).toBe(false)
    // Only how fast its belt runs, which is a question of safety, still wants a pulley.
    expect(printed.missing.filter((m) => m.path.startsWith(P))).toMatchObject([
      { path: `${P}.transmission.0.driverMm`, blocks: ['B: speed of belt 1'] },
    ])
  })

  test('by hertz, by a blade over a wheel, by a ratio', () => {
    const ratio = (...patch: Patch) => after(noSizes, ...patch).figures['position.b.speedRatio']?.value
    expect(ratio(set(`${P}.knownSpindleRpm`, 375), set(`${P}.knownHz`, 50))).toBeCloseTo(0.25, 9)
    expect(
      ratio(set(`${P}.knownSurfaceMPerMin`, 100 * Math.PI), set(`${P}.wheelMm`, 400), set(`${P}.knownMotorRpm`, 1000)),
    ).toBeCloseTo(0.25, 9)
    expect(ratio(set(`${P}.knownRatio`, 0.25))).toBe(0.25)
  })

  test('a half of what is wanted asks for the other half, not for pulleys', () => {
    const waiting = (...patch: Patch) => after(noSizes, ...patch).blocked['position.b.speedRatio']?.missing
    expect(waiting(set(`${P}.knownSpindleRpm`, 375))).toEqual([`${P}.knownMotorRpm`])
    expect(waiting(set(`${P}.knownSurfaceMPerMin`, 40), set(`${P}.knownHz`, 50))).toEqual([`${P}.wheelMm`])
  })

  test('what stands between may stay unsaid: speeds are told, torque waits', () => {
    const { figures, blocked, positions } = after(set(`${P}.transmission`, []), set(`${P}.knownRatio`, 0.4))
    expect(figures['position.b.unloadedTopRpm']?.value).toBeGreaterThan(0)
    expect(blocked['position.b.torque']?.missing).toEqual([`${P}.transmission`])
    expect(positions[1]?.reversed).toBeUndefined()
  })

  test('the one pulley that is not known follows, and what rests on it', () => {
    const { figures } = after(
      set(`${P}.transmission`, [{ kind: 'v-belt' as const, drivenMm: 224, section: 'a', centreMm: 412 }]),
      set(`${P}.knownRatio`, 0.4),
    )
    expect(figures[`${P}.transmission.0.driverMm`]).toMatchObject({ basis: 'computed' })
    expect(figures[`${P}.transmission.0.driverMm`]?.value).toBeCloseTo(89.6, 9)
    expect(figures['position.b.belt1.speed']?.value).toBeGreaterThan(0)
    const geared = after(
      set(`${P}.transmission`, [
        { kind: 'v-belt' as const, driverMm: 100, drivenMm: 200 },
        { kind: 'gear-pair' as const, driverTeeth: 20 },
      ]),
      set(`${P}.knownRatio`, 0.125),
    )
    expect(geared.figures[`${P}.transmission.1.drivenTeeth`]?.value).toBeCloseTo(80, 9)
  })

  test('the search counts it among the positions there are', () => {
    const own = trainChoices(spoiled(noSizes, set(`${P}.knownRatio`, 0.25)), {} as never).find((t) => t.own)
    expect(own?.positions.find((p) => p.position.id === 'b')?.speedRatio).toBe(0.25)
  })
})

describe('a speed beside the pulleys', () => {
  const at = (spindleRpm: number, ...more: Patch): string =>
    said(set(`${P}.knownSpindleRpm`, spindleRpm), set(`${P}.knownMotorRpm`, 1420), ...more)

  test('within three in a hundred is one with them', () => {
    expect(at(570)).toBe('')
    expect(at(555)).toBe('')
    expect(at(552)).not.toBe('')
    expect(at(589)).not.toBe('')
  })

  test.each([
    [545, 'the belt slips'],
    [253, 'it fits C, back gear, so the belt may have stood there'],
    [1262, 'it fits A, so the belt may have stood there'],
    [3534, 'exchanged'],
    [684, '50 and 60 Hz may be exchanged'],
    [1141, 'two marks a turn'],
    [420, 'more than a belt slips'],
    [800, 'No slip makes it faster'],
  ])('%d rpm: %s', (rpm, cause) => expect(at(rpm)).toContain(cause))

  test('a slip that was measured is counted in one press, and then they agree', () => {
    const measured: Patch = [
      set(`${P}.knownSpindleRpm`, 545),
      set(`${P}.knownMotorRpm`, 1420),
      set(`${P}.knownFrom`, 'measured'),
    ]
    const [remedy] = after(...measured).findings.find((f) => f.id === 'belts.known-speed/b')?.remedies ?? []
    expect(remedy?.patch).toEqual([set(`${P}.transmission.0.slip`, 0.045)])
    expect(after(...measured, ...(remedy?.patch ?? [])).findings.map((f) => f.id)).not.toContain('belts.known-speed/b')
  })

  test('the belt behind a stage of unknown size waits for it', () => {
    const { blocked, figures } = after(
      set(`${P}.transmission`, [
        { kind: 'v-belt' as const, driverMm: 90 },
        { kind: 'v-belt' as const, driverMm: 100, drivenMm: 200 },
      ]),
    )
    expect(figures['position.b.belt2.speed']).toBeUndefined()
    expect(blocked['position.b.belt2.speed']?.missing).toEqual([`${P}.transmission.0.drivenMm`])
  })
})
