import { controlReference } from '../controls/controlReference'
import { judgedPart, type Conversion } from '../conversion/conversion'
import type { Facts } from '../facts/facts'
import { numberOf } from '../facts/figure'
import type { PositionFacts } from '../facts/spindle/speedFacts'
import type { MeasuredDial } from '../measurements/measured'
import { readingsOf } from '../measurements/withMeasured'
import { highestHertz } from '../findings/hertzPatch'
import { rpmAtHertz } from '../motor'
import type { Patch } from '../plan'
import { message, rpm, type Message } from '../quantities'
import { dialScale, type DialScale } from './dialScale'

/** One way to bring the end of the dial to a round number. */
export interface DialAdvice {
  id: 'hertz' | 'gain' | 'offset' | 'pulley'
  says: Message
  /** Where the plan can take it; tried, and no stop comes of it. */
  patch?: Patch
}

export interface DialPosition {
  id: string
  name: string
  /** By the settings and pulleys alone, at the first and the last mark, rpm; nothing where they are not known. */
  planned: { fromRpm: number; toRpm: number } | undefined
  fit: MeasuredDial | undefined
  /** At the ends, by the readings. */
  read: { fromRpm: number; toRpm: number } | undefined
  /** Spindle turns for one of the field, as the readings have it; and how far the spindle falls short of the pulleys. */
  ratio: { effective: number; slip: number | undefined } | undefined
  /** Read where the drive or the pulleys stood otherwise than now. */
  stale: boolean
  advice: DialAdvice[]
}

/** More than this off the plan, the readings are of other hertz or another pulley. */
const STALE = 0.05

/** What the dial gives on each belt position, by readings where there are some. */
export const dial = judgedPart('dial', (of): DialPosition[] =>
  of.facts.speeds.positions.map((p) => dialPosition(of, p)),
)

/** Hertz that a mark of the dial asks for, by the settings. */
export function hertzAtMark(facts: Facts, scale: DialScale, mark: number): number | undefined {
  const [minHz, maxHz] = [facts.settings.minimumHz, facts.speeds.knobTopHz].map(numberOf)
  const made = controlReference.run({
    dial: Math.min(1, Math.max(0, (mark - scale.from) / (scale.to - scale.from))),
    minHz,
    maxHz,
    mode: facts.plan.controls.knobMode ?? 'scaled',
  })
  return made.ok ? made.value.frequencyHz : undefined
}

/** Speed at a mark: by the readings of the position, else by settings and pulleys. */
export function rpmAtMark(
  facts: Facts,
  position: PositionFacts,
  fit: MeasuredDial | undefined,
  mark: number,
): number | undefined {
  if (fit) return fit.straight ? fit.intercept + fit.slope * mark : between(fit.table, mark)
  const scale = dialScale(facts.plan.dial)
  const [hz, poles, ratio] = [
    hertzAtMark(facts, scale, mark),
    numberOf(facts.motor.poles),
    numberOf(position.speedRatio),
  ]
  return hz === undefined || poles === undefined || ratio === undefined ? undefined : rpmAtHertz(hz, poles) * ratio
}

/** Between the marks that were read, and beyond them as the nearest two have it. */
function between(table: MeasuredDial['table'], mark: number): number | undefined {
  const after = table.findIndex(({ dial }) => dial >= mark)
  const at = after === -1 ? table.length - 1 : Math.max(1, after)
  const [a, b] = [table[at - 1], table[at]]
  if (!a || !b || a.dial === b.dial) return (b ?? a)?.rpm
  return a.rpm + ((b.rpm - a.rpm) * (mark - a.dial)) / (b.dial - a.dial)
}

function dialPosition(of: Conversion, position: PositionFacts): DialPosition {
  const { facts } = of
  const { plan, measured } = facts
  const scale = dialScale(plan.dial)
  const fit = readingsOf(plan, measured, position.position.id)?.dial
  const ends = (by: MeasuredDial | undefined) => {
    const [fromRpm, toRpm] = [scale.from, scale.to].map((mark) => rpmAtMark(facts, position, by, mark))
    return fromRpm === undefined || toRpm === undefined ? undefined : { fromRpm, toRpm }
  }
  const planned = ends(undefined)
  const read = fit && ends(fit)
  const stale = planned !== undefined && read !== undefined && Math.abs(read.toRpm / planned.toRpm - 1) > STALE
  return {
    id: position.position.id,
    name: position.name,
    planned,
    fit,
    read,
    ratio: fit && ratioOf(facts, scale, position, fit),
    stale,
    advice: read && !stale ? adviceOf(of, scale, position, read, fit) : [],
  }
}

/** The slope over the hertz of a mark: what the spindle makes of a turn of the field. */
function ratioOf(
  facts: Facts,
  scale: DialScale,
  position: PositionFacts,
  { slope }: MeasuredDial,
): DialPosition['ratio'] {
  const [low, high] = [scale.from, scale.to].map((mark) => hertzAtMark(facts, scale, mark))
  const poles = numberOf(facts.motor.poles)
  if (low === undefined || high === undefined || poles === undefined || high === low) return undefined
  const effective = (slope * (scale.to - scale.from)) / rpmAtHertz(high - low, poles)
  const ratio = numberOf(position.speedRatio)
  return { effective, slip: ratio === undefined ? undefined : 1 - effective / ratio }
}

/** The round number next to a speed: 1, 1.2, 1.5, 2 and so on, times ten. */
export function roundSpeed(value: number): number {
  const decade = 10 ** Math.floor(Math.log10(value))
  const steps = [1, 1.2, 1.5, 1.6, 1.8, 2, 2.5, 3, 4, 5, 6, 8, 10].map((s) => s * decade)
  return steps.reduce((best, s) => (Math.abs(Math.log(s / value)) < Math.abs(Math.log(best / value)) ? s : best))
}

function adviceOf(
  of: Conversion,
  scale: DialScale,
  position: PositionFacts,
  read: { fromRpm: number; toRpm: number },
  fit: MeasuredDial,
): DialAdvice[] {
  if (read.toRpm <= 0) return []
  const { facts } = of
  const { plan } = facts
  const target = roundSpeed(read.toRpm)
  const by = target / read.toRpm
  if (Math.abs(by - 1) < 0.003) return []
  const advice: DialAdvice[] = []
  const maximum = numberOf(facts.settings.maximumHz)
  if (maximum !== undefined && plan.controls.knobTopHz === undefined) {
    const hz = Math.round(maximum * by * 10) / 10
    const patch = highestHertz(plan, hz)
    advice.push({
      id: 'hertz',
      says: message`Highest hertz ${{ dimension: 'frequency', value: hz }}: the last mark is then ${rpm(target)}. Everything that rests on it is judged anew.`,
      ...(stops(of.tried(patch)) <= stops(of) ? { patch } : {}),
    })
  }
  advice.push({
    id: 'gain',
    says: message`Or gain of the speed input times ${by.toFixed(3)}: the last mark is then ${rpm(target)}${by > 1 ? ', as far as the highest hertz lets it' : ''}.`,
  })
  const perMark = Math.abs(fit.slope)
  const start = scale.from === 0 && perMark > 0 ? fit.intercept : undefined
  if (start !== undefined && Math.abs(start) > 0.02 * read.toRpm && (plan.controls.knobMode ?? 'scaled') === 'clamped')
    advice.push({
      id: 'offset',
      says: message`The first mark gives ${rpm(Math.max(0, start))}: offset of the speed input by ${((-start / read.toRpm) * 100).toFixed(1)} % of full brings it to nothing.`,
    })
  const [first] = position.position.transmission
  if (first?.driverMm !== undefined && Math.abs(by - 1) < 0.2)
    advice.push({
      id: 'pulley',
      says: message`Or a motor pulley of ${{ dimension: 'length', value: Math.round(first.driverMm * by * 10) / 10 }} in place of ${{ dimension: 'length', value: first.driverMm }}, same hertz.`,
    })
  return advice
}

const stops = ({ evaluation }: Conversion): number => evaluation.findings.filter((f) => f.severity === 'stop').length
