import { rimSpeed, rpmAtRim } from '../drivetrain'
import { isKnown, numberOf } from '../facts/figure'
import type { Facts } from '../facts/facts'
import { loadedSlip } from '../facts/motor/motorFacts'
import type { PositionFacts } from '../facts/spindle/speedFacts'
import { holderName, limitOf, speedAgainst, type SpindleLimit } from '../facts/spindle/spindleLimits'
import { holderKinds, type Holder, type HolderPath } from '../plan'
import { amount, hertz, rpm, message, type Message } from '../quantities'
import { doesNotApply, good, lacks, waitsFor, type CannotBeJudged } from './answer'
import { judgement, type Answer, type Remedy, type Verdict } from './finding'
import { highestHertz } from './hertzPatch'
import { hertzAt, isUsed } from './positions'

/** Rim speeds from which unmarked grey iron is watched, m/s: planning values. */
const IRON_RIM: Partial<Record<NonNullable<Holder['kind']>, number>> = { chuck: 20, faceplate: 15 }

/** Why it matters, of each thing that may spin. */
const why: Record<keyof typeof holderKinds, string> = {
  chuck: 'A chuck that is turned too fast lets go of its jaws or the work.',
  faceplate: 'A faceplate that is turned too fast throws what is bolted to it, and bursts where it was once cracked.',
  collet: 'A collet that is turned too fast lets go of the work, and a long bar whips.',
  wheel: 'An over-sped wheel bursts. Nothing but its own marking says how fast it may turn.',
  cutter: 'A cutter or blade that is turned too fast sheds its teeth.',
  'band-wheel': 'Rim stress grows with the square of the speed: a band wheel that is turned too fast bursts.',
}

/** Whole hertz at which the spindle stays inside a limit on a position. */
function hertzWithin(facts: Facts, position: PositionFacts, limit: SpindleLimit): number | undefined {
  const hz = hertzAt(facts, position, limit.rpm)
  return hz === undefined
    ? undefined
    : Math.floor(hz / (limit.marked ? 1 : 1 - loadedSlip(facts.plan, facts.motor)) + 1e-9)
}

interface Over {
  position: PositionFacts
  /** The spindle's speed to hold against the limit. */
  top: number
}

/** What a limit meets on the positions: what is over it, the fastest, and what is not known. */
function against(facts: Facts, limit: SpindleLimit, positions: readonly PositionFacts[]) {
  const slip = loadedSlip(facts.plan, facts.motor)
  const known = positions.flatMap((position): Over[] => {
    const unloaded = numberOf(position.unloadedTopRpm)
    return unloaded === undefined ? [] : [{ position, top: speedAgainst(limit, unloaded, slip) }]
  })
  const fastest = known.reduce<Over | undefined>((best, one) => (best && best.top >= one.top ? best : one), undefined)
  return {
    fastest,
    over: known.filter(({ top }) => top > limit.rpm * 1.001),
    unknown: positions.filter((p) => !isKnown(p.unloadedTopRpm)),
  }
}

/** What is missing of the speeds of positions. */
const speedsOf = (positions: readonly PositionFacts[], about: string): CannotBeJudged => ({
  ...waitsFor(...positions.map((p) => p.unloadedTopRpm)),
  about,
})

/** Lowers the highest hertz to what a limit allows. */
function lower(facts: Facts, position: PositionFacts, limit: SpindleLimit): Remedy[] {
  const hz = hertzWithin(facts, position, limit)
  return hz === undefined || hz < 1
    ? []
    : [{ label: message`Lower the highest hertz to ${hertz(hz)}`, patch: highestHertz(facts.plan, hz) }]
}

/** Used positions with full weight; those that can be set and that no job uses as a watch, with the hertz at which they are safe. */
function heldAgainst(
  facts: Facts,
  limit: SpindleLimit,
  about: string,
  found: (over: Over) => Pick<Verdict, 'severity' | 'title' | 'says' | 'why'>,
): Answer[] {
  const { positions } = facts.speeds
  const [used, others] = [positions.filter((p) => isUsed(facts, p)), positions.filter((p) => !isUsed(facts, p))]
  const on = against(facts, limit, used)
  const worst = on.over.find((o) => o.position === on.fastest?.position)
  const answers: Answer[] = []
  if (worst)
    answers.push({
      ...found(worst),
      about,
      remedies: lower(facts, worst.position, limit),
      figures: [`position.${worst.position.position.id}.unloadedTopRpm`],
      path: 'settings.chosen.maximumHz',
    })
  else if (on.unknown.length > 0) answers.push(speedsOf(on.unknown, about))
  else if (on.fastest)
    answers.push(
      good(
        message`${rpm(on.fastest.top)} at the most, on ${on.fastest.position.name}; ${limit.what} has ${rpm(limit.rpm)}.`,
        {
          about,
          figures: [`position.${on.fastest.position.position.id}.unloadedTopRpm`],
        },
      ),
    )
  if (others.length === 0) return answers
  const off = against(facts, limit, others)
  const aboutOthers = `${about}-elsewhere`
  if (off.over.length > 0)
    answers.push({
      severity: 'watch',
      about: aboutOthers,
      title: message`Too fast for ${limit.what} where no job uses it`,
      says: listOf(
        off.over.map(({ position, top }) => {
          const hz = hertzWithin(facts, position, limit)
          return message`${position.name} reaches ${rpm(top)}${hz === undefined ? '' : message`, and is safe to ${hertz(hz)}`}`
        }),
        message`${limit.what.charAt(0).toUpperCase()}${limit.what.slice(1)} has ${rpm(limit.rpm)}`,
      ),
      why: 'The hertz stay in the drive when the belt is moved. The change-over card carries the lower figure; lower the hertz before the belt is moved there.',
      figures: off.over.map(({ position }) => `position.${position.position.id}.unloadedTopRpm` as const),
      path: 'settings.chosen.maximumHz',
    })
  else if (off.unknown.length > 0) answers.push(speedsOf(off.unknown, aboutOthers))
  else answers.push(good(message`No other position passes it.`, { about: aboutOthers }))
  return answers
}

const listOf = (parts: readonly Message[], last: Message): Message =>
  parts.reduceRight<Message>((rest, part) => message`${part}. ${rest}`, message`${last}.`)

/** What has no mark of its own. */
const isUnmarked = ({ markedRpm, markedMPerS }: Holder): boolean => markedRpm === undefined && markedMPerS === undefined

/** Why a holder has no limit to be held against, where it has none. */
function withoutLimit({ plan }: Facts, holder: Holder, path: HolderPath): Answer | undefined {
  const about = holder.id
  if (holder.markedMPerS !== undefined && holder.markedRpm === undefined && holder.diameterMm === undefined)
    return { ...lacks(`${path}.diameterMm`), about }
  if (!isUnmarked(holder)) return undefined
  return plan.survey.originalTopRpm === undefined
    ? { ...lacks('survey.originalTopRpm', `${path}.markedRpm`), about }
    : undefined
}

function wheel(facts: Facts, holder: Holder, index: number): Answer[] {
  const path: HolderPath = `survey.holders.${index}`
  const about = holder.id
  const name = holder.name?.trim() || 'The wheel'
  const { originalTopRpm } = facts.plan.survey
  if (isUnmarked(holder) && holder.unmarked === true)
    return [
      {
        severity: 'stop',
        about,
        title: message`${name} carries no mark`,
        says: message`A grinding wheel without its highest speed printed on it is not run at any speed.`,
        why: 'Nothing but its own marking says how fast it may turn (EN 12413, ANSI B7.1). Break it up, so that nobody else runs it.',
        path: `${path}.unmarked`,
      },
    ]
  const limit = limitOf(facts.plan, holder, index)
  const missing = withoutLimit(facts, holder, path)
  if (missing || !limit) return [missing ?? { ...lacks(`${path}.markedRpm`, `${path}.markedMPerS`), about }]
  const mark = isUnmarked(holder)
    ? message`what is marked on it was not read, and the machine as built turned it at ${rpm(originalTopRpm ?? 0)}`
    : holder.markedMPerS !== undefined && (holder.markedRpm === undefined || limit.rpm < holder.markedRpm)
      ? message`it is marked ${amount('beltSpeed', holder.markedMPerS)}`
      : message`it is marked ${rpm(holder.markedRpm ?? 0)}`
  const answers = heldAgainst(facts, limit, about, ({ top }) => {
    const rimMPerS = holder.diameterMm === undefined ? undefined : rimSpeed(holder.diameterMm, top)
    return {
      severity: 'stop',
      title: message`${name} would run over its marked speed`,
      says: message`At ${rpm(top)}${rimMPerS === undefined ? '' : message` its rim runs ${amount('beltSpeed', rimMPerS)}`}; ${mark}.`,
      why: why.wheel,
    }
  })
  // Within the speed of old it is still the mark that rules.
  return isUnmarked(holder)
    ? answers.map((a) => ('good' in a ? { ...lacks(`${path}.markedRpm`, `${path}.markedMPerS`), about: a.about } : a))
    : answers
}

function other(facts: Facts, holder: Holder, index: number): Answer[] {
  const path: HolderPath = `survey.holders.${index}`
  const missing = withoutLimit(facts, holder, path)
  const limit = limitOf(facts.plan, holder, index)
  if (missing || !limit) return missing ? [missing] : []
  return heldAgainst(facts, limit, holder.id, ({ position, top }) => ({
    severity: 'stop',
    title: message`Too fast for ${limit.what}`,
    says: message`On ${position.name} the spindle reaches ${rpm(top)}${limit.marked ? ' unloaded' : ''}; ${limit.marked ? message`${limit.what} is marked ${rpm(limit.rpm)}` : message`${limit.what} carries no mark, so the machine’s original ${rpm(limit.rpm)} is its ceiling`}.`,
    why: why[holder.kind ?? 'chuck'],
  }))
}

function spindleItself(facts: Facts): Answer[] {
  const { originalTopRpm } = facts.plan.survey
  if (originalTopRpm === undefined) return [{ ...lacks('survey.originalTopRpm'), about: 'spindle' }]
  const limit: SpindleLimit = { rpm: originalTopRpm, what: 'the spindle as built', marked: false }
  // Where no job uses it, what is on the spindle is what counts.
  return heldAgainst(facts, limit, 'spindle', ({ position, top }) => ({
    severity: 'watch',
    title: message`Faster than the spindle was built for`,
    says: message`On ${position.name} the spindle reaches ${rpm(top)}; it was built for ${rpm(limit.rpm)}.`,
    why: 'Its bearings and lubrication were made for that. Warm bearings and a growing whine are the warning.',
  })).filter((a) => a.about === 'spindle')
}

/** Where nothing is said to spin. */
const nothingSpins = ({ plan }: Facts): Answer | undefined =>
  plan.survey.holders.length > 0
    ? undefined
    : plan.survey.spindleNose === 'none'
      ? doesNotApply('There is no spindle')
      : lacks('survey.holders')

/** Whether what spins stands the speed, on every position that can be set. */
export const spinningFindings = [
  judgement(
    {
      id: 'spindle.over-limit',
      asks: 'Speed against what spins',
      stage: 'speeds',
      chainLink: 'spindle',
      by: 'on-machine',
      danger: true,
    },
    (facts) => {
      if (facts.speeds.positions.length === 0) return lacks('survey.positions')
      const nothing = nothingSpins(facts)
      const holders = facts.plan.survey.holders.flatMap((holder, index) =>
        holder.kind === 'wheel' ? [] : other(facts, holder, index),
      )
      return [...holders, ...(nothing ? [nothing] : []), ...spindleItself(facts)]
    },
  ),

  judgement(
    {
      id: 'spindle.wheel-over-mark',
      asks: 'Wheel against its mark',
      stage: 'speeds',
      chainLink: 'spindle',
      by: 'on-machine',
      danger: true,
    },
    (facts) => {
      const nothing = nothingSpins(facts)
      if (nothing) return nothing
      if (facts.speeds.positions.length === 0) return lacks('survey.positions')
      const answers = facts.plan.survey.holders.flatMap((holder, index): Answer[] =>
        holder.kind === 'wheel'
          ? wheel(facts, holder, index)
          : holder.kind === undefined
            ? [{ ...lacks(`survey.holders.${index}.kind`), about: holder.id }]
            : [],
      )
      return answers.length > 0 ? answers : doesNotApply('No grinding wheel spins here')
    },
  ),

  judgement(
    {
      id: 'spindle.iron-rim',
      asks: 'Rim speed of unmarked iron',
      stage: 'speeds',
      chainLink: 'spindle',
      by: 'on-machine',
    },
    (facts) => {
      const answers = facts.plan.survey.holders.flatMap((holder, index): Answer[] => {
        const most = holder.kind && IRON_RIM[holder.kind]
        if (most === undefined || !isUnmarked(holder)) return []
        const about = holder.id
        if (holder.diameterMm === undefined) return [{ ...lacks(`survey.holders.${index}.diameterMm`), about }]
        const used = facts.speeds.positions.filter((p) => isUsed(facts, p))
        const tops = used.flatMap((position) => {
          const top = numberOf(position.unloadedTopRpm)
          return top === undefined ? [] : [{ position, top }]
        })
        const [fastest] = tops.sort((a, b) => b.top - a.top)
        if (!fastest) return [{ ...lacks('survey.positions'), about }]
        const rim = rimSpeed(holder.diameterMm, fastest.top)
        if (rim <= most)
          return [
            good(message`${amount('beltSpeed', rim)}; unmarked iron is watched over ${amount('beltSpeed', most)}.`, {
              about,
            }),
          ]
        const limit = { rpm: rpmAtRim(holder.diameterMm, most), what: holderName(holder), marked: true }
        return [
          {
            severity: 'watch',
            about,
            title: message`A fast rim for unmarked iron`,
            says: message`On ${fastest.position.name} the rim of ${holderName(holder)} runs ${amount('beltSpeed', rim)}; unmarked grey iron is watched over ${amount('beltSpeed', most)}, a planning value.`,
            why: 'Old grey iron has cracks that nobody sees, and its rim stress grows with the square of the speed.',
            remedies: lower(facts, fastest.position, limit),
            figures: [`position.${fastest.position.position.id}.unloadedTopRpm`],
            path: 'settings.chosen.maximumHz',
          },
        ]
      })
      return answers.length > 0 ? answers : doesNotApply('No unmarked chuck or faceplate spins here')
    },
  ),
]
