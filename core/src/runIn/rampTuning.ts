import { rampPeak } from '../facts/drive/rampPeak'
import type { Facts } from '../facts/facts'
import { numberOf } from '../facts/figure'
import { held, permittedAtThread } from '../facts/spindle/held'
import { actingRamp } from './actingRamp'
import { rampOutcomes, type RampTry } from '../plan'
import { angularSpeed } from '../drivetrain/angularSpeed'

/** Each try takes a fifth off. */
const STEP = 0.8
/** Of two tries nearer than this the ramp is found. */
const FOUND = 0.9

/** Where the search for the shortest clean ramp stands. */
export interface RampTuning {
  ramp: 'up' | 'down'
  /** Seconds to try next; none once it is found. */
  nextS?: number
  /** Why not shorter still. */
  floor?: { seconds: number; says: string }
  /** The shortest that went clean, once a shorter one did not or the floor is reached. */
  foundS?: number
  says: string
}

/**
 * A ramp is shortened by steps until something trips, squeals, slips or moves; then one step back. Never under what the
 * motor can do, nor under what the thread bears.
 */
export function tuneRamp(facts: Facts, ramp: 'up' | 'down'): RampTuning {
  const tries = (facts.plan.runIn.tries ?? []).filter(
    (t) => t.ramp === ramp && t.seconds !== undefined && t.saw !== undefined,
  )
  const now = actingRamp(facts, ramp === 'up' ? 'accelerationS' : 'decelerationS')
  const floor = floorOf(facts, ramp)
  const withFloor = floor === undefined ? {} : { floor }
  const clean = tries.filter((t) => t.saw === 'good').map((t) => t.seconds ?? Infinity)
  const bad = tries.filter((t) => t.saw !== 'good')
  const best = clean.length === 0 ? undefined : Math.min(...clean)
  // What went wrong counts only against what is shorter than the shortest clean one.
  const worst = bad.reduce<RampTry | undefined>(
    (w, t) => (w === undefined || (t.seconds ?? 0) > (w.seconds ?? 0) ? t : w),
    undefined,
  )
  if (best === undefined) {
    const from = worst?.seconds === undefined ? now : Math.max(worst.seconds / STEP, typeof now === 'number' ? now : 0)
    if (typeof from !== 'number') return { ramp, ...withFloor, says: 'No ramp is set yet.' }
    return {
      ramp,
      ...withFloor,
      nextS: round(Math.max(from, floor?.seconds ?? 0)),
      says: worst === undefined ? 'Begin with the ramp that is set.' : `${rampOutcomes[worst.saw ?? 'trip']}: longer.`,
    }
  }
  if (worst?.seconds !== undefined && worst.seconds >= best)
    return {
      ramp,
      ...withFloor,
      nextS: round(worst.seconds / STEP),
      says: 'It went clean once and not a second time: longer.',
    }
  if (worst?.seconds !== undefined && worst.seconds >= best * FOUND * STEP)
    return {
      ramp,
      ...withFloor,
      foundS: best,
      says: `${rampOutcomes[worst.saw ?? 'trip']} at a shorter one: this is the last that went clean.`,
    }
  const next = Math.max(best * STEP, floor?.seconds ?? 0, worst?.seconds === undefined ? 0 : worst.seconds / FOUND)
  if (next >= best * FOUND)
    return {
      ramp,
      ...withFloor,
      foundS: best,
      says:
        floor !== undefined && floor.seconds >= best * STEP
          ? `${floor.says}: not shorter.`
          : 'Between this and one that did not go clean there is no step left.',
    }
  return { ramp, ...withFloor, nextS: round(next), says: 'It went clean: a fifth shorter.' }
}

const round = (s: number): number => (s < 10 ? Math.round(s * 10) / 10 : Math.round(s))

function floorOf(facts: Facts, ramp: 'up' | 'down'): RampTuning['floor'] {
  const { plan, stop, speeds } = facts
  const quickest =
    ramp === 'up' ? numberOf(stop.rampS) : plan.drive.resistor === undefined ? numberOf(stop.stopS) : undefined
  const floors: { seconds: number; says: string }[] =
    quickest === undefined
      ? []
      : [
          {
            seconds: quickest,
            says: ramp === 'up' ? 'The motor’s rated torque brings it up no sooner' : 'A shorter stop trips the drive',
          },
        ]
  const top = numberOf(speeds.main?.unloadedTopRpm)
  const permittedNm = permittedAtThread(plan)
  if (top !== undefined && permittedNm !== undefined)
    for (const [index, holder] of plan.survey.holders.entries()) {
      const inertia = numberOf(stop.holders[index])
      if (inertia === undefined || held(plan, holder) !== 'thread') continue
      const rounded = rampPeak(plan)
      // A start pulls a right-hand thread tight; only a stop loosens it.
      if (ramp === 'down')
        floors.push({
          seconds: (rounded * inertia * angularSpeed(top)) / permittedNm,
          says: 'The thread bears no more',
        })
    }
  return floors.reduce<RampTuning['floor']>(
    (most, one) => (most && most.seconds >= one.seconds ? most : one),
    undefined,
  )
}
