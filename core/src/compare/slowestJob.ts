import { spindleTorque } from '../drivetrain'
import type { Evaluation } from '../evaluate/evaluation'
import type { PositionLine } from '../evaluate/positionLine'
import type { FigureState } from '../facts/figure'
import type { FigureId, SlowFigureId } from '../facts/figureId'
import { Ledger, named } from '../facts/ledger'
import { torqueCurve } from '../facts/motor/torqueCurve'
import type { Plan } from '../plan'

/** The slowest speed that a job wants, and the torque the spindle has there. */
export interface SlowestJob {
  job: string
  rpm: number
  /** The belt position with the most torque at that speed, and whether the knob gets so slow there. */
  position: string
  reached: boolean
  /** Of the motor there, without load. */
  motorRpm: number
  /** All day, and for moments, at the spindle; N m. */
  continuousNm: FigureState
  peakNm: FigureState
}

/** Torque at the spindle at the slowest job, or at the slowest speed that a way to go has. */
export interface SlowTorque {
  slowNm: FigureState
  slowSays: string
}

/** A ledger that goes on from an evaluation's figures. */
export function continued(plan: Plan, evaluation: Evaluation): Ledger {
  const ledger = new Ledger(plan)
  Object.assign(ledger.figures, evaluation.figures)
  Object.assign(ledger.blocked, evaluation.blocked)
  return ledger
}

/** Undefined while no job says its speed, or motor, drive or belts are not known. Books its torques in the ledger. */
export function slowestJob(evaluation: Evaluation, ledger: Ledger): SlowestJob | undefined {
  const value = (id: FigureId) => ledger.figures[id]?.value
  const wanted = evaluation.jobs.flatMap((j) => {
    const rpm = value(j.wantedRpm)
    return rpm === undefined ? [] : [{ name: j.name, rpm, figure: j.wantedRpm }]
  })
  const slowest = wanted.reduce<(typeof wanted)[number] | undefined>((a, b) => (a && a.rpm <= b.rpm ? a : b), undefined)
  if (!slowest || !evaluation.torque) return undefined
  const curve = torqueCurve(evaluation.torque)
  const ways = evaluation.positions.flatMap((p) => {
    const way = onPosition(p, slowest.rpm, value)
    return way ? [way] : []
  })
  const reaching = ways.filter((w) => w.reached)
  const best = (reaching.length > 0 ? reaching : ways).reduce<(typeof ways)[number] | undefined>((a, b) => {
    const torque = (w: typeof b) => (curve.at(w.motorRpm).continuousNm ?? 0) * w.multiplies
    return a && torque(a) >= torque(b) ? a : b
  }, undefined)
  if (!best) return undefined
  const { line, motorRpm, reached } = best
  const at = curve.at(motorRpm)
  const through = (id: SlowFigureId, label: string, motorNm: number | undefined, says: string): FigureState => {
    const naming = named(id, `${label} at the slowest job, on ${line.name}`, 'torque')
    const motor = {
      raw: motorNm,
      shown: motorNm ?? '',
      label: says,
      from: known(ledger, ['motor.torque', slowest.figure]),
    }
    return motorNm === undefined
      ? ledger.block(naming, [], 'Under a tenth of base on the shaft fan no continuous torque is known')
      : ledger.derive(spindleTorque, 'torqueNm', naming, {
          torqueNm: motor,
          speedRatio: ledger.figures[line.speedRatio],
          efficiency: ledger.figures[`position.${line.id}.efficiency`],
        })
  }
  return {
    job: slowest.name,
    rpm: slowest.rpm,
    position: line.name,
    reached,
    motorRpm,
    continuousNm: through(
      'slow.continuousNm',
      'All day',
      at.continuousNm,
      'What motor, cooling and flux leave at that speed',
    ),
    peakNm: through(
      'slow.peakNm',
      'For moments',
      at.peakNm,
      'The lowest of the motor’s pull-out, the drive’s amps and what its way of control pulls',
    ),
  }
}

const known = (ledger: Ledger, ids: readonly FigureId[]): FigureState[] => ids.flatMap((id) => ledger.figures[id] ?? [])

function onPosition(line: PositionLine, rpm: number, value: (id: FigureId) => number | undefined) {
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
  return { line, reached, motorRpm: turned / ratio, multiplies: efficiency / ratio }
}
