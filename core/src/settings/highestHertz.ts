import type { Library } from '../data/planningValues'
import { isKnown, numberOf, type Reading } from '../evaluate/figure'
import { loadedSlip, type MotorFacts } from '../evaluate/motorFacts'
import type { TrainFacts } from '../evaluate/trainFacts'
import type { Plan } from '../plan'
import { hertz, rpm, say, type Said } from '../quantities'
import { lowestSpindleLimit } from '../evaluate/spindleLimits'
import type { Derived } from './settingLine'

/** Hertz over which a motor is built for more than mains and is not planned beyond its plate. */
const HIGH_FREQUENCY_HZ = 100

interface Ceiling {
  hz: number
  reason: Said
  from: Reading[]
  typical: boolean
}

/**
 * The lowest of what torque, bearings, drive and spindle allow. A two-pole motor is not planned
 * above its plate; four poles and up are, to the first of these limits.
 */
export function deriveHighestHertz(
  plan: Plan,
  library: Library,
  motor: MotorFacts,
  main: TrainFacts | undefined,
): Derived {
  const { frequencyHz, poles } = motor
  if (!isKnown(frequencyHz) || !isKnown(poles))
    return { basis: 'typical', reason: say`Needs the plate’s hertz and speed.`, from: [frequencyHz, poles] }
  const plateHz = frequencyHz.value
  const own = poles.value === 2 || plateHz > HIGH_FREQUENCY_HZ
  const ratio = library.planning.topHertzRatio.value
  const ceilings: Ceiling[] = [
    own
      ? {
          hz: plateHz,
          reason: say`A ${poles.value}-pole motor for ${hertz(plateHz)} is kept at its plate.`,
          from: [frequencyHz, poles],
          typical: false,
        }
      : {
          hz: plateHz * ratio,
          reason: say`Pull-out torque lasts to about ${ratio} times base at constant power.`,
          from: [frequencyHz],
          typical: true,
        },
  ]
  const toHertz = (motorRpm: number) => (motorRpm * poles.value) / 120
  if (isKnown(motor.safeRpm))
    ceilings.push({
      hz: Math.max(plateHz, toHertz(motor.safeRpm.value)),
      reason: say`The motor is safe to ${rpm(motor.safeRpm.value)}.`,
      from: [motor.safeRpm],
      typical: motor.safeRpm.restsOnTypical,
    })
  const driveHz = plan.drive.maximumHz
  if (driveHz !== undefined)
    ceilings.push({ hz: driveHz, reason: say`The drive ends at ${hertz(driveHz)}.`, from: [], typical: false })
  const limit = lowestSpindleLimit(plan)
  const perMotor = numberOf(main?.speedRatio)
  if (limit && main && perMotor)
    ceilings.push({
      hz: toHertz(limit.rpm / perMotor) / (limit.marked ? 1 : 1 - loadedSlip(plan, motor)),
      reason: say`On ${main.name}, ${limit.what} allows ${rpm(limit.rpm)}.`,
      from: [main.speedRatio],
      typical: false,
    })
  const lowest = ceilings.reduce((a, b) => (b.hz < a.hz ? b : a))
  return {
    value: Math.floor(lowest.hz + 1e-9),
    basis: lowest.typical ? 'typical' : 'computed',
    reason: lowest.reason,
    from: lowest.from,
  }
}
