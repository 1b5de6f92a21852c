import { shippedLibrary, type Library } from '../data/planningValues'
import type { Evaluation, PositionLine } from '../evaluate/evaluate'
import type { Reading } from '../evaluate/figure'
import { Ledger } from '../evaluate/ledger'
import { torqueSource } from '../evaluate/torqueSource'
import type { Plan } from '../plan'

/** The slowest speed that a job wants, and the torque the spindle has there. */
export interface SlowestJob {
  job: string
  rpm: number
  /** The belt position with the most torque at that speed, and whether the knob gets so slow there. */
  position: string
  reached: boolean
  frequencyHz: number
  /** All day, and for moments, at the spindle; N m. */
  continuousNm: Reading
  peakNm: Reading
}

/** Torque at the spindle at the slowest job, or at the slowest speed that a way to go has. */
export interface SlowTorque {
  slowNm: Reading
  slowSays: string
}

/** A ledger that goes on from an evaluation's figures. */
export function continued(plan: Plan, evaluation: Evaluation): Ledger {
  const ledger = new Ledger(plan)
  Object.assign(ledger.figures, evaluation.figures)
  Object.assign(ledger.blocked, evaluation.blocked)
  return ledger
}

/** Undefined while no job says its speed, or motor, drive or belts are not known. Books `slow.*` in the ledger. */
export function slowestJob(
  plan: Plan,
  evaluation: Evaluation,
  ledger: Ledger,
  library: Library = shippedLibrary,
): SlowestJob | undefined {
  const value = (id: string) => ledger.figures[id]?.value
  const wanted = evaluation.jobs.flatMap((j) => {
    const rpm = value(j.wantedRpm)
    return rpm === undefined ? [] : [{ name: j.name, rpm, figure: j.wantedRpm }]
  })
  const slowest = wanted.reduce<(typeof wanted)[number] | undefined>((a, b) => (a && a.rpm <= b.rpm ? a : b), undefined)
  const source = torqueSource(plan, evaluation, library)
  const poles = value('motor.poles')
  if (!slowest || !source || poles === undefined) return undefined
  const ways = evaluation.positions.flatMap((p) => {
    const way = onPosition(p, slowest.rpm, poles, value)
    return way ? [way] : []
  })
  const reaching = ways.filter((w) => w.reached)
  const best = (reaching.length > 0 ? reaching : ways).reduce<(typeof ways)[number] | undefined>((a, b) => {
    const torque = (w: typeof b) => (source.at(w.frequencyHz).continuousNm ?? 0) * w.multiplies
    return a && torque(a) >= torque(b) ? a : b
  }, undefined)
  if (!best) return undefined
  const at = source.at(best.frequencyHz)
  const from = ['motor.torque', slowest.figure, best.line.speedRatio, `position.${best.line.id}.efficiency`].flatMap(
    (id) => ledger.figures[id] ?? [],
  )
  const booked = (id: string, label: string, motorNm: number | undefined, note: string): Reading => {
    const naming = { id, label, dimension: 'torque' as const }
    return motorNm === undefined
      ? ledger.block(naming, [], 'Under a tenth of base on the shaft fan no continuous torque is known')
      : ledger.stated(naming, motorNm * best.multiplies, 'computed', from, note)
  }
  return {
    job: slowest.name,
    rpm: slowest.rpm,
    position: best.line.name,
    reached: best.reached,
    frequencyHz: best.frequencyHz,
    continuousNm: booked(
      'slow.continuousNm',
      `All day at the slowest job, on ${best.line.name}`,
      at.continuousNm,
      'What motor, cooling and flux leave at those hertz, through the belts',
    ),
    peakNm: booked(
      'slow.peakNm',
      `For moments at the slowest job, on ${best.line.name}`,
      at.peakNm,
      'The lowest of the motor’s pull-out, the drive’s amps and what its way of control pulls, through the belts',
    ),
  }
}

function onPosition(line: PositionLine, rpm: number, poles: number, value: (id: string) => number | undefined) {
  const [ratio, efficiency, bottom, top] = [
    value(line.speedRatio),
    value(`position.${line.id}.efficiency`),
    value(line.bottomRpm),
    value(line.topRpm),
  ]
  if (ratio === undefined || efficiency === undefined || bottom === undefined || top === undefined) return undefined
  const reached = rpm >= bottom && rpm <= top
  // Where the knob does not get so slow, the slowest it does get is what counts.
  const turned = reached ? rpm : bottom
  return { line, reached, frequencyHz: (turned / ratio) * (poles / 120), multiplies: efficiency / ratio }
}
