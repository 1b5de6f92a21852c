import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { afterReset, enter, type DriveMemory } from '../src/manual/driveMemory'
import { entryOrder, type Wish } from '../src/manual/entryOrder'
import { emptyManual, manualSchema, type Manual } from '../src/manual/manual'

type Code = Partial<Manual['codes'][number]> & { code: string }

const manualWith = (codes: Code[], more: Partial<Manual> = {}): Manual =>
  manualSchema.parse({
    ...emptyManual('Somebody’s drive'),
    codes: codes.map((c) => ({ words: c.code, values: [], ...c })),
    ...more,
  })

const wish = (code: string, value: string): Wish => ({ code, value })

const order = (manual: Manual, wishes: Wish[], held: Record<string, string> = {}): string[] => {
  const made = entryOrder(manual, wishes, held)
  return 'cycle' in made ? made.cycle.map((c) => `ring ${c}`) : made.entries.map((e) => `${e.code}=${e.value}`)
}

describe('the order of entries', () => {
  test('an upper limit is raised before what it limits, and lowered after it', () => {
    const manual = manualWith([{ code: 'run', mostBy: 'top' }, { code: 'top' }])
    expect(order(manual, [wish('run', '80'), wish('top', '100')], { run: '20', top: '50' })).toEqual([
      'top=100',
      'run=80',
    ])
    expect(order(manual, [wish('run', '10'), wish('top', '40')], { run: '50', top: '50' })).toEqual([
      'run=10',
      'top=40',
    ])
    // Nothing known of what it holds: the limit first.
    expect(order(manual, [wish('run', '80'), wish('top', '100')])).toEqual(['top=100', 'run=80'])
  })

  test('an end that nothing else decides is raised for what it would stop', () => {
    const manual = manualWith(
      [{ code: 'ceiling', locked: true }, { code: 'key' }, { code: 'top', mostBy: 'ceiling' }],
      {
        unlock: { code: 'key', value: '7' },
      },
    )
    expect(order(manual, [wish('top', '90')], { ceiling: '60', top: '50' })).toEqual(['key=7', 'ceiling=90', 'top=90'])
    expect(order(manual, [wish('top', '55')], { ceiling: '60', top: '50' })).toEqual(['top=55'])
  })

  test('what was changed behind one’s back is entered after it, though it was right before', () => {
    const manual = manualWith([{ code: 'base' }, { code: 'world', changes: [{ code: 'base', to: '60' }] }])
    expect(order(manual, [wish('world', '1')], { base: '50', world: '0' })).toEqual(['world=1', 'base=50'])
    expect(order(manual, [wish('world', '1')], { base: '60', world: '0' })).toEqual(['world=1'])
  })

  test('an unlocking code comes before the locked ones, once', () => {
    const manual = manualWith([{ code: 'key' }, { code: 'a', locked: true }, { code: 'b', locked: true }], {
      unlock: { code: 'key', value: '7' },
    })
    expect(order(manual, [wish('a', '1'), wish('b', '2')])).toEqual(['key=7', 'a=1', 'b=2'])
    expect(order(manual, [wish('a', '1')], { key: '7' })).toEqual(['a=1'])
  })

  test('a gate is opened for what stands behind it, and shut again', () => {
    const values = [
      { value: '0', means: 'plain' },
      { value: '1', means: 'more' },
    ]
    const manual = manualWith([
      { code: 'menu', values },
      { code: 'deep', onlyWhile: { code: 'menu', value: '1' } },
    ])
    expect(order(manual, [wish('deep', '5')], { menu: '0' })).toEqual(['menu=1', 'deep=5', 'menu=0'])
    expect(order(manual, [wish('deep', '5'), wish('menu', '0')], { menu: '1' })).toEqual(['deep=5', 'menu=0'])
    expect(order(manual, [wish('deep', '5'), wish('menu', '1')], { menu: '0' })).toEqual(['menu=1', 'deep=5'])
  })

  test('codes that wait for each other are named in a ring', () => {
    const manual = manualWith([
      { code: 'a', after: ['c'] },
      { code: 'b', after: ['a'] },
      { code: 'c', after: ['b'] },
      { code: 'd', after: ['c'] },
    ])
    const made = entryOrder(
      manual,
      ['a', 'b', 'c', 'd'].map((c) => wish(c, '1')),
      {},
    )
    expect('cycle' in made && [...made.cycle].sort()).toEqual(['a', 'b', 'c'])
  })

  test('what a first spin wants stands first, with everything that it waits for', () => {
    const manual = manualWith([
      { code: 'late' },
      { code: 'amps', after: ['class'] },
      { code: 'class' },
      { code: 'more' },
    ])
    const made = entryOrder(
      manual,
      ['late', 'amps', 'class', 'more'].map((c) => wish(c, '1')),
      {},
      new Set(),
      (code) => code === 'amps',
    )
    expect(made).toMatchObject({ first: 2 })
    expect('entries' in made && made.entries.map((e) => e.code)).toEqual(['class', 'amps', 'late', 'more'])
  })
})

const LIST = ['0', '1', '2']

/** Manuals whose codes wait for those before them only, in any of the ways; and a plan that their limits allow. */
const drives = fc
  .record({
    kinds: fc.array(fc.constantFrom('number', 'limit', 'list'), { minLength: 3, maxLength: 14 }),
    seed: fc.array(fc.nat(9999), { minLength: 300, maxLength: 300 }),
    reset: fc.boolean(),
  })
  .map(({ kinds, seed, reset }) => {
    let at = 0
    const next = (below: number): number => (seed[at++ % seed.length] ?? 0) % below
    const names = kinds.map((_, i) => `n${i}`)
    const lists = names.filter((_, i) => kinds[i] === 'list')
    const numbers = names.filter((_, i) => kinds[i] === 'number')
    const tops: Record<string, string> = {}
    const codes = kinds.map((kind, i): Code => {
      const name = names[i] ?? ''
      const earlier = names.slice(0, i)
      const one = (of: string[]): string | undefined => (of.length === 0 ? undefined : of[next(of.length)])
      const code: Code = { code: name }
      if (kind === 'list') code.values = LIST.map((value) => ({ value, means: value }))
      else if (kind === 'number') code.counts = { each: 1, decimals: 0 }
      const before = one(earlier)
      if (before !== undefined && next(3) === 0) code.after = [before]
      // Ends and what they limit are left alone behind one's back: a drive that did that could not be put right at all.
      const changed = one(names.slice(i + 1).filter((n) => lists.includes(n)))
      if (changed !== undefined && next(3) === 0)
        code.changes = [{ code: changed, ...(next(2) === 0 ? { to: LIST[next(3)] ?? '0' } : {}) }]
      const gate = one(lists.filter((n) => earlier.includes(n)))
      if (gate !== undefined && next(3) === 0) code.onlyWhile = { code: gate, value: LIST[next(3)] ?? '0' }
      const top = one(numbers.filter((n) => earlier.includes(n)))
      if (kind === 'number' && top !== undefined && next(2) === 0) {
        code.mostBy = top
        tops[name] = top
      }
      if (next(4) === 0) code.locked = true
      if (next(3) === 0) code.onlyStopped = true
      return code
    })
    const manual = manualWith([...codes, { code: 'key', values: [] }], { unlock: { code: 'key', value: '4' } })
    const valuesNow = (): Record<string, string> => {
      const made: Record<string, string> = {}
      names.forEach((name, i) => {
        const most = Number(made[tops[name] ?? ''] ?? 100)
        made[name] = kinds[i] === 'list' ? (LIST[next(3)] ?? '0') : String(next(most + 1))
      })
      return made
    }
    const [held, plan] = [valuesNow(), valuesNow()]
    const wanted = names.filter(() => next(3) > 0)
    // A number that stays is no higher than its end that is wished lower.
    for (const name of names) if (!wanted.includes(name)) plan[name] = held[name] ?? ''
    const fits = Object.entries(tops).every(([own, top]) => Number(plan[own]) <= Number(plan[top]))
    return { manual, held, plan, wanted, told: new Set(reset ? [] : names), fits }
  })
  .filter(({ fits }) => fits)

const walk = (manual: Manual, start: DriveMemory, entries: readonly Wish[]): DriveMemory =>
  entries.reduce((memory, { code, value }) => {
    const done = enter(manual, memory, code, value)
    if ('refused' in done) throw new Error(`${code}=${value} refused: ${JSON.stringify(done.refused)}`)
    return done.memory
  }, start)

describe('a drive that keeps to its manual', () => {
  test('takes every entry in the order made, and ends as planned, with nothing else changed; or a ring is named', () => {
    let ordered = 0
    fc.assert(
      fc.property(drives, ({ manual, held, plan, wanted, told }) => {
        const wishes = wanted.map((code) => wish(code, plan[code] ?? ''))
        const made = entryOrder(manual, wishes, held, told)
        if ('cycle' in made) {
          expect(made.cycle.length).toBeGreaterThan(0)
          return
        }
        ordered += 1
        const end = walk(manual, { held, told, running: false, plugged: false }, made.entries)
        const { key, ...rest } = end.held
        // What is not there at the end does nothing, whatever it holds.
        const there = manual.codes.filter(({ onlyWhile: g }) => g === undefined || plan[g.code] === g.value)
        const seen = (all: Record<string, string>) =>
          there.flatMap(({ code }) => (code === 'key' ? [] : [[code, all[code]]]))
        expect(seen(rest)).toEqual(seen(plan))
        expect(key === undefined || key === '4').toBe(true)
      }),
      { numRuns: 800 },
    )
    // Rings are the exception: codes wait only for those before them, but gates and changes may close one.
    expect(ordered).toBeGreaterThan(400)
  })

  test('four hundred codes are brought in order, each after all that it waits for', () => {
    const codes = Array.from({ length: 400 }, (_, i): Code => ({
      code: `n${i}`,
      after: [7, 31, 131].filter((d) => d <= i && (i * d) % 3 !== 0).map((d) => `n${i - d}`),
    }))
    const manual = manualWith([...codes].reverse())
    const made = entryOrder(
      manual,
      [...codes].reverse().map(({ code }) => wish(code, '1')),
      {},
    )
    expect('entries' in made && made.entries).toHaveLength(400)
    walk(manual, { ...afterReset(manual, {}) }, 'entries' in made ? made.entries : [])
  })
})
