import { toothPitches } from '../data/beltPitches'
import type { StageSizes } from './effectiveSizes'
import { isMeshed, isSealed, isToothed, reverses, type TransmissionKind } from './transmissionKinds'

/** A stage as it is drawn; sizes in mm, or teeth for gears and timing pulleys. */
export interface DrawnStage extends Partial<StageSizes> {
  kind?: TransmissionKind | undefined
  slip?: number | undefined
  section?: string | undefined
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

/** The arc on which a belt lies on a pulley, in degrees clockwise from the right. */
export interface Wrap {
  stage: number
  end: Wheel['end']
  x: number
  y: number
  radiusMm: number
  fromDeg: number
  sweepDeg: number
}

export interface Shaft {
  x: number
  y: number
  /** Seen from the same end throughout. */
  clockwise: boolean
  /** Turns for one of the motor’s. */
  turns: number
}

/** A train seen from its end, to scale in mm: the motor's shaft at the origin, x to the right. */
export interface TrainLayout {
  shafts: Shaft[]
  wheels: Wheel[]
  runs: Run[]
  wraps: Wrap[]
  /** Distance of each stage's shafts, and whether it is known or only supposed for the drawing. */
  centres: { stage: number; mm: number; supposed: boolean }[]
}

/** Pitch diameter for a tooth, where only teeth are known: for the drawing alone. */
const MM_PER_TOOTH = 3

/** Millimetres of diameter for each unit of a stage's sizes. */
function perUnit({ kind, section }: DrawnStage): number {
  if (!isToothed(kind)) return 1
  const pitch = Object.entries(toothPitches.pitches).find(([id]) => kind === 'timing-belt' && id === section)?.[1]
  return pitch === undefined ? MM_PER_TOOTH : pitch.pitchMm / Math.PI
}

/**
 * Lays out the stages that are known; `centreOf` gives the distance between the shafts of a stage where
 * it is known. Stages without sizes end the drawing. Belts run level, gears step down. The motor turns
 * `clockwise` as it is seen.
 */
export function trainLayout(
  stages: readonly DrawnStage[],
  centreOf: (stage: number) => number | undefined,
  clockwise = true,
): TrainLayout {
  const layout: TrainLayout = {
    shafts: [{ x: 0, y: 0, clockwise, turns: 1 }],
    wheels: [],
    runs: [],
    wraps: [],
    centres: [],
  }
  for (const [i, stage] of stages.entries()) {
    const { kind, driver, driven, slip = 0 } = stage
    const from = layout.shafts[layout.shafts.length - 1]
    if (!from || kind === undefined) break
    if (kind === 'direct') continue
    if (driver === undefined || driven === undefined || isSealed(kind)) break
    const [r1, r2] = [(driver * perUnit(stage)) / 2, (driven * perUnit(stage)) / 2]
    const meshed = isMeshed(kind)
    const known = meshed ? undefined : centreOf(i)
    const touching = r1 + r2
    const mm = meshed ? touching : Math.max(known ?? 1.6 * touching, touching)
    const turning = {
      clockwise: reverses(kind) ? !from.clockwise : from.clockwise,
      turns: from.turns * (driver / driven) * (1 - slip),
    }
    // Gears sit under each other, so that a train of several stays in the picture.
    const to: Shaft = meshed
      ? { x: from.x + mm * Math.SQRT1_2, y: from.y + mm * Math.SQRT1_2, ...turning }
      : { x: from.x + mm, y: from.y, ...turning }
    const toothed = isToothed(kind)
    layout.wheels.push(
      { stage: i, end: 'driver', x: from.x, y: from.y, radiusMm: r1, toothed },
      { stage: i, end: 'driven', x: to.x, y: to.y, radiusMm: r2, toothed },
    )
    if (!meshed) {
      const belt = beltPath(from, r1, to, r2, kind === 'crossed-belt')
      layout.runs.push(...belt.runs)
      layout.wraps.push({ stage: i, end: 'driver', ...belt.driver }, { stage: i, end: 'driven', ...belt.driven })
    }
    layout.centres.push({ stage: i, mm, supposed: !meshed && known === undefined })
    layout.shafts.push(to)
  }
  return layout
}

const degrees = (radians: number): number => (radians * 180) / Math.PI

/** The two straight runs of a belt between circles whose centres lie level, and the arcs it lies on. */
function beltPath(a: Shaft, r1: number, b: Shaft, r2: number, crossed: boolean) {
  const distance = b.x - a.x
  const tilt = Math.asin(Math.min(1, (crossed ? r1 + r2 : r1 - r2) / distance))
  const [sin, cos] = [Math.sin(tilt), Math.cos(tilt)]
  const side = crossed ? -1 : 1
  const runs = [1, -1].map((up): Run => ({
    x1: a.x + r1 * sin,
    y1: a.y - up * r1 * cos,
    x2: b.x + side * r2 * sin,
    y2: b.y - side * up * r2 * cos,
  }))
  const lean = degrees(tilt)
  // On the driving pulley the belt leaves towards the right and lies round the left; on the driven the other way.
  const driver = { x: a.x, y: a.y, radiusMm: r1, fromDeg: 90 - lean, sweepDeg: 180 + 2 * lean }
  const driven = {
    x: b.x,
    y: b.y,
    radiusMm: r2,
    fromDeg: crossed ? -90 - lean : -90 + lean,
    sweepDeg: crossed ? 180 + 2 * lean : 180 - 2 * lean,
  }
  return { runs, driver, driven }
}
