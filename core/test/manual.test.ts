import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import {
  emptyManual,
  incoherence,
  linesFor,
  manualFile,
  readJottings,
  readManual,
  switchFunctions,
  terminalsUnder,
  type Manual,
  type TerminalFunction,
} from '../src/manual'

const folder = join(import.meta.dirname, '../../samples/manuals')
const documents = new Map<string, unknown>(
  readdirSync(folder).map((file) => [file.replace('.json', ''), JSON.parse(readFileSync(join(folder, file), 'utf8'))]),
)

function manualOf(name: string): Manual {
  const read = readManual(documents.get(name))
  if (!read.ok) throw new Error(JSON.stringify(read.faults))
  return read.value
}
const faultsOf = (document: unknown) => {
  const read = readManual(document)
  return read.ok ? [] : read.faults.map(({ field, message }) => `${field} ${message}`)
}
const at = <T>(items: readonly T[], i: number): T => {
  const item = items[i]
  if (item === undefined) throw new Error(`there is no ${i}`)
  return item
}

const wired = (manual: Manual, ...wanted: TerminalFunction[]) => {
  const found = linesFor(manual, wanted)
  return 'lacking' in found
    ? { lacking: found.lacking }
    : {
        lines: found.lines.map(({ code, value }) => `${code.code} ${value}`),
        at: [...found.terminals].map(([does, { prints }]) => `${does} ${prints}`),
      }
}

describe('a manual’s file', () => {
  test('of each style ships, and is read as it is written', () => {
    expect(documents.size).toBeGreaterThanOrEqual(5)
    for (const [name, document] of documents) {
      const manual = manualOf(name)
      expect(readManual(JSON.parse(JSON.stringify(manualFile(manual))))).toEqual({ ok: true, value: manual })
      expect((document as { manual: { terminals: unknown[] } }).manual.terminals).toHaveLength(manual.terminals.length)
    }
    const styles = [...documents.keys()].map((name) => manualOf(name))
    expect(new Set(styles.map(({ style }) => style))).toEqual(new Set(['digital', 'trim-pot', 'dc', 'brushless']))
    expect(styles.some(({ isolated }) => isolated === false)).toBe(true)
  })
  test('that is none is refused with what it should be', () => {
    expect(faultsOf([])).toEqual([' a manual’s file must hold one JSON object'])
    expect(faultsOf({ format: 'x' })).toEqual(['format must be "zesty-lathe/manual"'])
    expect(faultsOf({ format: 'zesty-lathe/manual', manual: { version: 1 } })[0]).toMatch(/^manual.name is missing/)
  })
  test.each<[string, (manual: Manual) => void, RegExp]>([
    [
      'a link to a terminal that it has not',
      (m) => (at(m.factoryLinks, 0).to = 'nowhere'),
      /factoryLinks\[0\].to "nowhere" is no terminal/,
    ],
    [
      'two terminals of one id',
      (m) => m.terminals.push({ ...at(m.terminals, 0) }),
      /terminals\[\d+\].id stands there twice/,
    ],
    [
      'a motor lead among the switches',
      (m) => (at(m.terminals, 4).does = 'run'),
      /does "run" does not belong to the group/,
    ],
    [
      'a jumper in a position that it has not',
      (m) => (at(m.jumpers, 0).comesIn = 'sideways'),
      /comesIn "sideways" is none/,
    ],
    ['least over most', (m) => (at(m.clamps, 0).leastMm2 = 99), /clamps\[0\].leastMm2 is over the most/],
    [
      'a macro of a terminal that it has not',
      (m) =>
        (at(
          at(
            m.codes.filter((c) => c.macro),
            0,
          ).values,
          0,
        ).all = { x: 'run' }),
      /all "x" is no terminal/,
    ],
  ])('with %s is refused there', (_, spoil, message) => {
    const manual = structuredClone(manualOf('avocet-three-phase'))
    spoil(manual)
    expect(faultsOf(manualFile(manual))).toEqual([expect.stringMatching(message)])
  })
  test('of which only the name is known is one', () => {
    expect(incoherence(emptyManual('Unknown drive'))).toEqual([])
    expect(faultsOf(manualFile(emptyManual('Unknown drive')))).toEqual([])
  })
})

describe('what terminals do', () => {
  const avocet = manualOf('avocet-three-phase')
  const does = (entered: Record<string, string>, id: string) =>
    terminalsUnder(avocet, entered).find(({ terminal }) => terminal.id === id)
  test('is the manual’s own word until something is entered', () => {
    expect(does({}, 'di3')).toMatchObject({ does: 'preset-1', by: undefined })
  })
  test('follows from what chooses all at once, and then from what chooses one', () => {
    expect(does({ 'set 6/0': 'three' }, 'di3')?.does).toBe('direction')
    expect(does({ 'set 6/0': 'three', 'set 6/3': '9' }, 'di3')).toMatchObject({ does: 'jog', by: { code: 'set 6/3' } })
    expect(does({ 'set 6/0': 'no such' }, 'di3')?.does).toBe('preset-1')
  })
})

describe('wiring that is wanted', () => {
  test('wants no line where it is there already', () => {
    expect(wired(manualOf('heron-wall-box'), 'run-forward', 'reference-in')).toEqual({
      lines: [],
      at: ['run-forward in-a', 'reference-in pot'],
    })
  })
  test('takes one line for all rather than three', () => {
    expect(wired(manualOf('avocet-three-phase'), 'start', 'stop-open', 'direction').lines).toEqual(['set 6/0 three'])
  })
  test('goes to a terminal that nobody wants, and leaves those that are wanted', () => {
    expect(wired(manualOf('heron-wall-box'), 'run-forward', 'run-reverse', 'jog')).toEqual({
      lines: ['h43 c'],
      at: ['run-forward in-a', 'run-reverse in-b', 'jog in-c'],
    })
  })
  test('that a drive has no terminal for is said, and only that', () => {
    expect(wired(manualOf('teal-doubler'), 'run-forward', 'jog')).toEqual({ lacking: ['jog'] })
    expect(wired(manualOf('dunlin-trim-pots'), 'torque-off-1').lacking).toEqual(['torque-off-1'])
  })
  test('is what the terminals then do, each on a terminal of its own, and in the fewest lines there are', () => {
    const wishes = fc.uniqueArray(fc.constantFrom<TerminalFunction>(...switchFunctions), { maxLength: 4 })
    fc.assert(
      fc.property(fc.constantFrom(...documents.keys()), wishes, (name, wanted) => {
        const manual = manualOf(name)
        const found = linesFor(manual, wanted)
        if ('lacking' in found) {
          expect(found.lacking.filter((one) => !wanted.includes(one))).toEqual([])
          return
        }
        const entered = Object.fromEntries(found.lines.map(({ code, value }) => [code.code, value]))
        const now = new Map(terminalsUnder(manual, entered).map((t) => [t.terminal.id, t.does]))
        for (const [wish, terminal] of found.terminals) expect(now.get(terminal.id)).toBe(wish)
        expect(new Set([...found.terminals.values()].map(({ id }) => id)).size).toBe(wanted.length)
        expect(found.lines.length).toBe(fewest(manual, wanted))
      }),
    )
  })
})

/** The fewest lines there are, by trying every terminal for every wish: slow, and another way to the same answer. */
function fewest(manual: Manual, wanted: readonly TerminalFunction[]): number {
  const macros = manual.codes.flatMap((c) => (c.macro ? c.values.map((v) => ({ [c.code]: v.value })) : []))
  const costs = [{}, ...macros].map((entered) => {
    const now = terminalsUnder(manual, entered)
    const rest = (wishes: readonly TerminalFunction[], used: readonly string[]): number => {
      const [wish, ...others] = wishes
      if (wish === undefined) return 0
      return Math.min(
        ...now.map(({ terminal, does }) => {
          if (used.includes(terminal.id)) return Infinity
          const chosen = manual.codes.some((c) => c.terminal === terminal.id && c.values.some((v) => v.does === wish))
          const cost = does === wish ? 0 : chosen ? 1 : Infinity
          return cost === Infinity ? Infinity : cost + rest(others, [...used, terminal.id])
        }),
      )
    }
    return Object.keys(entered).length + rest(wanted, [])
  })
  return Math.min(...costs)
}

describe('jottings', () => {
  test('of terminals say what each seems to do', () => {
    const { terminals, codes, rest } = readJottings(`
      T1  run fwd
      T2 - reverse
      T3: common
      10V  pot top
      AIN wiper
      A0 pot bottom
      R1 relay com
      R2 = relay N.O.
      why is this so hard
    `)
    expect(terminals.map(({ prints, does }) => [prints, does])).toEqual([
      ['T1', 'run-forward'],
      ['T2', 'run-reverse'],
      ['T3', 'digital-common'],
      ['10V', 'reference-supply'],
      ['AIN', 'reference-in'],
      ['A0', 'reference-common'],
      ['R1', 'relay-common'],
      ['R2', 'relay-open'],
    ])
    expect([codes, rest]).toEqual([[], ['why is this so hard']])
  })
  test('of codes say what each seems to set', () => {
    const { codes } = readJottings(
      'h12 60 max hertz\nh13 = 5 s accel time\nP4-01: 3,5 A overload amps\nh99 2 something else',
    )
    expect(codes.map(({ code, value, sets }) => [code, value, sets])).toEqual([
      ['h12', '60', 'maximumHz'],
      ['h13', '5', 'accelerationS'],
      ['P4-01', '3,5', 'overloadA'],
      ['h99', '2', undefined],
    ])
  })
  test('of any kind are read quickly, and no line is lost', () => {
    fc.assert(
      fc.property(fc.array(fc.string({ maxLength: 300 })), (lines) => {
        const text = lines.map((l) => l.replace(/[\r\n]/g, ' ')).join('\n')
        const { terminals, codes, rest } = readJottings(text)
        const said = text.split('\n').filter((l) => l.replace(/^[\s•*>-]+/, '').trim() !== '')
        expect(terminals.length + codes.length + rest.length).toBe(said.length)
      }),
    )
  })
})
