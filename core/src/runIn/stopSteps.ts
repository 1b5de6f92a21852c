import { rampPeak } from '../facts/drive/rampPeak'
import type { Facts } from '../facts/facts'
import { isKnown, numberOf } from '../facts/figure'
import { held, permittedAtThread } from '../facts/spindle/held'
import { holderName, limitOf } from '../facts/spindle/spindleLimits'
import type { PositionFacts } from '../facts/spindle/speedFacts'
import type { MeasuredStop } from '../measurements/measured'
import { emergencyStops, heartOf, rampsAtMushroom, type PlanPath } from '../plan'
import { message, newtonMetres, rpm, type Message } from '../quantities'
import { turnsToRest } from '../drivetrain'
import { hertzAtRpm } from '../motor'
import { unscrew } from '../workholding'
import { actingRamp } from './actingRamp'
import { workedPositions } from './beltStages'
import { coastExpected, coastFrom, massOn } from './massOn'
import { BARE, isOfStop } from './isOfStop'
import { isExpected, type Expected, type NotExpected } from './reading'
import { line, lines } from './working'
import { shortestStop } from './shortestStop'

/** Shares of a thing's highest speed at which its stop is timed, the lowest first. */
const SHARES = [0.25, 0.5, 0.75, 1] as const

/** One emergency stop that is timed: of one thing, from one speed. */
export interface StopStep {
  id: string
  /** As a reading of it says what it is of. */
  of: string
  positionId: string
  positionName: string
  holder?: number
  fromRpm: number
  /** What the drive is set to for it; rpm of a motor that has no hertz. */
  hz?: number
  motorRpm: number
  seconds: Expected | NotExpected
  turns?: number
  /** N m at the thread, and what it may be; only of what is screwed on. */
  pull?: { torqueNm: number; permittedNm: number }
  /** So short a ramp trips the drive, which then lets it coast so long. */
  trips?: { shortestS: number; coastS: number }
  /** It has a thread: marks are looked at, dead, after each. */
  witness: boolean
  /** A grinding wheel: ring test, blotters, guard, one minute from aside. */
  wheel: boolean
  /** What was read of it. */
  read?: MeasuredStop
}

/** Stops that are not timed, and why. */
export interface StopLeft {
  of: string
  says: Message
  missing: PlanPath[]
}

export interface StopPlan {
  /** What the mushroom does, in words; undefined where there is none. */
  way: string | undefined
  /** Whether the drive brakes, or lets it coast. */
  brakes: boolean
  steps: StopStep[]
  left: StopLeft[]
}

/** The emergency stop, in steps: the bare spindle first, then each thing from its lowest speed up. */
export function stopPlan(facts: Facts): StopPlan {
  const { plan } = facts
  const { emergencyStop } = plan.controls
  const none = { way: undefined, brakes: false, steps: [], left: [] }
  if (emergencyStop === undefined || emergencyStop === 'none' || plan.survey.spindleNose === 'none') return none
  const brakes = rampsAtMushroom(emergencyStop) || emergencyStop === 'stop-input'
  const steps: StopStep[] = []
  const left: StopLeft[] = []
  for (const position of workedPositions(facts)) {
    const things = [
      undefined,
      ...plan.survey.holders.flatMap(({ alwaysTurns }, index) => (alwaysTurns === true ? [] : [index])),
    ]
    for (const index of things) {
      const made = stepsOf(facts, position, index, brakes)
      steps.push(...made.steps)
      for (const one of made.left) if (!left.some(({ of }) => of === one.of)) left.push(one)
    }
  }
  return { way: emergencyStops[emergencyStop], brakes, steps, left }
}

function stepsOf(facts: Facts, position: PositionFacts, index: number | undefined, brakes: boolean) {
  const { plan } = facts
  const holder = index === undefined ? undefined : plan.survey.holders[index]
  const of = holder ? holderName(holder) : BARE
  const [top, poles, ratio] = [position.unloadedTopRpm, facts.motor.poles, position.speedRatio].map(numberOf)
  const steps: StopStep[] = []
  const byHertz = heartOf(plan) === 'inverter'
  if (top === undefined || ratio === undefined || (byHertz && poles === undefined)) {
    const missing = [position.unloadedTopRpm, ...(byHertz ? [facts.motor.poles] : []), position.speedRatio].flatMap(
      (f) => (isKnown(f) ? [] : f.missing),
    )
    return { steps, left: [{ of, says: message`How fast it turns is not known.`, missing }] }
  }
  const limit = holder && index !== undefined ? limitOf(plan, holder, index)?.rpm : plan.survey.originalTopRpm
  if (holder && index !== undefined && limit === undefined)
    return {
      steps,
      left: [
        {
          of,
          says: message`Its limit is not known.`,
          missing: [`survey.holders.${index}.markedRpm`, 'survey.originalTopRpm'] as PlanPath[],
        },
      ],
    }
  const how = holder && held(plan, holder)
  const screwed = how === 'thread' || how === 'nut'
  // A nut that holds a wheel has borne its coasting since it was made; how hard it may be braked is not known.
  const judged = screwed && (how === 'thread' || brakes)
  const permittedNm = judged ? permittedAtThread(plan) : undefined
  if (judged && permittedNm === undefined)
    return {
      steps,
      left: [
        {
          of,
          says: message`What its thread bears is not known.`,
          missing: ['survey.seatTorqueNm', 'survey.noseThreadMm'] as PlanPath[],
        },
      ],
    }
  const cap = Math.min(limit ?? top, top)
  const lowest = numberOf(position.bottomRpm) ?? 0
  const left: StopLeft[] = []
  for (const share of SHARES) {
    const fromRpm = Math.max(cap * share, lowest)
    if (fromRpm > cap * 1.001 || steps.some((s) => s.fromRpm >= fromRpm * 0.98)) continue
    const seconds = expectedStop(facts, position, index, fromRpm, top, brakes)
    let pull: StopStep['pull']
    if (permittedNm !== undefined) {
      const torqueNm = isExpected(seconds) ? pullAt(facts, index, fromRpm, seconds.value) : undefined
      // Without its pull nobody can say that the thread holds.
      if (torqueNm === undefined) {
        left.push({
          of,
          says: message`How hard it pulls at its thread is not known.`,
          missing: missingPull(facts, index, seconds),
        })
        break
      }
      if (torqueNm > permittedNm) {
        left.push({
          of,
          says: message`From ${rpm(fromRpm)} on it would pull with ${newtonMetres(torqueNm)} at its thread; ${newtonMetres(permittedNm)} is the most. ${brakes ? 'A longer ramp, or coast.' : 'It coasts already: measure what loosens the seated chuck.'}`,
          missing: brakes ? [] : ['survey.seatTorqueNm'],
        })
        break
      }
      pull = { torqueNm, permittedNm }
    }
    const read = facts.measured.stops?.find(isOfStop({ of, positionId: position.position.id, fromRpm }))
    steps.push({
      id: `${position.position.id}.${holder?.id ?? 'bare'}.${share * 100}`,
      of,
      positionId: position.position.id,
      positionName: position.name,
      ...(index === undefined ? {} : { holder: index }),
      fromRpm,
      ...(byHertz && poles !== undefined ? { hz: hertzAtRpm(fromRpm / ratio, poles) } : {}),
      motorRpm: fromRpm / ratio,
      seconds,
      ...(isExpected(seconds) ? { turns: turnsToRest(fromRpm, seconds.value) } : {}),
      ...(pull ? { pull } : {}),
      ...tripsIn(facts, position, index, fromRpm, brakes ? seconds : undefined),
      witness: how === 'thread',
      wheel: holder?.kind === 'wheel',
      ...(read ? { read } : {}),
    })
  }
  return { steps, left }
}

/** Whether a braked stop pumps the bus so far that the drive trips, and what it then does. */
function tripsIn(
  facts: Facts,
  position: PositionFacts,
  index: number | undefined,
  fromRpm: number,
  seconds: Expected | NotExpected | undefined,
): Pick<StopStep, 'trips'> {
  if (seconds === undefined || !isExpected(seconds) || facts.plan.drive.resistor !== undefined) return {}
  const mass = massOn(facts, position, index)
  const coast = coastFrom(facts, position, index, fromRpm)
  const frictionNm = numberOf(facts.stop.frictionNm)
  if (typeof mass !== 'number' || !('seconds' in coast) || frictionNm === undefined) return {}
  const shortestS = shortestStop(facts, mass, frictionNm, fromRpm)
  return shortestS !== undefined && shortestS > seconds.value ? { trips: { shortestS, coastS: coast.seconds } } : {}
}

const missingPull = (facts: Facts, index: number | undefined, seconds: Expected | NotExpected): PlanPath[] => {
  const inertia = index === undefined ? undefined : facts.stop.holders[index]
  return inertia && !isKnown(inertia) ? inertia.missing : isExpected(seconds) ? [] : seconds.missing
}

/** N m with which a thing pulls at its thread in a stop. */
export function pullAt(
  { plan, stop }: Facts,
  index: number | undefined,
  speedRpm: number,
  stopSeconds: number,
): number | undefined {
  const inertiaKgM2 = index === undefined ? undefined : numberOf(stop.holders[index])
  if (inertiaKgM2 === undefined || stopSeconds <= 0) return undefined
  const made = unscrew.run({ inertiaKgM2, speedRpm, stopSeconds })
  return made.ok ? made.value.torqueNm * rampPeak(plan) : undefined
}

/** Seconds of the mushroom's stop, from a speed: by its ramp, or coasting. */
function expectedStop(
  facts: Facts,
  position: PositionFacts,
  index: number | undefined,
  fromRpm: number,
  topRpm: number,
  brakes: boolean,
): Expected | NotExpected {
  if (!brakes)
    return coastExpected(
      coastFrom(facts, position, index, fromRpm),
      (typical) =>
        message`It coasts: what turns against the friction${typical ? ', a planning value until a coast is timed' : ''}.`,
    )
  const { emergencyStop, quickRampS } = facts.plan.controls
  const whole = rampsAtMushroom(emergencyStop) ? quickRampS : actingRamp(facts, 'decelerationS')
  if (whole === undefined) return { missing: ['controls.quickRampS'] }
  const value = (whole * fromRpm) / topRpm
  return {
    value,
    least: Math.max(0, value * 0.85 - 0.5),
    most: value * 1.2 + 0.7,
    working: {
      citation: 'the ramp counts from the highest speed, and lower speeds take their share of it',
      from: lines({
        ramp: line('Ramp of the mushroom', whole, 'time'),
        fromRpm: line('From', fromRpm, 'speed'),
        topRpm: position.unloadedTopRpm,
      }),
    },
    by: message`Its ramp takes ${{ dimension: 'time', value: whole }} from ${rpm(topRpm)}.`,
    typical: false,
  }
}
