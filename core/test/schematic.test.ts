import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { enclosureHeat } from '../src/drive'
import type { Shape } from '../src/drawing/shapes'
import { toSvg } from '../src/drawing/svg'
import type { Plan } from '../src/plan'
import { drawMotorBox } from '../src/schematic/motorBox'
import { drawSheet } from '../src/schematic/drawSheet'
import { qualityOf } from '../src/schematic/quality'
import { panelOf } from '../src/schematic/panel'
import { placesOf } from '../src/schematic/placesOf'
import { sheetsOf } from '../src/schematic/sheetsOf'
import { placed } from '../src/schematic/heights'
import { tracked, type Segment } from '../src/schematic/tracks'
import { scheduleOf } from '../src/wiring/schedule'
import { scheduleCsv } from '../src/wiring/wiringCsv'
import { wiringOf } from '../src/wiring/wiringOf'
import { runs } from './effort'
import { arbitraryPlan } from './arbitraryPlan'
import { demoPlan, demoPlans } from './demoPlans'

const untouched = arbitraryPlan.map((plan): Plan => ({ ...plan, wiring: { ...plan.wiring, changes: undefined } }))

const faults = (plan: Plan): string[] => {
  const wiring = wiringOf(plan)
  const sheets = sheetsOf(wiring)
  const drawn = sheets.flatMap(({ layout }) => layout.paths.map(({ wire }) => wire.key)).sort()
  const meant = wiring.wires
    .filter(({ sheet }) => sheet !== 'box')
    .map(({ key }) => key)
    .sort()
  return [
    ...sheets.flatMap(({ id, layout }) => {
      const measured = qualityOf(layout)
      return Object.entries(measured).flatMap(([what, count]) =>
        what !== 'crossings' && count > 0 ? [`${id}: ${what} ${count}`] : [],
      )
    }),
    ...(JSON.stringify(drawn) === JSON.stringify(meant) ? [] : ['the sheets do not show each wire once']),
  ]
}

describe('the sheets', () => {
  test('of every demo plan show each wire once, none through a device, no two numbers on each other', () => {
    for (const [name, plan] of demoPlans) expect([name, faults(plan)]).toEqual([name, []])
  })
  test('of any plan too', () => {
    fc.assert(
      fc.property(untouched, (plan) => expect(faults(plan)).toEqual([])),
      runs(150),
    )
  })
  test('keep sides and order from the first step on, whatever is chosen then; what is new finds room among them', () => {
    const places = (plan: Plan) => placesOf(sheetsOf(wiringOf(plan)))
    const moved = (before: Record<string, number>, after: Record<string, number>): string[] => {
      const sheetOf = (key: string) => key.slice(0, key.indexOf('/'))
      const both = Object.keys(before).filter((key) => key in after)
      return both.flatMap((a, i) => [
        ...(Math.sign(before[a] ?? 0) === Math.sign(after[a] ?? 0) ? [] : [`${a} went over`]),
        ...both.slice(i + 1).flatMap((b) => {
          const [a0, b0, a1, b1] = [before[a], before[b], after[a], after[b]].map(Number) as [
            number,
            number,
            number,
            number,
          ]
          const side = (place: number) => (place < 0 ? 'left' : place > 40 ? 'right' : 'middle')
          if (sheetOf(a) !== sheetOf(b) || side(a0) !== side(b0)) return []
          return Math.sign(Math.abs(a0) - Math.abs(b0)) * Math.sign(Math.abs(a1) - Math.abs(b1)) < 0
            ? [`${a} and ${b} turned`]
            : []
        }),
      ])
    }
    fc.assert(
      fc.property(untouched, untouched, (plan, other) => {
        const before = places(plan)
        const changed: Plan = {
          ...plan,
          controls: { ...plan.controls, runLamp: other.controls.runLamp, emergencyStop: other.controls.emergencyStop },
          wiring: { ...plan.wiring, guardSwitch: other.wiring.guardSwitch, coolantPump: true, places: before },
        }
        expect(faults(changed)).toEqual([])
        // A column of a device is by its rank on a power sheet, so only what stands in one column is compared.
        const sideways = Object.keys(before).filter((key) => !key.startsWith('control'))
        const of = (all: Record<string, number>) =>
          Object.fromEntries(Object.entries(all).filter(([key]) => !sideways.includes(key)))
        expect(moved(of(before), of(places(changed)))).toEqual([])
      }),
      runs(60),
    )
  })
  test('are the same for the same plan, byte for byte', () => {
    const draw = () => {
      const wiring = wiringOf(demoPlan('surface-grinder'))
      return sheetsOf(wiring)
        .map(({ name, layout }) => toSvg(drawSheet(layout, wiring), name))
        .join('')
    }
    expect(draw()).toBe(draw())
  })
  test('print terminals as they are on that drive, and tell wires by their numbers', () => {
    const wiring = wiringOf(demoPlan('gap-bed-lathe'))
    const texts = (shapes: readonly Shape[]): string[] =>
      shapes.flatMap((s) => (s.kind === 'text' ? [s.text] : s.kind === 'group' ? texts(s.shapes) : []))
    const all = sheetsOf(wiring).flatMap(({ layout }) => texts(drawSheet(layout, wiring).shapes))
    for (const printed of ['in-a', 'pot+', '+24', 'C1', 'A1']) expect(all).toContain(printed)
    for (const { number, sheet } of wiring.wires)
      if (sheet !== 'box')
        expect([
          number,
          all.includes(String(number)) || wiring.wires.some((w) => w.number === number && w.kind === 'earth'),
        ]).toEqual([number, true])
  })
  test('an SVG escapes what is typed', () => {
    const wiring = wiringOf({
      ...demoPlan('gap-bed-lathe'),
      drive: { ...demoPlan('gap-bed-lathe').drive, name: '<b>&' },
    })
    const [first] = sheetsOf(wiring)
    if (!first) throw new Error('no sheet')
    const svg = toSvg(drawSheet(first.layout, wiring), '<i>')
    expect(svg).not.toContain('<b>')
    expect(svg).not.toContain('<i>')
  })
})

describe('motor box and panel', () => {
  test('links lie between the studs that the connection ties', () => {
    const wiring = wiringOf(demoPlan('surface-grinder'))
    const links = wiring.wires.filter(({ sheet }) => sheet === 'box')
    expect(links.map(({ from, to }) => `${from} ${to}`).sort()).toEqual([
      'motor.t1 motor.t6',
      'motor.t2 motor.t4',
      'motor.t3 motor.t5',
    ])
    expect(drawMotorBox(wiring).shapes.length).toBeGreaterThan(10)
  })
  test('a closed box warms by the rule for the box that is there', () => {
    const plan = demoPlan('surface-grinder')
    const panel = panelOf(plan, wiringOf(plan), 80)
    const heat = enclosureHeat.run({
      widthMm: panel.widthMm,
      heightMm: panel.heightMm,
      depthMm: panel.depthMm,
      lossW: 80,
      material: plan.installation.boxMaterial,
      roomC: 20,
    })
    expect(heat.ok && panel.riseK).toBeCloseTo(heat.ok ? heat.value.riseK : NaN, 9)
    expect(panelOf(plan, wiringOf(plan)).lossW).toBe(plan.manual?.outline?.lossW)
  })
  test('a box of which no losses are known says no temperature', () => {
    const plan = demoPlan('bench-shaper')
    expect(panelOf({ ...plan, manual: undefined }, wiringOf(plan)).riseK).toBeUndefined()
  })
})

describe('places and tracks', () => {
  test('things of one column never overlap, and lie at their wishes where they may', () => {
    fc.assert(
      fc.property(
        fc.array(fc.record({ wish: fc.integer({ min: 0, max: 200 }), size: fc.integer({ min: 4, max: 40 }) }), {
          maxLength: 8,
        }),
        (things) => {
          const at: { y: number; size: number }[] = []
          placed(
            things.map(({ wish, size }) => ({
              wish,
              size,
              weight: 1,
              gap: 8,
              put: (y: number) => void at.push({ y, size }),
            })),
            12,
          )
          const sorted = [...at].sort((a, b) => a.y - b.y)
          sorted.forEach((a, i) => {
            const below = sorted[i + 1]
            if (below) expect(below.y - (a.y + a.size)).toBeGreaterThanOrEqual(8 - 1e-9)
          })
          expect(Math.min(Infinity, ...at.map(({ y }) => y))).toBeGreaterThanOrEqual(12)
        },
      ),
    )
  })
  test('two wires that need not cross do not', () => {
    const segment = (l: number, r: number): Segment => ({
      a: { side: 'left', y: l },
      b: { side: 'right', y: r },
      track: 0,
      x: 0,
      net: '',
    })
    expect(tracked([segment(10, 50), segment(30, 80)]).crossings).toBe(0)
    expect(tracked([segment(10, 80), segment(60, 30)]).crossings).toBe(1)
  })
})

describe('the wire list', () => {
  test('tells the same as the drawing, wire by wire', () => {
    fc.assert(
      fc.property(untouched, (plan) => {
        const wiring = wiringOf(plan)
        const listed = scheduleOf(wiring).map(({ key }) => key)
        expect([...listed].sort()).toEqual(wiring.wires.map(({ key }) => key).sort())
        expect(scheduleCsv(wiring).split('\r\n').length).toBe(wiring.wires.length + 1)
      }),
      runs(60),
    )
  })
})
