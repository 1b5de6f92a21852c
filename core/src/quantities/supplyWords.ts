import { plainText } from './parseNumber'
import { tooLong, type Parsed } from './parseQuantity'

/** How the circuit's live conductors stand to each other and to earth. */
export type Topology = 'line-neutral' | 'line-line' | 'three-phase'

/** What words say of the wall beside its volts. */
interface Beside {
  phases?: 1 | 3
  topology?: Topology
  frequencyHz?: number
  breakerA?: number
}

export interface SupplyWords extends Beside {
  voltageV: number
}

const phrases: readonly { words: RegExp; means: Beside & { voltageV?: number } }[] = [
  {
    words:
      /\b(two|2|both) (hot|live)s?( legs?| wires?| lines?)?\b|\bhot to hot\b|\bline to line\b|\bdryer (outlet|plug)\b/,
    means: { voltageV: 240, phases: 1, topology: 'line-line' },
  },
  {
    words: /\b(one|1|single) (hot|live)( leg| wire| line)?\b|\bhot (and|to) neutral\b/,
    means: { voltageV: 120, phases: 1, topology: 'line-neutral' },
  },
  {
    // Said where the volts are 220 to 240 as well as where they are 120.
    words: /\blive (?:and|to) neutral\b|\bl ?(?:\+|and) ?n\b/,
    means: { phases: 1, topology: 'line-neutral' },
  },
]

const HERTZ = /\b([4-7]\d(?:\.\d+)?) ?(?:hz|hertz|cycles?|cps)\b/
const AMPS = /\b(\d{1,3}) ?(?:a|amps?)\b(?: (?:breaker|fuse|mcb))?|\b(?:breaker|fuse|mcb) ?[bcd]?(\d{1,3})\b/

/**
 * Reads what people call the wall: `two hot legs`, `110`, `240 single phase`, `400 V three-phase`.
 * A phrase fixes the wiring; a number beside it fixes the volts. Hertz and the breaker's amps may stand there too:
 * `230 V live and neutral, 50 Hz, 16 A`.
 *
 * @example parseSupplyWords('two hot legs').ok // true
 */
export function parseSupplyWords(text: string): Parsed<SupplyWords> {
  const long = tooLong(text)
  if (long) return long
  const words = plainText(text).toLowerCase().replace(/[-,]/g, ' ').replace(/\s+/g, ' ')
  const phrase = phrases.find((p) => p.words.test(words))
  const hertz = HERTZ.exec(words)?.[1]
  const amps = AMPS.exec(words)
  const beside = {
    ...(hertz === undefined ? {} : { frequencyHz: Number(hertz) }),
    ...(amps ? { breakerA: Number(amps[1] ?? amps[2]) } : {}),
  }
  if (!phrase && /\b1(?:10|15|20)\s*\/\s*2(?:08|20|30|40)\b/.test(words))
    return {
      ok: false,
      message: `"${text.trim()}" is a wall of two lives and a neutral: type "240, two hots" for the two lives, or "120, one hot" for one of them and neutral.`,
    }
  const three = /\b(3|three) ?(ph|phase|phases)\b|\b3~/.test(words)
  const one = /\b(1|one|single|split) ?(ph|phase)\b|\b1~/.test(words)
  const withoutCounts = words
    .replace(HERTZ, ' ')
    .replace(AMPS, ' ')
    .replace(/\b(1|2|3|one|two|three) ?(ph|phases?|hots?|lives?|legs?)\b|\b[123]~/g, ' ')
  const number = /(\d+(?:\.\d+)?)\s*k?v?/.exec(withoutCounts)
  const written = number ? Number(number[1]) : undefined
  const voltageV = written ?? phrase?.means.voltageV
  if (voltageV === undefined || voltageV < 90 || voltageV > 725)
    return {
      ok: false,
      message: `"${text.trim()}" does not say what the wall gives; type volts from 90 to 725, or words such as "two hot legs".`,
    }
  if (three) return { ok: true, value: { ...beside, voltageV, phases: 3, topology: 'three-phase' } }
  if (phrase) return { ok: true, value: { ...beside, ...phrase.means, voltageV } }
  return { ok: true, value: one ? { ...beside, voltageV, phases: 1 } : { ...beside, voltageV } }
}
