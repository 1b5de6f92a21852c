import { polesFromNameplate } from '../motor/polesFromNameplate'
import type { MotorKind } from '../plan/motorPlate'
import type { PlanPath } from '../plan'
import { isUsualVoltage } from './figures'

/** What the figures of a plate cannot be together, with the fields of which one must be wrong. */
export interface Clash {
  paths: PlanPath[]
  why: string
}

/** Planning: more slip than a small induction motor has; 60 Hz put to a 50 Hz speed shows a fifth and its own slip. */
const MOST_SLIP = 0.17
/** Shaft watts over volt-amperes: efficiency times power factor of motors as they are made, with what rounding does. */
const shareOf = (powerW: number): readonly [number, number] => (powerW < 250 ? [0.15, 0.92] : [0.3, 0.93])
const singlePhaseShare: readonly [number, number] = [0.25, 0.95]
const directShare: readonly [number, number] = [0.4, 1.02]
const spindleShare: readonly [number, number] = [0.3, 1.1]
/** Rounded amps of a small motor. */
const PRODUCT = 0.13
const EFFICIENCY_TIMES_COS = 0.16
const BELIEVED = 0.97

/**
 * Holds the figures of a plate against each other: turns against hertz and poles, power against volts and amps, the
 * amps of two voltages against each other, efficiency and power factor against all of them.
 *
 * @param value base units of a field, undefined where the plate does not tell it
 */
export function clashesOf(value: (path: PlanPath) => number | undefined, kind: MotorKind | undefined): Clash[] {
  const clashes: Clash[] = []
  const speed = value('motor.ratedSpeedRpm')
  const hertz = value('motor.ratedFrequencyHz')
  const poles = value('motor.platePoles')
  const turnsWithField =
    kind === undefined || ['induction', 'single-phase', 'repulsion', 'pole-changing', 'high-frequency'].includes(kind)
  if (turnsWithField && speed !== undefined && hertz !== undefined) {
    const read = polesFromNameplate.run({ ratedSpeedRpm: speed, ratedFrequencyHz: hertz })
    if (!read.ok)
      clashes.push({
        paths: ['motor.ratedSpeedRpm', 'motor.ratedFrequencyHz'],
        why: `${speed} rpm is no speed at ${hertz} Hz`,
      })
    else if (read.value.slip > MOST_SLIP)
      clashes.push({
        paths: ['motor.ratedSpeedRpm', 'motor.ratedFrequencyHz'],
        why: `${speed} rpm at ${hertz} Hz would lag by ${Math.round(100 * read.value.slip)} %, more than motors do`,
      })
    else if (poles !== undefined && poles !== read.value.poles)
      clashes.push({
        paths: ['motor.platePoles', 'motor.ratedSpeedRpm'],
        why: `${speed} rpm at ${hertz} Hz is that of ${read.value.poles} poles, not ${poles}`,
      })
  }
  if (turnsWithField && kind !== 'high-frequency' && speed !== undefined && hertz === undefined && !turnsOnMains(speed))
    clashes.push({
      paths: ['motor.ratedSpeedRpm'],
      why: `${speed} rpm is no speed at 50 or 60 Hz, and no other hertz are told`,
    })
  if (kind === 'high-frequency' && speed !== undefined && hertz !== undefined && speed > 60 * hertz)
    clashes.push({
      paths: ['motor.kind', 'motor.ratedSpeedRpm', 'motor.ratedFrequencyHz'],
      why: `${speed} rpm is no speed at ${hertz} Hz`,
    })
  if (kind === 'high-frequency' && speed === undefined && hertz !== undefined)
    clashes.push({
      paths: ['motor.kind', 'motor.ratedFrequencyHz'],
      why: `${hertz} Hz is no mains, and no speed bears it out`,
    })
  if (turnsWithField && kind !== 'high-frequency' && hertz !== undefined && hertz !== 50 && hertz !== 60)
    clashes.push({ paths: ['motor.ratedFrequencyHz'], why: `${hertz} Hz is no mains of today` })
  clashes.push(...powerClashes(value, kind))
  if (kind === undefined || kind === 'induction' || kind === 'single-phase' || kind === 'pole-changing')
    for (const path of ['motor.lowVoltageV', 'motor.highVoltageV'] as const) {
      const volts = value(path)
      if (volts !== undefined && !isUsualVoltage(volts))
        clashes.push({ paths: [path], why: `${volts} V is none of the usual voltages` })
    }
  return clashes
}

/** A speed of two to eight poles on one of the two mains. */
export const turnsOnMains = (speedRpm: number): boolean =>
  [50, 60].some((ratedFrequencyHz) => {
    const read = polesFromNameplate.run({ ratedSpeedRpm: speedRpm, ratedFrequencyHz })
    return read.ok && read.value.poles <= 8 && read.value.slip <= MOST_SLIP
  })

function powerClashes(value: (path: PlanPath) => number | undefined, kind: MotorKind | undefined): Clash[] {
  const powerW = value('motor.powerW')
  const cos = value('motor.powerFactor')
  const efficiency = value('motor.efficiency')
  const sides = [
    { volts: 'motor.lowVoltageV', amps: 'motor.lowVoltageA' },
    { volts: 'motor.highVoltageV', amps: 'motor.highVoltageA' },
  ] as const
  const clashes: Clash[] = []
  const shares = sides.flatMap((side) => {
    const [volts, amps] = [value(side.volts), value(side.amps)]
    return volts === undefined || amps === undefined ? [] : [{ ...side, voltAmps: volts * amps }]
  })
  const [low, high] = shares
  if (low && high && Math.abs(low.voltAmps / high.voltAmps - 1) > PRODUCT)
    clashes.push({
      paths: ['motor.lowVoltageA', 'motor.highVoltageA'],
      why: 'the amps of the two voltages do not belong to one motor',
    })
  if (powerW === undefined || kind === 'servo' || kind === 'brushless') return clashes
  const single = kind === 'single-phase' || kind === 'repulsion' || kind === 'dc' || kind === 'universal'
  // Without a word of the phases it may be either.
  const phaseFactors = kind === undefined ? [Math.sqrt(3), 1] : [single ? 1 : Math.sqrt(3)]
  const [least, most] =
    kind === 'dc' ? directShare : kind === 'high-frequency' ? spindleShare : single ? singlePhaseShare : shareOf(powerW)
  for (const { volts, amps, voltAmps } of shares) {
    const fits = phaseFactors.some((f) => powerW / (f * voltAmps) >= least && powerW / (f * voltAmps) <= most)
    if (!fits)
      clashes.push({
        paths: ['motor.powerW', volts, amps],
        why: `${Math.round(powerW)} W from ${Math.round((phaseFactors[0] ?? 1) * voltAmps)} VA is not what motors do`,
      })
    else if (cos !== undefined && efficiency !== undefined) {
      const agree = phaseFactors.some(
        (f) => Math.abs((f * voltAmps * cos * efficiency) / powerW - 1) <= EFFICIENCY_TIMES_COS,
      )
      if (!agree)
        clashes.push({
          paths: ['motor.efficiency', 'motor.powerFactor', amps],
          why: 'volts, amps, cos phi and efficiency do not make that power',
        })
    } else {
      const given = cos ?? efficiency
      const rest = phaseFactors.map((f) => powerW / (f * voltAmps * (given ?? 1)))
      if (given !== undefined && rest.every((r) => r > BELIEVED + 0.05))
        clashes.push({
          paths: [cos === undefined ? 'motor.efficiency' : 'motor.powerFactor', amps],
          why: 'volts and amps are too few for that power',
        })
    }
  }
  return clashes
}
