import { nominalVoltage, valueOfRange, type UnitSystem } from '../quantities'
import type { PlanPath } from '../plan'
import { figureOf, near, oddPair, rangesOf } from './figures'
import type { Link, NumberGroup, Range } from './groups'
import type { Part, QuantityId, Term } from './vocabulary'

/** A number of the plate with what it is, where it stands and which mains hertz it is for. */
export interface Figure {
  line: number
  quantity: QuantityId
  term: Term
  group: NumberGroup
  part: Part | undefined
  links: (Link | undefined)[]
  hertz: number | undefined
  doubt: string | undefined
}

/** A field with one value or, where it cannot be told, several to choose from. */
export interface Told {
  path: PlanPath
  values: (number | string)[]
  line: number
  doubt?: string
  note?: string[]
}

const valuesOf = ({ group, term }: Figure): number[] =>
  group.alternatives.map((a) => figureOf(a.low, term, group.percent))

/** Values that say the same within a share count as the first; otherwise all are kept. */
const distinct = (values: readonly number[], by: number): number[] =>
  values.reduce<number[]>((kept, v) => (kept.some((k) => near(k, v, by)) ? kept : [...kept, v]), [])

/** kW and hp of one motor are rounded each for itself: 0.18 kW is sold as 1/4 hp. */
const SAME_POWER = 0.065
const SAME_SPEED = 0.001

/** A plain quantity: one value, or several and why they cannot both be. */
function single(
  figures: readonly Figure[],
  quantity: QuantityId,
  path: PlanPath,
  hertz: readonly number[],
  chosen: number | undefined,
  by = 0.002,
): Told[] {
  const own = figures.filter((f) => f.quantity === quantity && f.part === undefined)
  const first = own[0]
  if (!first) return []
  const values = distinct(
    own.flatMap((f) => {
      const all = valuesOf(f)
      // `1420/1710 rpm` beside `50/60 Hz` tells one for each.
      const at = all.length === hertz.length && hertz.length > 1 && chosen !== undefined ? hertz.indexOf(chosen) : -1
      return at >= 0 ? [all[at] ?? NaN] : all
    }),
    by,
  )
  const ranged = own.some((f) => f.group.alternatives.some((a) => a.high !== undefined))
  const doubt =
    own.find((f) => f.doubt !== undefined)?.doubt ??
    (values.length > 1 ? 'the plate tells more than one' : ranged ? 'a range, and one value is wanted' : undefined)
  return [{ path, values, line: first.line, ...(doubt === undefined ? {} : { doubt }) }]
}

interface VoltageOf {
  value: number
  ranged: boolean
  doubt: boolean
}

/** A range of volts is a nominal voltage and what it may stray, or two neighbours, of which the higher is the usual one now. */
function voltageOf({ low, high }: Range, term: Term): VoltageOf {
  const from = figureOf(low, term)
  if (high === undefined) return { value: from, ranged: false, doubt: false }
  const to = figureOf(high, term)
  const value = valueOfRange(from, to, 'voltage')
  return { value: value ?? nominalVoltage((from + to) / 2), ranged: true, doubt: value === undefined }
}

interface Point {
  voltageV: number
  amps: { value: number; line: number } | undefined
  line: number
  link: Link | undefined
}

const written = (group: NumberGroup): string =>
  group.alternatives.map((a) => (a.high === undefined ? a.low : `${a.low}-${a.high}`)).join('/')

/** Amps of a range: the smaller, which protects the motor. */
const ampsOf = ({ low, high }: Range, term: Term): number =>
  high === undefined ? figureOf(low, term) : Math.min(figureOf(low, term), figureOf(high, term))

const MANY = 'the plate tells more than two voltages'
/** Where a plate's two voltages go: the lower is delta or parallel, the higher star or series. */
interface Places {
  low: readonly [volts: PlanPath, amps: PlanPath]
  high?: readonly [volts: PlanPath, amps: PlanPath]
}

/** Neighbours of one nominal voltage, 380, 400 and 415, are one; the one that is nominal counts. By rising volts. */
function byNominal(points: readonly Point[]): Point[] {
  const nominals = [...new Set(points.map((p) => nominalVoltage(p.voltageV)))]
  const off = (p: Point, nominal: number) => Math.abs(p.voltageV - nominal)
  return nominals
    .map((nominal) =>
      points
        .filter((p) => nominalVoltage(p.voltageV) === nominal)
        .reduce((a, b) => (off(b, nominal) < off(a, nominal) ? b : a)),
    )
    .sort((a, b) => a.voltageV - b.voltageV)
}

/**
 * Volts with the amps that belong to each. Amps go to volts in the order in which they stand; where their numbers
 * differ, which belongs to which is not told.
 */
function voltsAndAmps(
  figures: readonly Figure[],
  part: Part | undefined,
  { low, high }: Places,
  connection: Link | undefined,
): Told[] {
  const of = (quantity: QuantityId) => figures.filter((f) => f.quantity === quantity && f.part === part)
  const [volts, amps] = [of('volts'), of('amps')]
  const voltages = volts.flatMap((f) =>
    rangesOf(f).map((a, i) => ({ ...voltageOf(a, f.term), line: f.line, link: f.links[i] })),
  )
  const currents = amps.flatMap((f) => rangesOf(f).map((a) => ({ value: ampsOf(a, f.term), line: f.line })))
  const told: Told[] = []
  const tell = (path: PlanPath | undefined, value: number | undefined, line: number, doubt: string | undefined) => {
    if (path !== undefined && value !== undefined)
      told.push({ path, values: [value], line, ...(doubt === undefined ? {} : { doubt }) })
  }
  const doubtOf = (own: readonly Figure[]) => own.find((f) => f.doubt !== undefined)?.doubt
  const matched = currents.length === voltages.length || currents.length === 0 || voltages.length === 0
  const points: Point[] = (
    voltages.length > 0 ? voltages : [{ value: NaN, line: 0, link: undefined, doubt: false, ranged: false }]
  ).map((v, i) => ({ voltageV: v.value, line: v.line, link: v.link, amps: matched ? currents[i] : undefined }))
  if (voltages.length === 0) {
    // Amps alone: the larger belongs to the lower volts.
    const [a, b] = [...currents].sort((x, y) => y.value - x.value)
    const ratio = a && b ? a.value / b.value : 2
    const odd =
      near(ratio, Math.sqrt(3), 0.08) || near(ratio, 2, 0.1) ? undefined : 'its two amps are not those of one winding'
    const doubt = doubtOf(amps) ?? (currents.length > 2 ? MANY : odd)
    tell(low[1], a?.value, a?.line ?? 0, doubt)
    tell(high?.[1], b?.value, b?.line ?? 0, doubt)
  } else {
    const chosen = byNominal(points)
    const doubt =
      doubtOf(volts) ??
      (voltages.some((v) => v.doubt) ? 'a range of volts that is none of the usual ones' : undefined) ??
      (chosen.length > (high ? 2 : 1)
        ? high
          ? MANY
          : 'the plate tells more than one'
        : oddPair(chosen[0]?.voltageV ?? NaN, chosen[1]?.voltageV))
    const doubtOfAmps = doubtOf(amps) ?? (doubtOf(volts) === undefined ? doubt : undefined)
    const link = chosen.length === 1 ? (chosen[0]?.link ?? connection) : undefined
    if (link === 'star' && high) {
      const [point] = chosen
      const inStar = point?.voltageV ?? NaN
      tell(high[0], inStar, point?.line ?? 0, doubt)
      tell(high[1], point?.amps?.value, point?.amps?.line ?? 0, doubtOfAmps)
      tell(
        low[0],
        Math.round(inStar / Math.sqrt(3)),
        point?.line ?? 0,
        `told in star alone; delta would be ${inStar} V / 1.73, if its ends come out`,
      )
    } else
      chosen.forEach((point, i) => {
        const [v, a] = (i === 1 ? high : low) ?? low
        tell(v, point.voltageV, point.line, doubt)
        tell(a, point.amps?.value, point.amps?.line ?? 0, doubtOfAmps)
      })
  }
  if (!matched)
    for (const c of currents)
      tell(low[1], c.value, c.line, 'it tells more volts than amps, or fewer: which belongs to which is not told')
  const notes = [
    ...volts.filter(isRanged).map((f) => `“${written(f.group)}” read as its nominal value`),
    ...amps.filter(isRanged).map((f) => `“${written(f.group)} A”: the smaller is taken, which protects the motor`),
  ]
  return told.map((t, i) => (i === 0 && notes.length > 0 ? { ...t, note: notes } : t))
}

const isRanged = (figure: Figure): boolean => rangesOf(figure).some((a) => a.high !== undefined)

/** The fields of the plate that its figures tell, for one mains hertz. */
export function fieldsTold(figures: readonly Figure[], { hertz, chosen, isDc, connection, units }: Reading): Told[] {
  const one = (quantity: QuantityId, path: PlanPath, by?: number) => single(figures, quantity, path, hertz, chosen, by)
  const main: Part | undefined = isDc && figures.some((f) => f.part === 'armature') ? 'armature' : undefined
  const plate: Places = {
    low: ['motor.lowVoltageV', 'motor.lowVoltageA'],
    ...(isDc ? {} : { high: ['motor.highVoltageV', 'motor.highVoltageA'] as const }),
  }
  // Where both are printed, the one that the shop measures by: each is rounded for itself.
  const inHp = (f: Figure) => f.quantity === 'power' && f.term.factor !== 1000 && f.term.factor !== 1
  const ordered = [...figures].sort((a, b) => (inHp(a) === inHp(b) ? 0 : inHp(a) === (units === 'imperial') ? -1 : 1))
  return [
    ...single(ordered, 'power', 'motor.powerW', hertz, chosen, SAME_POWER),
    ...voltsAndAmps(figures, main, plate, connection),
    ...(isDc ? voltsAndAmps(figures, 'field', { low: ['motor.fieldVoltageV', 'motor.fieldCurrentA'] }, undefined) : []),
    ...hertzTold(figures, chosen),
    ...(baseAndTop(figures, isDc) ?? [
      ...one('speed', 'motor.ratedSpeedRpm', SAME_SPEED),
      ...one('maxSpeed', 'motor.maximumRpm'),
    ]),
    ...one('powerFactor', 'motor.powerFactor'),
    ...one('efficiency', 'motor.efficiency'),
    ...one('serviceFactor', 'motor.serviceFactor'),
    ...one('poles', 'motor.platePoles'),
    ...one('breakdown', 'motor.breakdownRatio'),
    ...one('mass', 'motor.massKg', 0.02),
  ]
}

/** `1150/2300 RPM` of a DC motor: base at full field, and top by a weak one. */
function baseAndTop(figures: readonly Figure[], isDc: boolean): Told[] | undefined {
  const speeds = figures.filter((f) => f.quantity === 'speed')
  const [only] = speeds
  if (!isDc || speeds.length !== 1 || !only || figures.some((f) => f.quantity === 'maxSpeed')) return undefined
  const [range] = only.group.alternatives
  const [base, top] =
    range?.high === undefined ? valuesOf(only) : [figureOf(range.low, only.term), figureOf(range.high, only.term)]
  if (base === undefined || top === undefined || top <= base || only.group.alternatives.length > 2) return undefined
  const doubt = only.doubt === undefined ? {} : { doubt: only.doubt }
  return [
    { path: 'motor.ratedSpeedRpm', values: [base], line: only.line, ...doubt },
    { path: 'motor.maximumRpm', values: [top], line: only.line, ...doubt },
  ]
}

/** What is known of the plate as a whole when its fields are told. */
export interface Reading {
  /** Every hertz that it tells, and the one that it is read for. */
  hertz: readonly number[]
  chosen: number | undefined
  isDc: boolean
  connection: Link | undefined
  /** Of the shop: which of kW and hp counts where both are printed. */
  units: UnitSystem
}

function hertzTold(figures: readonly Figure[], chosen: number | undefined): Told[] {
  const own = figures.filter((f) => f.quantity === 'hertz')
  const first = own[0]
  if (!first) return []
  const values = distinct(own.flatMap(valuesOf), 0.001)
  const doubt =
    own.find((f) => f.doubt !== undefined)?.doubt ??
    (own.some(isRanged) ? 'a range, and one value is wanted' : undefined)
  if (chosen !== undefined && values.length > 1)
    return [
      { path: 'motor.ratedFrequencyHz', values: [chosen], line: first.line, ...(doubt === undefined ? {} : { doubt }) },
    ]
  return [
    {
      path: 'motor.ratedFrequencyHz',
      values,
      line: first.line,
      ...((doubt ?? values.length > 1) ? { doubt: doubt ?? 'the plate tells more than one' } : {}),
    },
  ]
}
