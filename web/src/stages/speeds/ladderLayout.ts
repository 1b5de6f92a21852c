import type { Evaluation } from '@zesty/core'
import { scaleLog, type ScaleLogarithmic } from 'd3'

export interface Rung {
  x: number
  hertz: number
  labelled: boolean
}

export interface JobFlag {
  id: string
  name: string
  x: number
  /** Line under the rail that its name is written on. */
  level: number
  /** Names near the right edge are written leftwards. */
  leftwards: boolean
  reached: boolean
  rpm: number
}

export interface Rail {
  id: string
  name: string
  main: boolean
  y: number
  from: number
  to: number
  rungs: Rung[]
  flags: JobFlag[]
}

export interface LadderLayout {
  scale: ScaleLogarithmic<number, number>
  ticks: number[]
  rails: Rail[]
  height: number
  limits: { x: number; rpm: number; what: string; row: number }[]
}

export const MARGIN = { left: 14, right: 14, bottom: 40 }
const LIMIT_ROW = 20
const RAIL_HEAD = 58
const FLAG_ROW = 21
const LETTER = 7.4

/** Everything the chart draws, in pixels; text is kept from lying on other text. */
export function layoutLadder(evaluation: Evaluation, width: number): LadderLayout | undefined {
  const { positions, jobs, figures, limits } = evaluation
  const speeds = positions.flatMap((p) => p.ladder.map((r) => r.spindleRpm))
  const wanted = jobs.flatMap((j) => figures[j.wantedRpm]?.value ?? [])
  const all = [...speeds, ...wanted].filter((n) => n > 0)
  if (speeds.length === 0) return undefined
  const scale = scaleLog([Math.min(...all) * 0.85, Math.max(...all) * 1.18], [MARGIN.left, width - MARGIN.right])
  const [low = 1, high = 1] = scale.domain()
  const ticks = [1, 2, 5, 10, 20, 50, 100, 200, 500, 1000, 2000, 5000, 10000, 20000, 50000].filter(
    (t) => t >= low && t <= high,
  )
  const shownLimits = placeLimits(
    limits.filter((l) => l.rpm >= low && l.rpm <= high),
    scale,
  )
  let y = 12 + LIMIT_ROW * (shownLimits.length > 0 ? Math.max(...shownLimits.map((l) => l.row)) + 1 : 0)
  const rails = positions.map((p): Rail => {
    const railY = y + RAIL_HEAD - 14
    const here = jobs
      .filter((j) => j.positionId === p.id)
      .flatMap((j) =>
        figures[j.wantedRpm]
          ? [{ id: j.id, name: j.name, rpm: figures[j.wantedRpm]?.value ?? 0, reached: j.doneOn.includes(p.id) }]
          : [],
      )
    const flags = placeFlags(here, scale, width)
    y += RAIL_HEAD + FLAG_ROW * (flags.length > 0 ? Math.max(...flags.map((f) => f.level)) + 1 : 0) + 12
    const rungs = placeRungs(p.ladder.map((r) => ({ hertz: r.frequencyHz, x: scale(r.spindleRpm) })))
    return {
      id: p.id,
      name: p.name,
      main: p.main,
      y: railY,
      from: rungs[0]?.x ?? 0,
      to: rungs[rungs.length - 1]?.x ?? 0,
      rungs,
      flags,
    }
  })
  return { scale, ticks, rails, height: y + MARGIN.bottom, limits: shownLimits }
}

/** Every rung is drawn; a label only where it does not touch the one before, ends first. */
function placeRungs(rungs: readonly { hertz: number; x: number }[]): Rung[] {
  const room = 30
  const kept: number[] = []
  const order = [0, rungs.length - 1, ...rungs.keys()]
  for (const i of order) {
    const x = rungs[i]?.x
    if (x !== undefined && !kept.includes(i) && kept.every((k) => Math.abs((rungs[k]?.x ?? 0) - x) > room)) kept.push(i)
  }
  return rungs.map((r, i) => ({ ...r, labelled: kept.includes(i) }))
}

interface Span {
  from: number
  to: number
}

type Placing = Span & { x: number; level: number }

const covers = (span: Span, x: number): boolean => x > span.from && x < span.to

const overlap = (a: Span, b: Span): boolean => a.to > b.from && a.from < b.to

/** Two names on one line may not overlap, and the stem of the deeper flag may not cross the name of the other. */
function collide(a: Placing, b: Placing): boolean {
  if (a.level === b.level) return overlap(a, b)
  const [deep, shallow] = a.level > b.level ? [a, b] : [b, a]
  return covers(shallow, deep.x)
}

function placeFlags(
  jobs: readonly { id: string; name: string; rpm: number; reached: boolean }[],
  scale: (n: number) => number,
  width: number,
): JobFlag[] {
  const placed: (JobFlag & Span)[] = []
  const measured = jobs.map((job) => {
    const x = scale(job.rpm)
    const length = job.name.length * LETTER + 12
    const leftwards = x + length > width - MARGIN.right
    return { ...job, x, leftwards, ...(leftwards ? { from: x - length, to: x - 3 } : { from: x + 3, to: x + length }) }
  })
  // From the right, so that the stem of each passes left of the names already written.
  for (const job of measured.sort((a, b) => Number(a.leftwards) - Number(b.leftwards) || b.x - a.x)) {
    const levels = jobs.map((_, level) => level)
    const free = levels.find((level) => placed.every((p) => !collide(p, { ...job, level })))
    const legible = levels.find((level) => placed.every((p) => p.level !== level || !overlap(p, job)))
    placed.push({ ...job, level: free ?? legible ?? jobs.length })
  }
  return placed
}

function placeLimits(limits: Evaluation['limits'], scale: (n: number) => number): LadderLayout['limits'] {
  // The fastest is written first, so that no line of a slower one runs through its words.
  return [...limits]
    .reverse()
    .slice(-4)
    .map((l, row) => ({ x: scale(l.rpm), rpm: l.rpm, what: l.what, row }))
}
