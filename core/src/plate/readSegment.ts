import { figureOf, looksLikeVolts } from './figures'
import type { Link } from './groups'
import { itemsOf } from './items'
import type { Segment } from './layOut'
import type { Figure, Told } from './motorSaid'
import { pair, type Named } from './pairing'
import { plainLine } from './pieces'
import type { Term } from './vocabulary'

/** What one stretch of a plate says. */
export interface SegmentRead extends Segment {
  figures: Figure[]
  /** What words say without a number of their own. */
  told: Told[]
  connection: Link | undefined
  /** The part of it that was not understood, as it stands. */
  rest: string
}

const VOLTS: Term = { quantity: 'volts', factor: 1 }
const NO_UNIT = 'no unit stands beside it'

/** Reads one stretch by itself. */
export function readSegment(segment: Segment): SegmentRead {
  const { items, values, unread, connection } = itemsOf(segment.text)
  const { named, bare, idle } = pair(items)
  const volts = bare.filter(looksLikeVolts)
  const all: Named[] = [
    ...named,
    ...volts.map((group): Named => ({ group, term: VOLTS, links: group.links, part: undefined, doubt: NO_UNIT })),
  ]
  const figures = all.map(({ group, term, links, part, doubt }): Figure => ({
    line: segment.line,
    quantity: term.quantity,
    term,
    group,
    part,
    links,
    hertz: segment.hertz,
    doubt: segment.doubt ?? doubt ?? (term.quantity === 'power' && term.factor === undefined ? NO_UNIT : undefined),
  }))
  return {
    ...segment,
    figures: withoutCapacitors(figures),
    told: values.map(({ path, value, doubt }): Told => ({
      path,
      values: [value],
      line: segment.line,
      ...(doubt === undefined ? {} : { doubt }),
    })),
    connection,
    rest: leftOver(segment.text, [...unread, ...bare.filter((g) => !volts.includes(g)), ...idle]),
  }
}

/** Volts that stand beside microfarads and look like a capacitor's are not the motor's. */
const CAPACITOR_V: readonly number[] = [125, 165, 220, 250, 275, 320, 330, 370, 400, 425, 440, 450, 475, 500]

function withoutCapacitors(figures: readonly Figure[]): Figure[] {
  const at = figures.findIndex((f) => f.quantity === 'capacitance')
  const looks = (f: Figure | undefined) =>
    f?.quantity === 'volts' &&
    f.group.alternatives.length === 1 &&
    CAPACITOR_V.includes(figureOf(f.group.alternatives[0]?.low ?? '', f.term))
  const named = figures.some((f) => f.part === 'capacitor' && f.quantity !== 'capacitance')
  const several = named || figures.filter((f) => f.quantity === 'volts').length > 1
  const own = at < 0 ? -1 : looks(figures[at + 1]) ? at + 1 : several && looks(figures[at - 1]) ? at - 1 : -1
  return figures.map((f, i) => {
    if (i === own) return { ...f, part: 'capacitor' as const }
    // A capacitor that is named earlier in the line has its microfarads and its volts, no more.
    const another = f.part === 'capacitor' && f.quantity !== 'capacitance' && f.term.part !== 'capacitor' && own >= 0
    return another ? { ...f, part: undefined } : f
  })
}

/** The stretches of a line that were not understood; a mark between two of them goes with them. */
function leftOver(text: string, left: readonly { from: number; to: number }[]): string {
  const line = plainLine(text)
  return [...left]
    .sort((a, b) => a.from - b.from)
    .map(({ from, to }, i, all) => {
      const between = line.slice(all[i - 1]?.to ?? from, from)
      return `${i === 0 ? '' : /^ ?[-/.:#]? ?$/.test(between) ? between : ' '}${line.slice(from, to)}`
    })
    .join('')
    .trim()
}
