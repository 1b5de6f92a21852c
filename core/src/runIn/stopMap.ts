import { angularSpeed } from '../drivetrain/angularSpeed'
import { rampPeak } from '../facts/drive/rampPeak'
import { START } from '../facts/belts/beltCapacity'
import type { Facts } from '../facts/facts'
import { numberOf } from '../facts/figure'
import { actingValue } from '../facts/settings/settingsFacts'
import { permittedAtThread, held } from '../facts/spindle/held'
import { holderName, limitOf } from '../facts/spindle/spindleLimits'
import type { PositionFacts } from '../facts/spindle/speedFacts'
import { rampsAtMushroom, set, type Patch, type PlanPath } from '../plan'
import { actingRamp } from './actingRamp'
import { massOn } from './massOn'
import { shortestStop } from './shortestStop'
import { BARE } from './isOfStop'

const POINTS = 24

/** One way to stop, or one limit, over speed: seconds to standstill from each speed of the map. */
export interface StopLine {
  id: 'coast' | 'ramp' | 'mushroom' | 'resistor' | 'trip' | 'thread' | 'belt'
  name: string
  /** A way it stops, or a limit that a stop must not fall under. */
  kind: 'way' | 'limit'
  seconds: number[]
}

export interface StopMap {
  of: string
  positionId: string
  positionName: string
  rpm: number[]
  lines: StopLine[]
  measured: { rpm: number; seconds: number; turns?: number | undefined }[]
  /** What the measured coasts say of friction, or of what turns, over what was planned. */
  correction?: { of: 'friction' | 'inertia'; factor: number; from: number }
  /** Takes a measured coast into the plan, where it is one of the heaviest thing. */
  patch?: Patch
  missing: PlanPath[]
}

/** Seconds and turns to standstill on a position with one thing on the spindle, or none. */
export function stopMap(facts: Facts, position: PositionFacts, index: number | undefined): StopMap {
  const { plan, stop, measured } = facts
  const holder = index === undefined ? undefined : plan.survey.holders[index]
  const of = holder ? holderName(holder) : BARE
  const empty: StopMap = {
    of,
    positionId: position.position.id,
    positionName: position.name,
    rpm: [],
    lines: [],
    measured: [],
    missing: [],
  }
  const top = numberOf(position.unloadedTopRpm)
  const mass = massOn(facts, position, index)
  const planned = numberOf(stop.frictionNm)
  if (top === undefined || typeof mass !== 'number' || planned === undefined)
    return {
      ...empty,
      missing: [
        ...('missing' in position.unloadedTopRpm ? position.unloadedTopRpm.missing : []),
        ...(typeof mass === 'number' ? [] : mass.missing),
        ...('missing' in stop.frictionNm ? stop.frictionNm.missing : []),
      ],
    }
  const limit = holder && index !== undefined ? limitOf(plan, holder, index)?.rpm : undefined
  const cap = Math.min(limit ?? top, top)
  const rpm = Array.from({ length: POINTS }, (_, i) => (cap * (i + 1)) / POINTS)
  const stops = (measured.stops ?? []).filter((s) => s.of === of && s.positionId === position.position.id)
  const coasts = coastsOf(facts, stops)
  const correction = corrected(mass, planned, coasts, index === undefined)
  const frictionNm = correction?.of === 'friction' ? planned * correction.factor : planned
  const inertia = correction?.of === 'inertia' ? mass * correction.factor : mass
  const w = (n: number) => inertia * angularSpeed(n)
  const rounded = rampPeak(plan)
  const way = (id: StopLine['id'], name: string, at: (n: number) => number): StopLine => ({
    id,
    name,
    kind: 'way',
    seconds: rpm.map(at),
  })
  const limited = (id: StopLine['id'], name: string, at: (n: number) => number | undefined): StopLine[] => {
    const seconds = rpm.map(at)
    return seconds.every((s) => s !== undefined) ? [{ id, name, kind: 'limit', seconds: seconds }] : []
  }
  const ramp = actingRamp(facts, 'decelerationS')
  const brakes = actingValue(facts.settings.lines, 'stopMode') !== 'coast'
  const { emergencyStop, quickRampS } = plan.controls
  const permittedNm =
    holder && ['thread', 'nut'].includes(held(plan, holder) ?? '') ? permittedAtThread(plan) : undefined
  const holderKgM2 = index === undefined ? undefined : numberOf(stop.holders[index])
  const belt = beltHolds(facts, position)
  const heaviest = index !== undefined && stop.heaviest?.index === index && position.index === facts.speeds.main?.index
  const fastest = coasts.reduce<(typeof coasts)[number] | undefined>((a, b) => (a && a.rpm >= b.rpm ? a : b), undefined)
  return {
    ...empty,
    rpm,
    lines: [
      way('coast', 'Coasting', (n) => w(n) / frictionNm),
      ...(ramp !== undefined && brakes ? [way('ramp', 'STOP, by its ramp', (n) => (ramp * n) / top)] : []),
      ...(rampsAtMushroom(emergencyStop) && quickRampS !== undefined
        ? [way('mushroom', 'Mushroom, by its ramp', (n) => (quickRampS * n) / top)]
        : []),
      ...resistorLine(facts, rpm, inertia, frictionNm),
      ...limited('trip', 'Shorter trips the drive', (n) => shortestStop(facts, inertia, frictionNm, n)),
      ...(permittedNm !== undefined && holderKgM2 !== undefined
        ? limited('thread', 'Shorter unscrews it', (n) => (rounded * holderKgM2 * angularSpeed(n)) / permittedNm)
        : []),
      ...(belt === undefined
        ? []
        : limited('belt', 'Shorter slips the belt', (n) => (rounded * w(n)) / (belt + frictionNm))),
    ],
    measured: stops.map(({ fromRpm, seconds, turns }) => ({ rpm: fromRpm, seconds, turns })),
    ...(correction ? { correction } : {}),
    ...(heaviest && fastest
      ? { patch: [set('survey.coastS', Math.max(0.5, fastest.seconds)), set('survey.coastFromRpm', fastest.rpm)] }
      : {}),
  }
}

/** Stops that were coasts: by the mushroom, where it does not brake. */
function coastsOf({ plan }: Facts, stops: readonly { fromRpm: number; seconds: number }[]) {
  const { emergencyStop } = plan.controls
  if (rampsAtMushroom(emergencyStop) || emergencyStop === 'stop-input' || emergencyStop === undefined) return []
  return stops.map(({ fromRpm, seconds }) => ({ rpm: fromRpm, seconds }))
}

/** Of the bare spindle it is the friction that is not known; with a thing on it, what that thing weighs. */
function corrected(
  mass: number,
  frictionNm: number,
  coasts: readonly { rpm: number; seconds: number }[],
  bare: boolean,
): StopMap['correction'] {
  if (coasts.length === 0) return undefined
  const factors = coasts
    .map(({ rpm, seconds }) => (mass * angularSpeed(rpm)) / frictionNm / seconds)
    .sort((a, b) => a - b)
  const middle = factors[factors.length >> 1] ?? 1
  return bare
    ? { of: 'friction', factor: middle, from: coasts.length }
    : { of: 'inertia', factor: 1 / middle, from: coasts.length }
}

/** The quickest stop that the fitted resistor takes, by its peak at the chopper's volts. */
function resistorLine(
  { plan, drive, tables }: Facts,
  rpm: readonly number[],
  inertiaKgM2: number,
  frictionNm: number,
): StopLine[] {
  const ohm = plan.drive.resistor?.ohm
  const busV = numberOf(drive.busV)
  if (ohm === undefined || busV === undefined) return []
  const { planning } = tables
  const volts = plan.drive.chopperV ?? busV * planning.chopperOverBus.value
  const peakW = Math.min(volts ** 2 / ohm, plan.drive.resistor?.peakW ?? Infinity)
  return [
    {
      id: 'resistor',
      name: 'The quickest its resistor takes',
      kind: 'way',
      seconds: rpm.map((n) => {
        const w = angularSpeed(n)
        return (inertiaKgM2 * w) / (peakW / (planning.generatingEfficiency.value * w) + frictionNm)
      }),
    },
  ]
}

/** Torque at the spindle at which the belt slips, as tight as it was found; nothing where nobody pressed it. */
function beltHolds({ belts }: Facts, position: PositionFacts): number | undefined {
  const ratedNm = numberOf(position.torqueNm)
  const all = belts.flatMap(({ id, capacity }) => {
    if (!id.startsWith(`position.${position.position.id}.belt`)) return []
    const [slips, start] = [capacity?.slipsNm, capacity?.startNm].map(numberOf)
    return slips === undefined || start === undefined || ratedNm === undefined
      ? []
      : [(slips / (start / START)) * ratedNm]
  })
  return all.length === 0 ? undefined : Math.min(...all)
}
