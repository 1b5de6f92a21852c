import type { StageKind } from './drivetrainRatio'

/** A stage as it is drawn; sizes in mm, or teeth for gears and timing pulleys. */
export interface DrawnStage {
  kind?: StageKind | undefined
  driverMm?: number | undefined
  drivenMm?: number | undefined
}

export interface Wheel {
  /** Of the stage, and which end of it. */
  stage: number
  end: 'driver' | 'driven'
  x: number
  y: number
  radiusMm: number
  toothed: boolean
}

/** A straight run of belt, tangent to both pulleys. */
export interface Run {
  x1: number
  y1: number
  x2: number
  y2: number
}

export interface Shaft {
  x: number
  y: number
  /** Seen from the same end throughout, the motor turning clockwise. */
  clockwise: boolean
}

/** A train seen from its end, to scale in mm: the motor's shaft at the origin, x to the right. */
export interface TrainLayout {
  shafts: Shaft[]
  wheels: Wheel[]
  runs: Run[]
  /** Distance of each stage's shafts, and whether it is known or only supposed for the drawing. */
  centres: { stage: number; mm: number; supposed: boolean }[]
}

/** Pitch diameter for a tooth, where only teeth are known: for the drawing alone. */
const MM_PER_TOOTH = 3

const isToothed = (kind: StageKind): boolean => kind === 'gear-pair' || kind === 'timing-belt' || kind === 'worm'

/** Wheels that touch, without a belt between. */
const isMeshed = (kind: StageKind): boolean => kind === 'gear-pair' || kind === 'worm'

const turnsBack = (kind: StageKind): boolean => kind === 'gear-pair' || kind === 'crossed-belt'

/**
 * Lays out the stages that are known; `centreOf` gives the distance between the shafts of a stage where
 * it is known. Stages without sizes end the drawing. Belts run level, gears step down.
 */
export function trainLayout(
  stages: readonly DrawnStage[],
  centreOf: (stage: number) => number | undefined,
): TrainLayout {
  const layout: TrainLayout = { shafts: [{ x: 0, y: 0, clockwise: true }], wheels: [], runs: [], centres: [] }
  for (const [i, { kind, driverMm, drivenMm }] of stages.entries()) {
    const from = layout.shafts[layout.shafts.length - 1]
    if (!from || kind === undefined) break
    if (kind === 'direct') continue
    if (driverMm === undefined || drivenMm === undefined) break
    const perUnit = isToothed(kind) ? MM_PER_TOOTH : 1
    const [r1, r2] = [(driverMm * perUnit) / 2, (drivenMm * perUnit) / 2]
    const known = isMeshed(kind) ? undefined : centreOf(i)
    const touching = r1 + r2
    const mm = isMeshed(kind) ? touching : Math.max(known ?? 1.6 * touching, touching)
    // Gears sit under each other, so that a train of several stays in the picture.
    const to: Shaft = isMeshed(kind)
      ? { x: from.x + mm * Math.SQRT1_2, y: from.y + mm * Math.SQRT1_2, clockwise: from.clockwise !== turnsBack(kind) }
      : { x: from.x + mm, y: from.y, clockwise: turnsBack(kind) ? !from.clockwise : from.clockwise }
    const toothed = isToothed(kind)
    layout.wheels.push(
      { stage: i, end: 'driver', x: from.x, y: from.y, radiusMm: r1, toothed },
      { stage: i, end: 'driven', x: to.x, y: to.y, radiusMm: r2, toothed },
    )
    if (!isMeshed(kind)) layout.runs.push(...tangents(from, r1, to, r2, kind === 'crossed-belt'))
    layout.centres.push({ stage: i, mm, supposed: !isMeshed(kind) && known === undefined })
    layout.shafts.push(to)
  }
  return layout
}

/** The two straight runs of a belt between circles whose centres lie level. */
function tangents(a: Shaft, r1: number, b: Shaft, r2: number, crossed: boolean): Run[] {
  const distance = b.x - a.x
  const tilt = Math.asin(Math.min(1, (crossed ? r1 + r2 : r1 - r2) / distance))
  const [sin, cos] = [Math.sin(tilt), Math.cos(tilt)]
  const side = crossed ? -1 : 1
  return [1, -1].map((up) => ({
    x1: a.x + r1 * sin,
    y1: a.y - up * r1 * cos,
    x2: b.x + side * r2 * sin,
    y2: b.y - side * up * r2 * cos,
  }))
}
