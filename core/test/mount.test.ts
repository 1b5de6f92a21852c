import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { toDrawing } from '../src/drawing/primitives'
import { toSvg } from '../src/drawing/svg'
import { numberOf } from '../src/facts/figure'
import { beltTravel } from '../src/mount/beltTravel'
import { pitchOf } from '../src/mount/pitchOf'
import { nothingMeasured } from '../src/measurements/measured'
import { applyPatch, emptyPlan, set } from '../src/plan'
import { messageText } from '../src/quantities'
import { rules } from '../src/rulebook/registry'
import { arbitraryPlan } from './arbitraryPlan'
import { soundPlan } from './mistakes'
import { factsOf, mountOf } from './parts'

const says = (plan = soundPlan()) => mountOf(plan, nothingMeasured).tasks.map((t) => `${t.id}: ${messageText(t.says)}`)

describe('what comes between motor and machine', () => {
  test('is listed with sizes, and says what is missing', () => {
    const plan = applyPatch(soundPlan(), [
      set('mount.seat', 'plate'),
      set('mount.oldAcrossMm', 160),
      set('mount.oldAlongMm', 140),
      set('mount.oldHeightMm', 100),
      set('mount.acrossMm', 140),
      set('mount.alongMm', 125),
      set('mount.heightMm', 90),
    ])
    expect(says(plan)).toEqual(
      expect.arrayContaining([
        'holes: The feet want 140\u00a0mm across and 125\u00a0mm along; the machine has 160\u00a0mm and 140\u00a0mm: new slots, or a plate.',
        'height: A riser of 10\u00a0mm under its feet brings its shaft to the old height.',
      ]),
    )
    expect(mountOf(emptyPlan('x'), nothingMeasured).tasks.find((t) => t.id === 'seat')?.missing).toBe('mount.seat')
  })
  test('the plate has the machine’s four holes and the motor’s four slots, all inside its edge', () => {
    const plan = applyPatch(soundPlan(), [
      set('mount.oldAcrossMm', 160),
      set('mount.oldAlongMm', 140),
      set('mount.acrossMm', 140),
      set('mount.alongMm', 125),
      set('mount.travelMm', 40),
    ])
    const plate = mountOf(plan, nothingMeasured).made?.drawing
    if (!plate) throw new Error('no plate')
    expect(plate.primitives.filter((p) => p.kind === 'circle')).toHaveLength(4)
    expect(plate.primitives.filter((p) => p.kind === 'arc')).toHaveLength(8)
    expect(toSvg(toDrawing(plate), 'Plate')).toContain('This side up')
  })
  test('a riser is as thick as the shaft must be raised', () => {
    const plan = applyPatch(soundPlan(), [
      set('mount.seat', 'riser'),
      set('mount.oldAcrossMm', 160),
      set('mount.oldAlongMm', 140),
      set('mount.oldHeightMm', 112),
      set('mount.acrossMm', 140),
      set('mount.alongMm', 125),
      set('mount.heightMm', 90),
    ])
    const words = mountOf(plan, nothingMeasured).made?.drawing.primitives.flatMap((p) =>
      p.kind === 'text' ? [p.text] : [],
    )
    expect(words?.join()).toMatch(/^Riser 201 x 181, 22 thick/)
  })
  test('a bracket says how high it stands, or what it waits for, and is drawn only where its pieces have room', () => {
    const at = (...patch: Parameters<typeof applyPatch>[1]) => {
      const plan = applyPatch(soundPlan(), [
        set('mount.seat', 'bracket'),
        set('mount.oldAcrossMm', 160),
        set('mount.oldAlongMm', 140),
        set('mount.acrossMm', 140),
        set('mount.alongMm', 125),
        ...patch,
      ])
      const made = mountOf(plan, nothingMeasured)
      const task = made.tasks.find((t) => t.id === 'bracket')
      return [task && messageText(task.says), task?.missing, made.made?.name]
    }
    // With the frames the shafts would be level: no height follows from them.
    expect(at(set('mount.oldHeightMm', 90), set('mount.heightMm', 90))).toEqual([
      'How high the bracket stands is not known.',
      'mount.bracketMm',
      undefined,
    ])
    expect(at(set('mount.bracketMm', 80))[1]).toBe('mount.plateMm')
    expect(at(set('mount.oldHeightMm', 180), set('mount.heightMm', 90), set('mount.plateMm', 10))).toEqual([
      'A bracket 90\u00a0mm high: top, base and two webs of 70\u00a0mm; welded all round, or screwed and pinned.',
      undefined,
      'Bracket',
    ])
    expect(at(set('mount.bracketMm', 20), set('mount.plateMm', 10))).toEqual([
      '20\u00a0mm is no higher than its two plates: a riser instead of a bracket.',
      undefined,
      undefined,
    ])
  })
  test('a belt that is too short, or not there yet, is in the list with its length', () => {
    const plan = soundPlan()
    const belts = (patch: Parameters<typeof applyPatch>[1]) =>
      says(applyPatch(plan, patch)).filter((line) => line.startsWith('belt-'))
    const stage = 'survey.positions.0.transmission.0'
    const [bare, there] = [
      [set(`${stage}.beltMm`, undefined), set(`${stage}.outsideMm`, undefined), set(`${stage}.centreMm`, 410)],
      [set(`${stage}.beltMm`, 400), set(`${stage}.outsideMm`, undefined), set(`${stage}.centreMm`, undefined)],
    ]
    expect(belts(bare)[0]).toMatch(/: a belt of 1\s354\smm pitch length/)
    expect(belts(there)[0]).toMatch(/too short for these pulleys: a longer one/)
  })
  test('the motor must come near enough for every belt, and far enough for every one', () => {
    const facts = factsOf(soundPlan())
    const travel = beltTravel(facts)
    const rooms = facts.belts
      .filter((b) => b.path.endsWith('.0'))
      .map(({ geometry }) => [numberOf(geometry?.nearestMm), numberOf(geometry?.farthestMm)] as const)
      .filter((room): room is [number, number] => room[0] !== undefined && room[1] !== undefined)
    expect(rooms.length).toBeGreaterThan(1)
    for (const [near, far] of rooms) {
      expect(travel?.nearestMm).toBeLessThanOrEqual(near)
      expect(travel?.farthestMm).toBeGreaterThanOrEqual(far)
    }
    expect(travel?.wantsMm).toBeCloseTo(
      Math.max(...rooms.map(([, far]) => far)) - Math.min(...rooms.map(([near]) => near)),
      9,
    )
  })
  test('heat and force of a fit are those of their rules, and what is beyond is refused', () => {
    const fit = (patch: Parameters<typeof applyPatch>[1]) =>
      mountOf(applyPatch(soundPlan(), patch), nothingMeasured).fit
    const shrunk = [
      set('mount.fit', 'shrink'),
      set('mount.boreMm', 24),
      set('mount.tightMm', 0.012),
      set('mount.hub', 'iron'),
      set('installation.roomC', 20),
    ]
    expect(fit(shrunk).heatC).toBeCloseTo(162.857, 3)
    expect(fit([...shrunk, set('mount.tightMm', 0.02)]).refused).toMatch(/at most 0.012 in grey iron/)
    expect(fit([...shrunk, set('mount.hub', 'aluminium'), set('mount.tightMm', 0.2)]).refused).toMatch(
      /180 °C is the most/,
    )
  })
  test('is made of any plan', () => {
    fc.assert(
      fc.property(arbitraryPlan, (plan) => expect(mountOf(plan, nothingMeasured).tasks.length).toBeGreaterThan(0)),
      { numRuns: 100 },
    )
  })
})

describe('the hum of a belt', () => {
  test('is the inverse of its tension', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.02, max: 0.5, noNaN: true }),
        fc.double({ min: 100, max: 1500, noNaN: true }),
        fc.double({ min: 10, max: 400, noNaN: true }),
        (massKgPerM, spanMm, hertz) => {
          const tight = rules.get('belt.hum')?.run({ massKgPerM, spanMm, hertz })
          if (!tight?.ok) throw new Error('refused')
          const back = rules.get('belt.hum-wanted')?.run({ massKgPerM, spanMm, ...tight.value })
          expect(back?.ok && back.value['hertz']).toBeCloseTo(hertz, 6)
        },
      ),
    )
  })
  const sound = (hz: number, perSecond: number, noise: number, seed: number) => {
    let state = seed
    const random = () => {
      state = (state * 1103515245 + 12345) % 2147483648
      return state / 1073741824 - 1
    }
    // A plucked span: its note and two over it, dying away.
    return Array.from({ length: 2048 }, (_, i) => {
      const t = i / perSecond
      const note = [1, 0.6, 0.4].reduce((sum, a, k) => sum + a * Math.sin(2 * Math.PI * hz * (k + 1) * t + k), 0)
      return note * Math.exp(-4 * t) + noise * random()
    })
  }
  test('is heard in a sound with overtones and noise, within two parts in a hundred', () => {
    fc.assert(
      fc.property(fc.double({ min: 20, max: 300, noNaN: true }), fc.integer({ min: 1, max: 1e6 }), (hz, seed) => {
        const heard = pitchOf(sound(hz, 12_000, 0.15, seed), 12_000)
        expect(Math.abs((heard ?? 0) / hz - 1)).toBeLessThan(0.02)
      }),
      { numRuns: 60 },
    )
  })
  test('and not in noise alone, nor in silence', () => {
    expect(
      pitchOf(
        sound(50, 12_000, 0, 1).map(() => 0),
        12_000,
      ),
    ).toBeUndefined()
    const noise = sound(50, 12_000, 1, 7).map((v, i) => v - (sound(50, 12_000, 0, 7)[i] ?? 0))
    expect(pitchOf(noise, 12_000)).toBeUndefined()
  })
})
