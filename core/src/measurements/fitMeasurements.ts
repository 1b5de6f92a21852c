import { fitDial } from './fitDial'
import {
  MOST_TAKEN,
  nothingMeasured,
  type Disagreement,
  type Measured,
  type MeasuredCoast,
  type MeasuredCommand,
  type MeasuredPosition,
  type MeasuredStop,
} from './measured'
import { MOST_TOLD, type Sample, type Series } from '../readings/series'
import { WINDING_TO_FRAME, type FitReading } from '../readings/measurement'
import { MOST_COMMAND_READINGS } from '../plan/commanded'
import { median, robust } from '../readings/robust'
import { isOfRunIn, takenKey } from '../readings/runInReadings'

/** Two readings of one thing that differ by more than this share do not agree. */
const AGREE = 0.05
/** Times by hand, and torques by a spring balance, scatter more. */
const AGREE_BY_HAND = 0.2
/** Coasts from speeds this near to each other are of one speed. */
const ONE_SPEED = 0.05

/**
 * What readings come to: medians, what lies off them, and pairs that disagree. In one pass over the list, so that
 * thousands take milliseconds.
 *
 * @example fitMeasurements([]).count // 0
 */
export function fitMeasurements(all: readonly FitReading[]): Measured {
  if (all.length === 0) return nothingMeasured
  const byPosition = new Map<string, FitReading[]>()
  const of = new Map<FitReading['kind'], FitReading[]>()
  const taken: NonNullable<Measured['taken']> = {}
  let things = 0
  for (const one of all) {
    if (isOfRunIn(one)) {
      const key = takenKey(one)
      // In the order in which they were taken: the last counts.
      if (key in taken || (things += 1) <= MOST_TAKEN) taken[key] = { value: one.value, id: one.id }
      if (ofWorkAlone.has(one.kind)) continue
    }
    push(byPosition, one.positionId ?? '', one)
    push(of, one.kind, one)
  }
  const stops = fitStops(of.get('emergency-stop') ?? [], of.get('stop-turns') ?? [])
  const commands = fitCommands(of.get('spindle-speed') ?? [])
  const hours = (of.get('spindle-hours') ?? []).map((one) => one.value)
  const disagreements: Disagreement[] = []
  const positions: Record<string, MeasuredPosition> = {}
  for (const [id, readings] of byPosition)
    positions[id] = fitPosition(readings, id === '' ? undefined : id, disagreements)
  const { '': anywhere = {}, ...named } = positions
  const whole = (kind: FitReading['kind']) => (of.get(kind) ?? []).map(sample)
  const windings = (of.get('insulation') ?? []).filter((m) => m.of === undefined || m.of === WINDING_TO_FRAME)
  const amps = (of.get('amps') ?? []).reduce<Partial<Record<'u' | 'v' | 'w', number[]>>>((read, { lead, value }) => {
    if (lead !== undefined) (read[lead] ??= []).push(value)
    return read
  }, {})
  return {
    count: all.length,
    positions: named,
    anywhere,
    seatTorqueNm: agreeing(whole('seat-torque'), 'seat-torque', undefined, AGREE_BY_HAND, disagreements),
    insulation: agreeing(windings.map(sample), 'insulation', undefined, 1, disagreements),
    runUpS: robust(whole('run-up'), AGREE_BY_HAND),
    amps: Object.fromEntries(Object.entries(amps).map(([lead, values]) => [lead, median(values)])),
    disagreements: disagreements.slice(0, MOST_TOLD),
    ...(things > 0 ? { taken } : {}),
    ...(stops.length > 0 ? { stops } : {}),
    ...(commands.length > 0 ? { commands } : {}),
    ...(hours.length > 0 ? { spindleHours: hours.reduce((a, b) => Math.max(a, b)) } : {}),
  }
}

/** Kinds that tell of the machine as it works, and of a stage of the run-in something else. */
const ofWorkAlone: ReadonlySet<FitReading['kind']> = new Set(['amps', 'coast', 'run-up', 'run-down'])

/** Stops from speeds this near to each other are of one speed. */
const stopKey = ({ of, positionId, fromRpm }: FitReading): string =>
  `${of ?? ''}|${positionId ?? ''}|${Math.round((fromRpm ?? 0) / 10)}`

/** The newest stop of each thing from each speed, with its turns where they were counted. */
function fitStops(timed: readonly FitReading[], counted: readonly FitReading[]): MeasuredStop[] {
  const turns = new Map(counted.map((one) => [stopKey(one), one.value]))
  const newest = new Map<string, MeasuredStop>()
  for (const one of timed) {
    if (one.fromRpm === undefined) continue
    const counts = turns.get(stopKey(one))
    newest.set(stopKey(one), {
      of: one.of ?? '',
      ...(one.positionId === undefined ? {} : { positionId: one.positionId }),
      fromRpm: one.fromRpm,
      seconds: one.value,
      ...(counts === undefined ? {} : { turns: counts }),
      id: one.id,
    })
  }
  return [...newest.values()].slice(0, MOST_TAKEN)
}

/** The newest reading at each command on each position; of more than a plan holds, the last. */
function fitCommands(read: readonly FitReading[]): MeasuredCommand[] {
  const newest = new Map<string, MeasuredCommand>()
  for (const { id, positionId, commandedRpm, value } of read) {
    if (commandedRpm === undefined) continue
    const key = `${positionId ?? ''}|${commandedRpm}`
    newest.delete(key)
    newest.set(key, { id, ...(positionId === undefined ? {} : { positionId }), commandedRpm, rpm: value })
  }
  return [...newest.values()].slice(-MOST_COMMAND_READINGS)
}

function push<K>(map: Map<K, FitReading[]>, key: K, one: FitReading): void {
  const there = map.get(key)
  if (there) there.push(one)
  else map.set(key, [one])
}

const sample = ({ value, id }: FitReading): Sample => ({ value, id })

function fitPosition(
  readings: readonly FitReading[],
  positionId: string | undefined,
  disagreements: Disagreement[],
): MeasuredPosition {
  const by = (kind: FitReading['kind'], setting: 'motorRpm' | 'hz'): Sample[] =>
    readings.flatMap((m) => {
      const at = m.kind === kind ? m[setting] : undefined
      return at === undefined || at === 0 ? [] : [{ value: m.value / at, id: m.id }]
    })
  // A reading with both says the ratio by the rpm, without the motor's slip in it.
  const perTurn = by('spindle-speed', 'motorRpm')
  const perHertz = by('spindle-speed', 'hz')
  const dial = fitDial(readings)
  return {
    perTurn: agreeing(perTurn, 'per-turn', positionId, AGREE, disagreements),
    perHertz: agreeing(perHertz, 'per-hertz', positionId, AGREE, perTurn.length > 0 ? [] : disagreements),
    surfacePerHertz: agreeing(by('surface-speed', 'hz'), 'surface', positionId, AGREE, disagreements),
    coast: fitCoast(
      readings.filter((m) => m.kind === 'coast' && (m.toRpm ?? 0) === 0),
      positionId,
      disagreements,
    ),
    ...(dial ? { dial } : {}),
  }
}

/** Median and outliers, and the pairs that disagree noted. */
function agreeing(
  samples: readonly Sample[],
  of: Disagreement['of'],
  positionId: string | undefined,
  agree: number,
  disagreements: Disagreement[],
): Series | undefined {
  const series = robust(samples, agree)
  if (!series) return undefined
  const [first, second] = samples
  if (samples.length === 2 && first && second) {
    const [low, high] = [Math.min(first.value, second.value), Math.max(first.value, second.value)]
    if (high > low * (1 + agree)) {
      disagreements.push({ of, positionId, kept: first, odd: second })
      return { ...series, undecided: true }
    }
  }
  const [odd] = series.outliers
  if (odd) {
    const kept = samples.reduce((best, s) =>
      Math.abs(s.value - series.median) < Math.abs(best.value - series.median) ? s : best,
    )
    disagreements.push({ of, positionId, kept, odd })
  }
  return series
}

/** Coasts to rest by the speed they began at: the highest, and the lowest where that is another. */
function fitCoast(
  coasts: readonly FitReading[],
  positionId: string | undefined,
  disagreements: Disagreement[],
): MeasuredCoast | undefined {
  if (coasts.length === 0) return undefined
  const speeds = coasts.flatMap((m) => m.fromRpm ?? [])
  const highest = extreme(speeds, Math.max)
  const near = (rpm: number) => coasts.filter((m) => Math.abs((m.fromRpm ?? 0) / rpm - 1) <= ONE_SPEED)
  const fastest = highest === undefined ? coasts : near(highest)
  const seconds = agreeing(fastest.map(sample), 'coast', positionId, AGREE_BY_HAND, disagreements)
  if (!seconds) return undefined
  const lowest = extreme(speeds, Math.min)
  const slow = lowest === undefined || highest === undefined || lowest > highest * 0.75 ? [] : near(lowest)
  return {
    fromRpm: highest,
    seconds,
    slower:
      lowest !== undefined && lowest > 0 && slow.length > 0
        ? { fromRpm: lowest, seconds: median(slow.map((m) => m.value)) }
        : undefined,
  }
}

/** The largest or smallest of many, without spreading them into a call. */
const extreme = (values: readonly number[], of: (a: number, b: number) => number): number | undefined =>
  values.length === 0 ? undefined : values.reduce((a, b) => of(a, b))
