import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { answerLine, readBackLine, resetDrive, unanswerLine } from '../src/card/answerLine'
import type { CardLine } from '../src/card/cardLine'
import { positionEntries } from '../src/card/positionEntries'
import { changeOver } from '../src/speeds/changeOver'
import { whyRefused } from '../src/card/whyRefused'
import { evaluate } from '../src/conversion/evaluate'
import { afterReset, enter, refusal, sameValue, codesByName, type DriveMemory, type Manual } from '../src/manual'
import { applyPatch, emptyPlan, readPlan, set, settingIds, type Patch, type Plan } from '../src/plan'
import { settingHearts } from '../src/stages/settingTable'
import { demoPlan, demoPlans } from './demoPlans'
import { soundPlan } from './mistakes'
import { shippedManual, shippedManuals } from './shippedManuals'
import { cardOf } from './parts'

const DAY = '2026-11-28'

const card = (plan: Plan) => cardOf(plan)
const change = (plan: Plan, patch: Patch): Plan => {
  const next = applyPatch(plan, patch)
  const read = readPlan(next)
  if (!read.ok) throw new Error(JSON.stringify(read.faults))
  return next
}
const took = (plan: Plan, line: CardLine): Plan =>
  change(plan, answerLine(plan, evaluate(plan).settings, line, { answer: 'entered', on: DAY }))

const reset = (plan: Plan): Plan => change(plan, resetDrive(plan))
const line = (plan: Plan, key: string): CardLine => {
  const found = [...card(plan).lines, ...card(plan).standing].find((l) => l.key === key)
  if (!found) throw new Error(`no line ${key}`)
  return found
}

/** Every plan that has a manual with codes, and the gap-bed lathe on every drive that ships. */
const onDrives: [string, Plan][] = [
  ...demoPlans,
  ...[...shippedManuals].map(([name, manual]): [string, Plan] => [
    `gap-bed lathe on ${name}`,
    change(demoPlan('gap-bed-lathe'), [set('manual', manual), set('wiring.codesHeld', undefined)]),
  ]),
].filter(([, plan]) => (plan.manual?.codes.length ?? 0) > 0)

describe('a drive that obeys its manual', () => {
  test.each(onDrives)('%s: takes every line from its reset on, and then nothing is left to enter', (_, before) => {
    let plan = reset(before)
    const manual = plan.manual as Manual
    let memory: DriveMemory = afterReset(manual, {})
    const first = card(plan)
    expect(first.cycle).toBeUndefined()
    expect(first.unknown).toBe(false)
    const planned = new Map<string, string>()
    // The card is made anew after every line, as on the screen.
    for (let at = 0; at < 200; at += 1) {
      const next = card(plan).lines.find(({ code, problem }) => code !== undefined && problem === undefined)
      if (!next?.code) break
      const done = enter(manual, memory, next.code, next.value)
      if ('refused' in done) throw new Error(`${next.code}=${next.value}: ${JSON.stringify(done.refused)}`)
      memory = done.memory
      planned.set(next.code, next.value)
      plan = took(plan, next)
    }
    const end = card(plan)
    expect(end.lines.filter(({ code, problem }) => code !== undefined && problem === undefined)).toEqual([])
    expect(planned.size).toBeGreaterThan(4)
    // What stands on the card as held is what the drive holds.
    for (const { code, value } of end.standing)
      if (code !== undefined)
        expect([code, sameValue(codesByName(manual).get(code), memory.held[code] ?? '', value)]).toEqual([code, true])
  })

  test('every refusal leads to a step that clears it', () => {
    const manuals = [...shippedManuals.values()].filter(({ codes }) => codes.length > 0)
    const cases = fc.constantFrom(...manuals).chain((manual) =>
      fc.record({
        manual: fc.constant(manual),
        code: fc.constantFrom(...manual.codes),
        seed: fc.nat(1000),
        running: fc.boolean(),
        plugged: fc.boolean(),
      }),
    )
    fc.assert(
      fc.property(cases, ({ manual, code, seed, running, plugged }) => {
        const value =
          code.digits?.map((d) => d.values[seed % d.values.length]?.digit).join('') ??
          code.values[seed % Math.max(1, code.values.length)]?.value ??
          ((code.least ?? 0) + ((code.most ?? 100) - (code.least ?? 0)) * (seed / 1000)).toFixed(
            code.counts?.decimals ?? 0,
          )
        let memory: DriveMemory = { ...afterReset(manual, {}), running, plugged }
        // What is wanted, and before it what clears each refusal: the last is tried first.
        const waiting = [{ code: code.code, value }]
        for (let tries = 0; waiting.length > 0; tries += 1) {
          expect(tries).toBeLessThan(60)
          const next = waiting.at(-1)
          if (!next) break
          const found = refusal(manual, memory, next.code, next.value)
          if (!found) {
            const done = enter(manual, memory, next.code, next.value)
            if ('memory' in done) memory = done.memory
            waiting.pop()
          } else if (found.why === 'running') memory = { ...memory, running: false }
          else if (found.why === 'plugged') memory = { ...memory, plugged: false }
          else if (found.why === 'locked' || found.why === 'gate') waiting.push({ ...found.wants })
          else if (found.why === 'order')
            waiting.push({ code: found.wants.code, value: memory.held[found.wants.code] ?? '0' })
          else if (found.why === 'range' && found.wants) waiting.push({ code: found.wants.code, value: next.value })
          else throw new Error(`${next.code}=${next.value} is refused for good: ${found.why}`)
        }
      }),
      { numRuns: 600 },
    )
  })
})

describe('the card', () => {
  const wallBox = reset(demoPlan('gap-bed-lathe'))

  test('of a reset drive has what differs from its defaults, and says what it holds already', () => {
    const made = card(wallBox)
    expect(made.coded).toBe(true)
    // Its base hertz are printed as 50 and found to be 60.
    expect(line(wallBox, 'h04')).toMatchObject({ value: '50.0', from: '60.0', fromBy: 'default' })
    expect(made.standing.map(({ key }) => key)).toContain('h35')
    expect(made.lines.map(({ key }) => key)).not.toContain('h35')
  })

  test('of an unknown drive has only what could hurt or spoil the plan', () => {
    const unknown = change(wallBox, [set('settings.state', 'second-hand')])
    const made = card(unknown)
    expect(made.unknown).toBe(true)
    expect(made.lines.filter((l) => l.settings.length > 0).length).toBeGreaterThanOrEqual(13)
    expect(made.lines.filter((l) => l.settings.length > 0).length).toBeLessThanOrEqual(20)
    expect(made.leave.map(({ id }) => id)).toContain('energySaver')
    // Each setting is in one place only.
    const told = [
      ...made.lines.flatMap((l) => l.settings),
      ...made.standing.flatMap((l) => l.settings),
      ...made.leave.map(({ id }) => id),
      ...made.waiting.map(({ id }) => id),
    ]
    expect([...told].sort()).toEqual(settingIds.filter((id) => settingHearts(id).includes('inverter')).sort())
  })

  test('writes a ramp as this drive counts it, for the seconds that the machine gets', () => {
    const plan = change(wallBox, [set('settings.chosen.decelerationS', 9), set('settings.chosen.maximumHz', 90)])
    // To base: 9 s to 90 Hz are 5 s to 50.
    expect(line(plan, 'h14').value).toBe('5.0')
    const perSecond = change(plan, [set('manual', shippedManual('avocet-three-phase'))])
    expect(line(perSecond, 'set 3/6').value).toBe('10.00')
    const per10 = change(plan, [set('manual', shippedManual('teal-doubler'))])
    expect(line(per10, 'down').value).toBe('1.00')
  })

  test('judges what was read by what the drive counts', () => {
    const plan = change(wallBox, [
      set('settings.chosen.maximumHz', 100),
      set('settings.inDrive.decelerationS', 3),
      set('settings.inDrive.maximumHz', 100),
    ])
    expect(evaluate(plan).figures['settings.decelerationS']).toMatchObject({ value: 6, ruleId: 'drive.ramp-seconds' })
  })

  test('raises the ceiling before the highest hertz, and unlocks it first', () => {
    const plan = change(wallBox, [set('settings.chosen.maximumHz', 90)])
    const keys = card(plan).lines.map(({ code, for: why }) => [code, why])
    const at = (code: string) => keys.findIndex(([c]) => c === code)
    expect(at('h00')).toBeLessThan(at('h09'))
    expect(at('h09')).toBeLessThan(at('h12'))
    expect(keys[at('h09')]).toEqual(['h09', 'raises'])
  })

  test('keeps what was changed by hand, and says so', () => {
    const plan = change(wallBox, [set('settings.chosen.stopMode', 'dc-brake')])
    expect(line(plan, 'h16')).toMatchObject({ value: '2', chosen: true, basis: 'given' })
  })

  test('of a worksheet with a few codes stands in plain words where it is not known how they are written', () => {
    const plan = change(wallBox, [
      set('settings.state', 'second-hand'),
      set('manual', {
        ...shippedManual('heron-wall-box'),
        codes: [{ code: '7', words: 'What starts it', sets: 'commandSource', values: [] }],
      }),
    ])
    expect(line(plan, '7')).toMatchObject({ value: 'Terminals', code: '7' })
    const bare = change(emptyPlan('x'), [set('controls.runBy', 'momentary')])
    expect(line(bare, 'commandSource')).toMatchObject({ value: 'Terminals', words: 'RUN comes from' })
  })

  test('says where the drive cannot be brought to it', () => {
    const plan = change(wallBox, [set('settings.chosen.maximumHz', 500)])
    expect(line(plan, 'h12').problem?.nearest).toBe('400.0')
  })
})

describe('what became of a line', () => {
  const plan = reset(demoPlan('gap-bed-lathe'))

  test('what was taken is held from then on, and goes from the card', () => {
    const next = took(plan, line(plan, 'h03'))
    expect(next.settings.inDrive.ratedCurrentA).toBe(3.5)
    expect(card(next).lines.map(({ key }) => key)).not.toContain('h03')
    expect(unticked(next, 'h03').settings.inDrive.ratedCurrentA).toBeUndefined()
  })
  const unticked = (from: Plan, key: string): Plan => change(from, unanswerLine(from, line(from, key)))

  test('what that changes behind one’s back is wanted again', () => {
    let now = took(plan, line(plan, 'h04'))
    expect(card(now).lines.map(({ key }) => key)).not.toContain('h04')
    now = took(now, { ...line(plan, 'h03'), key: 'h01', code: 'h01', settings: ['mainsHertz'], value: '50' })
    expect(card(now).lines.map(({ key }) => key)).toContain('h04')
  })

  test('what was refused stays, with why it may have been and what clears each', () => {
    const wanted = line(plan, 'h08')
    const lines = evaluate(plan).settings
    const next = change(plan, answerLine(plan, lines, wanted, { answer: 'refused', said: 'no', on: DAY }))
    expect(line(next, 'h08').record).toMatchObject({ answer: 'refused', said: 'no' })
    expect(next.settings.inDrive.motorTune).toBeUndefined()
    const [first, ...more] = whyRefused(next, evaluate(next).settings, wanted)
    expect(first).toMatchObject({ why: 'order', certain: true })
    expect(more.length).toBeGreaterThan(2)
    expect(more.every(({ clears }) => clears.length > 10)).toBe(true)
  })

  test('a line that only serves another is refused and taken back as any', () => {
    const locked = change(plan, [set('settings.chosen.maximumHz', 90)])
    const key = card(locked).lines.find((l) => l.for === 'unlocks')
    if (!key) throw new Error('nothing unlocks')
    const lines = evaluate(locked).settings
    const refused = change(locked, answerLine(locked, lines, key, { answer: 'refused', on: DAY }))
    const again = card(refused).lines.find((l) => l.for === 'unlocks')
    expect(again?.record?.answer).toBe('refused')
    const back = change(refused, unanswerLine(refused, again ?? key))
    expect(card(back).lines.find((l) => l.for === 'unlocks')?.record).toBeUndefined()
  })

  test('a read-back of what a terminal does is held by the wiring, and given up when it is cleared', () => {
    const unknown = change(plan, [set('settings.state', 'second-hand')])
    const terminal = card(unknown).lines.find((l) => l.settings.length === 0 && l.for === 'plan')
    if (!terminal?.code) throw new Error('no terminal is wired')
    const lines = evaluate(unknown).settings
    const read = change(unknown, readBackLine(unknown, lines, terminal, terminal.value, DAY).patch)
    expect(read.wiring.codesHeld).toEqual({ [terminal.code]: terminal.value })
    const cleared = change(read, readBackLine(read, evaluate(read).settings, line(read, terminal.key), '', DAY).patch)
    expect(cleared.wiring.codesHeld).toEqual({})
  })

  test('what is read back is kept as typed, and as found where nothing was entered before', () => {
    const second = change(plan, [set('settings.state', 'second-hand')])
    const lines = evaluate(second).settings
    const read = readBackLine(second, lines, line(second, 'h12'), '75,0 Hz', DAY)
    expect(read.understood).toBe(true)
    const next = change(second, read.patch)
    expect(next.settings.inDrive.maximumHz).toBe(75)
    expect(next.settings.asFound).toEqual({ h12: '75,0 Hz' })
    expect(line(next, 'h12')).toMatchObject({ from: '75,0 Hz', fromBy: 'read' })
    const strange = readBackLine(second, lines, line(second, 'h30'), 'banana', DAY)
    expect(strange.understood).toBe(false)
    expect(change(second, strange.patch).settings.entered?.['h30']?.readBack).toBe('banana')
  })

  test('a reset in the middle takes it all away but what a reset leaves, and the half card is a stop', () => {
    const half = took(plan, line(plan, 'h03'))
    const judged = evaluate(half).judged.find((j) => j.id.startsWith('settings.half-written'))
    expect([judged?.answer, judged?.severity]).toEqual(['found', 'stop'])
    const again = reset(half)
    expect(again.settings.inDrive).toEqual({})
    expect(evaluate(again).judged.find((j) => j.id.startsWith('settings.half-written'))?.answer).toBe('does-not-apply')
  })

  test('a plan that is sound has a card that is entered', () => expect(card(soundPlan()).lines).toEqual([]))
})

describe('the change-over card', () => {
  const plan = reset(demoPlan('gap-bed-lathe'))
  const evaluation = evaluate(plan)
  const entries = positionEntries(plan, evaluation.settings, changeOver(plan, evaluation))
  const at = (position: string, id: string) => entries.get(position)?.find((e) => e.id === id)

  test('has the display’s scale, the highest hertz and the stop of each position, in the drive’s codes', () => {
    expect(at('a', 'displayScale')).toMatchObject({ code: 'h56', value: '26.67', differs: true })
    // The four-jaw chuck ends it on A; on B it is not met.
    expect(at('a', 'maximumHz')).toMatchObject({ code: 'h12', value: '45.0' })
    expect(Number(at('a', 'decelerationS')?.value)).toBeGreaterThan(Number(at('b', 'decelerationS')?.value))
  })
  test('says for the position used most what the card says', () => {
    const main = evaluation.positions.find((p) => p.main)?.id ?? ''
    for (const id of ['displayScale', 'maximumHz', 'decelerationS'] as const) {
      const own = [...card(plan).lines, ...card(plan).standing].find((l) => l.settings.includes(id))
      expect([id, at(main, id)?.value]).toEqual([id, own?.value])
    }
  })
  test('has nothing to say of one position', () =>
    expect(positionEntries(plan, evaluation.settings, changeOver(plan, evaluation).slice(0, 1)).size).toBe(0))
})
