import { layers, onCircle, type Layer, type Primitive, type WorkDrawing } from '../drawing/primitives'
import { textWidth } from '../drawing/textWidth'
import type { Facts } from '../facts/facts'
import { numberOf } from '../facts/figure'
import { holderName, limitOf } from '../facts/spindle/spindleLimits'
import type { PositionFacts } from '../facts/spindle/speedFacts'
import type { Measured } from '../measurements/measured'
import { readingsOf } from '../measurements/withMeasured'
import type { DialRing } from '../plan'
import { marksOf, TEXT } from './dialMarks'
import { degAt, dialScale, type DialScale } from './dialScale'
import { hertzAtMark, rpmAtMark } from './dialOf'
import { ringsOf } from './ringsOf'

const TICK = 2.6
const MINOR = 1.4
/** From a tick to its word. */
const GAP = 0.6
/** Depth of a ring: tick, words, air. */
const RING = 9.5
const EDGE = 2
const BAR = 100
const BELOW = 16

/** A dial plate at true size, or why it cannot be drawn. */
export interface DialPlate {
  drawing: WorkDrawing
  faults: string[]
  /** Each ring with its marks, for who cannot see the drawing. */
  rings: { name: string; measured: boolean; marks: { value: number; deg: number }[] }[]
  dangers: { name: string; fromDeg: number; toDeg: number }[]
}

/** The plate of the speed dial at true size: edge, hole, rings of round values, danger arcs, a safe start, a bar to check by. */
export function dialPlate(facts: Facts): DialPlate {
  const { plan, measured } = facts
  const scale = dialScale(plan.dial)
  const half = scale.plateMm / 2
  const width = Math.max(scale.plateMm, BAR) + 8
  const [cx, cy] = [width / 2, half + 4]
  const items: Primitive[] = [
    { kind: 'circle', layer: 'cut', x: cx, y: cy, r: half },
    { kind: 'circle', layer: 'cut', x: cx, y: cy, r: scale.holeMm / 2 },
  ]
  const plate: DialPlate = {
    drawing: { width, height: scale.plateMm + 8 + BELOW, primitives: items },
    faults: [],
    rings: [],
    dangers: [],
  }
  let radius = half - EDGE
  for (const ring of ringsOf(plan)) {
    if (radius - RING < scale.holeMm / 2 + EDGE) {
      plate.faults.push('So many rings do not fit between hole and edge: a larger plate, or fewer rings.')
      break
    }
    const made = valueOf(facts, measured, ring)
    if (typeof made === 'string') {
      plate.faults.push(made)
      continue
    }
    const marks = marksOf(scale, made.at, radius - TICK - TEXT / 2)
    if (marks === undefined) {
      plate.faults.push(`${made.name}: its values are not known along the whole dial.`)
      continue
    }
    items.push({
      kind: 'arc',
      layer: 'mark',
      x: cx,
      y: cy,
      r: radius,
      ...sweep(scale, scale.from, scale.to),
      width: 0.3,
    })
    for (const { deg, label } of marks.ticks) {
      const [a, b] = [
        onCircle(cx, cy, radius, deg),
        onCircle(cx, cy, radius - (label === undefined ? MINOR : TICK), deg),
      ]
      items.push({
        kind: 'line',
        layer: 'mark',
        x1: a.x,
        y1: a.y,
        x2: b.x,
        y2: b.y,
        width: label === undefined ? 0.2 : 0.35,
      })
      if (label === undefined) continue
      // A word lies level: beside the hole it reaches in by its half width, over and under it by its half height.
      const rad = (deg * Math.PI) / 180
      const reach = Math.abs(Math.sin(rad)) * (textWidth(label, TEXT, 600) / 2) + Math.abs(Math.cos(rad)) * (TEXT / 2)
      const at = onCircle(cx, cy, radius - TICK - GAP - reach, deg)
      items.push(word('words', at.x, at.y + TEXT * 0.35, label, TEXT, true))
    }
    if (plan.dial.dangers === true && made.position)
      for (const danger of dangersOf(facts, made.position, made.rpmAt, scale)) {
        plate.dangers.push({ name: danger.name, fromDeg: degAt(scale, danger.mark), toDeg: degAt(scale, scale.to) })
        items.push({
          kind: 'arc',
          layer: 'danger',
          x: cx,
          y: cy,
          r: radius + 0.9,
          ...sweep(scale, danger.mark, scale.to),
          width: 1.1,
        })
      }
    plate.rings.push({
      name: made.name,
      measured: made.measured,
      marks: marks.ticks.flatMap(({ value, deg, label }) => (label === undefined ? [] : [{ value, deg }])),
    })
    radius -= RING
  }
  // The names of the rings stand in the gap of the arc, or under the plate where there is none.
  plate.rings.forEach(({ name }, i) =>
    items.push(word('words', cx, cy + scale.holeMm / 2 + 6 + i * 3.4, name, 2.4, false)),
  )
  const safe = degAt(scale, scale.safeStart)
  const [tip, left, right] = [
    onCircle(cx, cy, half - 0.4, safe),
    onCircle(cx, cy, half + 2.4, safe - 2.2),
    onCircle(cx, cy, half + 2.4, safe + 2.2),
  ]
  for (const [a, b] of [
    [tip, left],
    [left, right],
    [right, tip],
  ] as const)
    items.push({ kind: 'line', layer: 'mark', x1: a.x, y1: a.y, x2: b.x, y2: b.y, width: 0.35 })
  bar(items, cx, scale.plateMm + 8)
  return plate
}

const word = (layer: Layer, x: number, y: number, text: string, size: number, bold: boolean): Primitive => ({
  kind: 'text',
  layer,
  x,
  y,
  text,
  size,
  anchor: 'middle',
  bold,
})

const sweep = (scale: DialScale, from: number, to: number) => ({ fromDeg: degAt(scale, from), toDeg: degAt(scale, to) })

/** A bar of 100 mm: whoever printed it lays a rule on it before he cuts. */
function bar(items: Primitive[], cx: number, y: number): void {
  const [x1, x2] = [cx - BAR / 2, cx + BAR / 2]
  items.push(
    { kind: 'line', layer: 'check', x1, y1: y, x2, y2: y, width: 0.25 },
    { kind: 'line', layer: 'check', x1, y1: y - 2, x2: x1, y2: y + 2, width: 0.25 },
    { kind: 'line', layer: 'check', x1: x2, y1: y - 2, x2, y2: y + 2, width: 0.25 },
    word('check', cx, y + 4.4, `${layers.check}: 100 mm. Measure it before cutting; print at 100 %.`, 2.8, false),
    word('check', cx, y + 8.4, 'Triangle: safe start. It plans and explains; it certifies nothing.', 2.8, false),
  )
}

interface RingValue {
  name: string
  measured: boolean
  /** The ring's value at a mark of the dial. */
  at: (mark: number) => number | undefined
  /** The spindle's speed there, which limits are held against. */
  rpmAt: (mark: number) => number | undefined
  position?: PositionFacts
}

function valueOf(facts: Facts, measured: Measured, ring: DialRing): RingValue | string {
  const { plan } = facts
  const scale = dialScale(plan.dial)
  if (ring.shows === 'hertz')
    return { name: 'Hz', measured: false, at: (mark) => hertzAtMark(facts, scale, mark), rpmAt: () => undefined }
  const position = facts.speeds.positions.find((p) => p.position.id === ring.positionId) ?? facts.speeds.main
  if (!position) return 'A ring wants a belt position: say which.'
  const fit = readingsOf(plan, measured, position.position.id)?.dial
  const rpm = (mark: number) => {
    const value = rpmAtMark(facts, position, fit, mark)
    return value === undefined ? undefined : Math.max(0, value)
  }
  if (ring.shows !== 'surface')
    return { name: `rpm, ${position.name}`, measured: fit !== undefined, at: rpm, rpmAt: rpm, position }
  const { diameterMm } = ring
  if (diameterMm === undefined) return 'A ring of surface speed wants a diameter.'
  return {
    name: `m/min at ${diameterMm} mm, ${position.name}`,
    measured: fit !== undefined,
    rpmAt: rpm,
    position,
    at: (mark) => {
      const n = rpm(mark)
      return n === undefined ? undefined : (Math.PI * diameterMm * n) / 1000
    },
  }
}

/** Where on the dial a thing on the spindle passes its limit, on this position. */
function dangersOf(
  facts: Facts,
  position: PositionFacts,
  at: RingValue['at'],
  scale: DialScale,
): { name: string; mark: number }[] {
  const top = at(scale.to)
  if (top === undefined || numberOf(position.speedRatio) === undefined) return []
  return facts.plan.survey.holders.flatMap((holder, index) => {
    const limit = limitOf(facts.plan, holder, index)
    if (limit === undefined || limit.rpm >= top) return []
    let [good, bad] = [scale.from, scale.to]
    for (let i = 0; i < 60; i += 1) {
      const middle = (good + bad) / 2
      if ((at(middle) ?? Infinity) <= limit.rpm) good = middle
      else bad = middle
    }
    return [{ name: `${holderName(holder)}, ${Math.round(limit.rpm)} rpm`, mark: good }]
  })
}
