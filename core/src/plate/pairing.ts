import type { Link, NumberGroup } from './groups'
import type { Item } from './items'
import { looksLikeVolts, oddness } from './figures'
import { joinedTerm, sameThing, type Part, type Term } from './vocabulary'

/** A number with what names it. */
export interface Named {
  group: NumberGroup
  term: Term
  links: (Link | undefined)[]
  part: Part | undefined
  /** Another reading of the line is nearly as good. */
  doubt?: string
}

/*
 * A plate says `1725 RPM 60 HZ` or `RPM 1725 HZ 60`, and lines change from one to the other. Each number may take the
 * word before it, the word behind it, both where they name one thing, or none; a word serves one number. The
 * reading that costs least counts, and where another costs hardly more and reads a number otherwise, that is told.
 */
const COST = {
  unnamed: 4,
  /** They are known by themselves. */
  unnamedVolts: 1.5,
  unusedUnit: 1.5,
  unusedLabel: 1,
  labelBehind: 0.5,
  bound: -1,
  glued: -1.5,
  agree: -0.6,
  weakUnbound: 3,
  noUnit: 1.5,
  turns: 0.7,
} as const
/** Another reading within so much of the best makes it doubtful. */
const MARGIN = 0.75

type Choice = 'before' | 'behind' | 'both' | 'none'
const choices: readonly Choice[] = ['before', 'behind', 'both', 'none']

interface Place {
  group: NumberGroup
  before: { index: number; term: Term; cost: number } | undefined
  behind: { index: number; term: Term; cost: number } | undefined
}

/** The words next to each number, on either side, before another number comes. */
function placesOf(items: readonly Item[]): Place[] {
  return items.flatMap((item, at): Place[] => {
    if (item.is !== 'group') return []
    const look = (step: 1 | -1): Place['before'] => {
      let gap = 0
      for (let i = at + step; items[i]; i += step) {
        const other = items[i]
        if (other?.is === 'group') return undefined
        if (other?.is === 'parting') gap += other.cost
        if (other?.is !== 'term') continue
        const between = step === 1 ? other.from - item.to : item.from - other.to
        const wide = between > 3 ? 0.8 : 0
        const bind = step === 1 ? (between === 0 ? COST.glued : 0) : other.binds ? COST.bound : 0
        const behindLabel = step === 1 && other.term.label ? COST.labelBehind : 0
        const weak = other.term.weak && (step === 1 || (!other.binds && between > 0)) ? COST.weakUnbound : 0
        const noUnit = other.term.quantity === 'power' && other.term.factor === undefined ? COST.noUnit : 0
        const odd = Math.max(...item.alternatives.map((a) => oddness(a, other.term, item.percent)))
        return { index: i, term: other.term, cost: gap + wide + bind + behindLabel + weak + noUnit + odd }
      }
      return undefined
    }
    return [{ group: item, before: look(-1), behind: look(1) }]
  })
}

/** What one choice for one number costs; undefined where it cannot be. */
function costOf({ group, before, behind }: Place, choice: Choice): number | undefined {
  if (choice === 'none') return looksLikeVolts(group) ? COST.unnamedVolts : COST.unnamed
  if (choice === 'before') return before?.cost
  if (choice === 'behind') return behind?.cost
  return before && behind && sameThing(before.term, behind.term)
    ? Math.min(before.cost, behind.cost) + COST.agree
    : undefined
}

const takesBefore = (c: Choice) => c === 'before' || c === 'both'
const takesBehind = (c: Choice) => c === 'behind' || c === 'both'

/** What it costs that one number chose so and the next so; undefined where both want one word. */
function stepCost(
  left: Place,
  a: Choice,
  right: Place,
  b: Choice,
  unused: (index: number) => number,
): number | undefined {
  const [l, r] = [left.behind, right.before]
  const one = l && r && l.index === r.index
  if (one && takesBehind(a) && takesBefore(b)) return undefined
  let cost = (a === 'before' && b === 'behind') || (a === 'behind' && b === 'before') ? COST.turns : 0
  if (one) return takesBehind(a) || takesBefore(b) ? cost : cost + unused(l.index)
  if (l && !takesBehind(a)) cost += unused(l.index)
  if (r && !takesBefore(b)) cost += unused(r.index)
  return cost
}

/** Least cost of the line with each number's each choice, by going through it from both ends. */
function costs(places: readonly Place[], unused: (index: number) => number): number[][] {
  const own = places.map((p) => choices.map((c) => costOf(p, c) ?? Infinity))
  const pass = (order: readonly number[], forward: boolean): number[][] => {
    const best: number[][] = []
    order.forEach((at, k) => {
      const from = order[k - 1]
      best[at] = choices.map((choice) => {
        const place = places[at] as Place
        const edge = forward ? place.before : place.behind
        if (from === undefined)
          return edge && !(forward ? takesBefore(choice) : takesBehind(choice)) ? unused(edge.index) : 0
        return Math.min(
          ...choices.map((other, o) => {
            const there = places[from] as Place
            const step = forward
              ? stepCost(there, other, place, choice, unused)
              : stepCost(place, choice, there, other, unused)
            return (best[from]?.[o] ?? Infinity) + (own[from]?.[o] ?? Infinity) + (step ?? Infinity)
          }),
        )
      })
    })
    return best
  }
  const order = places.map((_, i) => i)
  const [left, right] = [pass(order, true), pass([...order].reverse(), false)]
  return places.map((_, i) => choices.map((_, c) => (left[i]?.[c] ?? 0) + (right[i]?.[c] ?? 0) + (own[i]?.[c] ?? 0)))
}

/** The numbers of a line with what names them, those that nothing names, and words that name none. */
export function pair(items: readonly Item[]): { named: Named[]; bare: NumberGroup[]; idle: Item[] } {
  const used = new Set<number>()
  const places = placesOf(items)
  const unused = (index: number): number => {
    const item = items[index]
    if (item?.is !== 'term' || item.term.weak) return 0
    return item.term.label ? COST.unusedLabel : COST.unusedUnit
  }
  const total = costs(places, unused)
  const named: Named[] = []
  const bare: NumberGroup[] = []
  places.forEach((place, i) => {
    const of = total[i] ?? []
    const at = of.indexOf(Math.min(...of))
    const choice = choices[at] ?? 'none'
    const term = termFor(place, choice)
    if (takesBefore(choice) && place.before) used.add(place.before.index)
    if (takesBehind(choice) && place.behind) used.add(place.behind.index)
    const nearly = choices.some((c, k) => {
      if (k === at || (of[k] ?? Infinity) - (of[at] ?? 0) > MARGIN) return false
      const other = termFor(place, c)
      return term === undefined || other === undefined || !sameThing(term, other)
    })
    if (term === undefined) bare.push(place.group)
    else
      named.push({
        group: place.group,
        term,
        links: linksOf(items, place.group),
        part: term.part ?? partFor(term, partOf(items, place.group)),
        ...(nearly ? { doubt: 'the words beside it can be read another way' } : {}),
      })
  })
  return {
    named: [...ofOneCircuit(items, named)],
    bare,
    idle: items.filter((item, i) => item.is === 'term' && !used.has(i)),
  }
}

function termFor({ before, behind }: Place, choice: Choice): Term | undefined {
  if (choice === 'both' && before && behind) return joinedTerm(before.term, behind.term)
  return choice === 'before' ? before?.term : choice === 'behind' ? behind?.term : undefined
}

/** Armature and field have volts and amps; power and speed are the motor's, whatever was named before them. */
const partFor = ({ quantity }: Term, part: Part | undefined): Part | undefined =>
  (part === 'armature' || part === 'field') && quantity !== 'volts' && quantity !== 'amps' ? undefined : part

/**
 * `0.55 A  FIELD 310 V`: a line of one voltage and one current in which one circuit is named tells both of it, whichever
 * stands first.
 */
function ofOneCircuit(items: readonly Item[], named: readonly Named[]): readonly Named[] {
  const parts = new Set(items.flatMap((item) => (item.is === 'about' ? [item.part] : [])))
  const [part] = parts
  const quantities = named.map(({ term }) => term.quantity)
  const isOne =
    parts.size === 1 &&
    (part === 'armature' || part === 'field') &&
    named.length === 2 &&
    quantities.includes('volts') &&
    quantities.includes('amps')
  return isOne ? named.map((one) => ({ ...one, part: one.part ?? part })) : named
}

/** The thing on the motor that was named last before a number, in its own part of the line. */
function partOf(items: readonly Item[], group: NumberGroup): Part | undefined {
  for (let i = items.indexOf(group) - 1; i >= 0; i -= 1) {
    const item = items[i]
    if (item?.is === 'about') return item.part
    if (item?.is === 'parting' && item.cost >= 2) return undefined
  }
  return undefined
}

/** Star and delta for each alternative: beside it, or in a pair before or behind the group. */
function linksOf(items: readonly Item[], group: NumberGroup): (Link | undefined)[] {
  const at = items.indexOf(group)
  const near = (step: 1 | -1): Link[] | undefined => {
    for (let i = at + step; items[i]; i += step) {
      const item = items[i]
      if (item?.is === 'links') return item.links
      if (item?.is === 'group') return undefined
    }
    return undefined
  }
  const count = group.alternatives.length
  const fits = (found: Link[] | undefined) => found !== undefined && (found.length === count || count === 1)
  const [before, behind] = [near(-1), near(1)]
  if (group.links.every((l) => l === undefined)) {
    const found = fits(before) ? before : fits(behind) ? behind : undefined
    return found && found.length === count ? found : group.links
  }
  return group.links.map((link, i) => link ?? (i === 0 ? before?.at(-1) : i === count - 1 ? behind?.[0] : undefined))
}
