import { shippedTables } from '../data/planningValues'
import { rampTime, stopWithoutResistor } from '../drive'
import { angularSpeed } from '../drivetrain/angularSpeed'
import { rampPeak } from '../facts/drive/rampPeak'
import { held, permittedAtThread } from '../facts/spindle/held'
import { spindleInertia } from '../workholding'
import type { Evaluation } from '../evaluate/evaluation'
import type { PositionLine } from '../evaluate/positionLine'
import type { FigureId } from '../facts/figureId'
import { rpmAtHertz } from '../motor'
import { lowestSpindleLimit } from '../facts/spindle/spindleLimits'
import type { Plan, Rotation } from '../plan'
import { forwardRotation, leadsSwapped } from '../facts/spindle/spindleRotation'

/** What changes with one belt position: the lines of the card that hangs at the machine. */
export interface ChangeOverLine {
  id: string
  name: string
  main: boolean
  /** Against the motor, both seen from the same end; undefined where unknown. */
  reversed: boolean | undefined
  /** Of the spindle as a person faces its nose, forward on the switch. */
  rotation: Rotation | undefined
  bottomRpm: number | undefined
  topRpm: number | undefined
  /** Spindle rpm for each hertz: what the dial's scale is multiplied by. */
  rpmPerHz: number | undefined
  /** Expected on the tachometer at base hertz, no load. */
  tachometerHz: number | undefined
  tachometerRpm: number | undefined
  /** Hertz at which the lowest mark of what spins is met; undefined where it is not met. */
  limitHz: number | undefined
  limit: { rpm: number; what: string } | undefined
  /** Quickest run-up of the heaviest thing on rated torque, and shortest stop that neither trips the drive nor loosens a thread, s. */
  runUpS: number | undefined
  stopS: number | undefined
}

/** Direction, scale, ceiling and expected reading of every belt position. */
export function changeOver(plan: Plan, { figures, positions }: Evaluation): ChangeOverLine[] {
  const value = (id: FigureId) => figures[id]?.value
  const [poles, baseHz, topHz] = (['motor.poles', 'settings.baseFrequencyHz', 'settings.maximumHz'] as const).map(value)
  const limit = lowestSpindleLimit(plan)
  const swapped = leadsSwapped(plan, positions.find((p) => p.main)?.reversed)
  return positions.map((p): ChangeOverLine => {
    const ratio = value(p.speedRatio)
    const rpmPerHz = ratio === undefined || poles === undefined ? undefined : rpmAtHertz(1, poles) * ratio
    const limitHz = limit && rpmPerHz !== undefined ? limit.rpm / rpmPerHz : undefined
    return {
      id: p.id,
      name: p.name,
      main: p.main,
      reversed: p.reversed,
      rotation: forwardRotation(plan, p.reversed, swapped),
      bottomRpm: value(p.bottomRpm),
      topRpm: value(p.unloadedTopRpm),
      rpmPerHz,
      tachometerHz: baseHz,
      tachometerRpm: rpmPerHz === undefined || baseHz === undefined ? undefined : rpmPerHz * baseHz,
      limitHz: limitHz !== undefined && topHz !== undefined && limitHz < topHz ? limitHz : undefined,
      limit: limit && { rpm: limit.rpm, what: limit.what },
      ...ramps(plan, value, p, limitHz),
    }
  })
}

type Value = (id: FigureId) => number | undefined

/** Ramps of one position, by the figures that the stop of the main one is judged with; to the speed it may have. */
function ramps(
  plan: Plan,
  value: Value,
  p: PositionLine,
  limitHz: number | undefined,
): Pick<ChangeOverLine, 'runUpS' | 'stopS'> {
  const [inertiaKgM2, torqueNm, topRpm, topHz] = [
    inertiaOn(plan, value, p),
    value(p.torqueNm),
    value(p.unloadedTopRpm),
    value('settings.maximumHz'),
  ]
  if (inertiaKgM2 === undefined || torqueNm === undefined || topRpm === undefined || topHz === undefined)
    return { runUpS: undefined, stopS: undefined }
  const speedRpm = topRpm * Math.min(1, (limitHz ?? topHz) / topHz)
  const [whole, atTop] = [value('motor.usableNm') ?? value('motor.torque'), value('motor.topTorque')]
  // Over the base that is set less torque is left to speed up and to brake.
  const leastNm = whole !== undefined && atTop !== undefined ? (torqueNm * atTop) / whole : torqueNm
  const shaft = { inertiaKgM2, speedRpm, frictionNm: torqueNm * shippedTables.planning.frictionShare.value }
  const runUp = rampTime.run({ ...shaft, torqueNm: leastNm })
  const stop = stopWithoutResistor.run({
    ...shaft,
    efficiency: value('drive.generatingEfficiency'),
    busCapacitanceF: value('drive.busFarad') ?? value('drive.typicalBusFarad'),
    busV: value('drive.busV'),
    tripV: value('drive.tripV') ?? value('drive.typicalTripV'),
    lossW: value('stop.lossW'),
    torqueNm: leastNm,
  })
  const byThread = threadStop(plan, value, speedRpm)
  return {
    runUpS: runUp.ok ? runUp.value.seconds : undefined,
    stopS: stop.ok && byThread !== undefined ? Math.max(stop.value.seconds, byThread) : undefined,
  }
}

/** What spins, with the rotor as this position feels it. */
function inertiaOn(plan: Plan, value: Value, p: PositionLine): number | undefined {
  const loads = plan.survey.holders.map((h) => value(`holder.${h.id}.inertia`) ?? 0)
  const [rotorKgM2, speedRatio] = [value('motor.rotor') ?? value('motor.rotorKgM2'), value(p.speedRatio)]
  const loadKgM2 = Math.max(0, ...loads)
  if (loadKgM2 === 0) return undefined
  const made = spindleInertia.run({ loadKgM2, rotorKgM2, speedRatio, pulleysKgM2: value('stop.pulleys') ?? 0 })
  return made.ok ? made.value.inertiaKgM2 : undefined
}

/** The shortest stop that every thread on the nose permits, 0 where there is none; undefined where that is not known. */
function threadStop(plan: Plan, value: Value, speedRpm: number): number | undefined {
  const permitted = permittedAtThread(plan)
  const rounded = rampPeak(plan)
  const stops = plan.survey.holders.map((holder) => {
    if (held(plan, holder) !== 'thread') return 0
    const inertiaKgM2 = value(`holder.${holder.id}.inertia`)
    if (inertiaKgM2 === undefined || permitted === undefined) return undefined
    return (rounded * inertiaKgM2 * angularSpeed(speedRpm)) / permitted
  })
  return stops.includes(undefined) ? undefined : Math.max(0, ...stops.map((s) => s ?? 0))
}
