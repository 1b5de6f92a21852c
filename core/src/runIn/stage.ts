import type { Facts } from '../facts/facts'
import { numberOf, type FigureState } from '../facts/figure'
import type { PositionFacts } from '../facts/spindle/speedFacts'
import { ofRunIn } from '../readings/runInReadings'
import { amps as ampsOf, hertz, message, rpm, seconds, volts as voltsOf } from '../quantities'
import { rpmAtHertz } from '../motor'
import { actingValue } from '../facts/settings/settingsFacts'
import { rampMeaningOf } from '../facts/settings/rampOfDrive'
import { actingRamp, type RampId } from './actingRamp'
import { motorAt, missingOf, voltsAt, voltsWorking } from './motorAt'
import { runInReading, within, type NotExpected, type RunInReading } from './reading'
import { line, lines, type Working } from './working'

/** Something looked at, heard or felt, with what it means where it is not as it should be. */
export interface SeenItem {
  id: string
  ask: string
  /** Nothing goes on until it is right. */
  stops: boolean
  ifBad: string
}

/** One stage of the run-in: what is done, read and seen, and what must be so before the next. */
export interface RunInStage {
  id: string
  name: string
  do: string[]
  caution?: string
  /** What the drive is set to: hertz, or rpm of a motor that has none. */
  hz?: number
  motorRpm?: number
  position?: { id: string; name: string }
  holder?: { index: number; name: string }
  readings: RunInReading[]
  seen: SeenItem[]
  hold: string
}

export const DEAD_CLIPS = 'Clamp and clips went on dead, covers shut; or from the drive’s own display.'
const CAN_READ = 'By a meter that can read a drive’s output, its clips put on dead; or the drive’s display.'
/** What magnetises a motor follows from its power factor; without it the band is wide. */
const UNSURE = [0.35, 0.8] as const
const ENDS = { u: 'first lead', v: 'second lead', w: 'third lead' } as const

/** Amps of the three leads at some hertz and torque. */
export function ampsReadings(
  facts: Facts,
  stage: string,
  at: { hz: number; positionId?: string; shaftNm?: number; band: readonly [number, number] },
): RunInReading[] {
  const { hz, shaftNm = 0, band } = at
  const made = motorAt(facts, hz, shaftNm)
  const plateA = numberOf(facts.motor.plateCurrentA)
  return (['u', 'v', 'w'] as const).map((lead) =>
    runInReading(
      `amps-${lead}`,
      `Amps, ${ENDS[lead]}`,
      { kind: 'amps', of: ofRunIn(stage), lead, hz, ...placed(at.positionId) },
      'amps' in made
        ? within(
            made.amps,
            made.typical ? [0.45, 0.45] : facts.plan.motor.powerFactor === undefined ? UNSURE : band,
            made.typical
              ? message`A share of the plate’s amps that is usual: the plate gives no circuit. At ${hertz(hz)}.`
              : message`By the circuit fitted to the plate, at ${voltsOf(made.volts)} and ${hertz(hz)}${facts.plan.motor.powerFactor === undefined ? '; the plate’s power factor would narrow it' : ''}.`,
            made.working,
            { typical: made.typical, ...(plateA === undefined ? {} : { stopOver: Math.max(plateA, made.amps * 1.2) }) },
          )
        : made,
      DEAD_CLIPS,
    ),
  )
}

export function voltsReading(facts: Facts, stage: string, hz: number, positionId?: string): RunInReading {
  const made = voltsAt(facts, hz)
  return runInReading(
    'volts',
    'Volts between two motor leads',
    { kind: 'volts', of: ofRunIn(stage), hz, ...placed(positionId) },
    typeof made === 'number'
      ? within(made, [0.12, 0.12], message`The straight line to base, at ${hertz(hz)}.`, voltsWorking(facts, hz))
      : made,
    CAN_READ,
  )
}

/** Spindle rpm without a load at some hertz. */
export function rpmReading(facts: Facts, stage: string, hz: number, position: PositionFacts): RunInReading {
  const [poles, ratio] = [facts.motor.poles, position.speedRatio].map(numberOf)
  const expected =
    poles === undefined || ratio === undefined
      ? missingOf(facts.motor.poles, position.speedRatio)
      : within(
          rpmAtHertz(hz, poles) * ratio,
          // A belt creeps and an unloaded motor slips a little; none runs ahead.
          [0.04, 0.015],
          message`${hertz(hz)} through ${position.name}, no load.`,
          speedWorking(facts, hz, position),
        )
  return runInReading(
    'rpm',
    'Spindle speed',
    { kind: 'spindle-speed', of: ofRunIn(stage), hz, positionId: position.position.id },
    expected,
    'By a tachometer held at a mark on the end of the spindle, sleeves tight; not at the chuck.',
  )
}

const speedWorking = ({ motor }: Facts, hz: number, { speedRatio }: PositionFacts, slip?: FigureState): Working => ({
  ruleId: 'drivetrain.speed',
  from: lines({ frequencyHz: line('Hertz', hz, 'frequency'), poles: motor.poles, slip, stages: speedRatio }),
})

/** The working of seconds that are a share of a ramp. */
export const rampWorking = (facts: Facts, id: RampId, hz: number): Working => ({
  citation: 'the ramp counts from standstill to the highest hertz, and other hertz take their share of it',
  from: lines({
    ramp: line(
      id === 'accelerationS' ? 'Acceleration as it acts' : 'Deceleration as it acts',
      actingRamp(facts, id) ?? 0,
      'time',
    ),
    hz: line('Hertz', hz, 'frequency'),
    maximumHz: facts.settings.maximumHz,
  }),
})

/** Seconds that the drive's own ramp takes between standstill and some hertz. */
export function rampTo(facts: Facts, id: RampId, hz: number): number | NotExpected {
  const whole = actingRamp(facts, id)
  const top = numberOf(facts.settings.maximumHz)
  if (whole === undefined || top === undefined || top <= 0) {
    const missing = facts.settings.lines.find((l) => l.id === id)?.missing ?? []
    return missing.length > 0
      ? { missing }
      : top === undefined
        ? missingOf(facts.settings.maximumHz)
        : { missing: [], because: 'Ramp or highest hertz come to nothing' }
  }
  return (whole * hz) / top
}

/** Seconds up, timed from RUN to the speed that is set. */
export function upReading(facts: Facts, stage: string, hz: number, positionId?: string): RunInReading {
  const made = rampTo(facts, 'accelerationS', hz)
  const known = rampMeaningOf(facts.plan) !== undefined
  return runInReading(
    'up',
    'Seconds up',
    { kind: 'run-up', of: ofRunIn(stage), hz, ...placed(positionId) },
    typeof made === 'number'
      ? {
          value: made,
          // A stopwatch in a hand is half a second out.
          least: Math.max(0, made * 0.9 - 0.5),
          most: made * 1.15 + 0.7,
          working: rampWorking(facts, 'accelerationS', hz),
          by: message`The ramp as it is set, to ${hertz(hz)}${known ? '' : '; what its seconds count was not read'}.`,
          typical: false,
        }
      : made,
  )
}

/** Seconds down on STOP, where STOP brakes. */
export function downReading(facts: Facts, stage: string, hz: number, positionId?: string): RunInReading | undefined {
  if (actingValue(facts.settings.lines, 'stopMode') === 'coast') return undefined
  const made = rampTo(facts, 'decelerationS', hz)
  return runInReading(
    'down',
    'Seconds down on STOP',
    { kind: 'run-down', of: ofRunIn(stage), hz, ...placed(positionId) },
    typeof made === 'number'
      ? {
          value: made,
          least: Math.max(0, made * 0.9 - 0.5),
          most: made * 1.15 + 0.7,
          working: rampWorking(facts, 'decelerationS', hz),
          by: message`The ramp as it is set, from ${hertz(hz)}: ${seconds(made)}.`,
          typical: false,
        }
      : made,
  )
}

/** Amps under a cut, by the plate. */
export function cutAmps(
  facts: Facts,
  stage: string,
  share: readonly [number, number],
  hz: number,
  positionId: string,
): RunInReading {
  const { plateCurrentA } = facts.motor
  const plateA = numberOf(plateCurrentA)
  return runInReading(
    'amps-u',
    'Amps under the cut',
    { kind: 'amps', of: ofRunIn(stage), lead: 'u', hz, positionId },
    plateA === undefined
      ? missingOf(plateCurrentA)
      : {
          value: plateA * share[1],
          least: plateA * share[0],
          most: plateA * share[1],
          stopOver: plateA * 1.1,
          working: { citation: 'a share of the plate’s amps', from: lines({ plateA: plateCurrentA }) },
          by: message`The plate has ${ampsOf(plateA)} for these links.`,
          typical: false,
        },
    DEAD_CLIPS,
  )
}

/** Speed under a cut: what the slip takes from it. */
export function loadedRpm(facts: Facts, stage: string, hz: number, position: PositionFacts): RunInReading {
  const [poles, ratio, slip, plateHz] = [
    facts.motor.poles,
    position.speedRatio,
    facts.motor.slip,
    facts.motor.frequencyHz,
  ].map(numberOf)
  if (poles === undefined || ratio === undefined || slip === undefined || plateHz === undefined)
    return runInReading(
      'rpm',
      'Spindle speed under the cut',
      { kind: 'spindle-speed', of: ofRunIn(stage), hz, positionId: position.position.id },
      missingOf(facts.motor.poles, position.speedRatio, facts.motor.slip),
    )
  const free = rpmAtHertz(hz, poles) * ratio
  const lost = facts.plan.drive.control === 'vector' ? 0 : slip * rpmAtHertz(plateHz, poles) * ratio
  return runInReading(
    'rpm',
    'Spindle speed under the cut',
    { kind: 'spindle-speed', of: ofRunIn(stage), hz, positionId: position.position.id },
    {
      value: free - lost,
      least: (free - lost) * 0.96,
      most: free * 1.01,
      working: speedWorking(facts, hz, position, lost > 0 ? facts.motor.slip : undefined),
      by: message`${rpm(free)} without a load${lost > 0 ? message`, less the plate’s slip` : ', which the drive holds'}.`,
      typical: false,
    },
    'From the drive’s display or a tachometer from behind; nobody reaches over a cut.',
  )
}

const placed = (positionId: string | undefined) => (positionId === undefined ? {} : { positionId })
