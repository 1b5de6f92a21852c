import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { applyPatch, emptyPlan, set, type PlanPath } from '../src/plan'
import { readPlate } from '../src/plate/readPlate'
import { sayings, whole, type Plate } from './plates/corpus'
import { randomPlate } from './plates/randomPlate'

const empty = emptyPlan('x')

/** What a reader says without doubt, by field. */
function readFrom(text: string): Map<PlanPath, unknown> {
  const read = new Map<PlanPath, unknown>()
  for (const { path, value } of readPlate(text, empty).patch)
    if (path === 'motor') read.set('motor.kind', (value as { kind: string }).kind)
    else read.set(path, value)
  return read
}

const same = (a: unknown, b: unknown): boolean =>
  typeof a === 'number' && typeof b === 'number' ? Math.abs(a / b - 1) < 0.002 : a === b

/** Where a reading differs from what the plate says: what is wrong without a mark, and what is not read. */
function faultsOf({ text, says }: Pick<Plate, 'text' | 'says'>): { wrong: string[]; unread: string[] } {
  const read = readFrom(text)
  const wrong = [...read].flatMap(([path, value]) =>
    same(value, says.get(path)) ? [] : [`${path} read as ${String(value)}`],
  )
  const unread = [...says].flatMap(([path, value]) => (read.has(path) ? [] : [`${path} ${String(value)}`]))
  return { wrong, unread }
}

const others = sayings('others.txt')
const plates = [...sayings(), ...others, ...whole()]
test('there are enough plates, in both orders', () => {
  expect(sayings().length / 2).toBeGreaterThanOrEqual(120)
  // Of DC, brushless, servo and other motors, and of high-frequency spindles.
  expect(others.length / 2).toBeGreaterThanOrEqual(40)
})

describe('plates as they are typed', () => {
  test.each(plates.map((p) => [p.name, p] as const))('%s', (_, plate) => {
    expect(faultsOf(plate)).toEqual({ wrong: [], unread: [] })
    const doubted = readPlate(plate.text, empty).doubtful.map((d) => d.path)
    for (const path of plate.doubtful) expect(doubted).toContain(path)
  })
})

test('of 2000 made-up plates, printed in many ways and spoiled, at most one in 200 is read wrong without a mark', () => {
  const runs = 2000
  const plates = fc.sample(randomPlate, runs)
  const wrong = plates.flatMap(({ text, truth }) => {
    const faults = faultsOf({ text, says: truth }).wrong
    return faults.length === 0 ? [] : [{ text, faults }]
  })
  if (wrong.length > runs / 200) expect(wrong).toEqual([])
  // A reader that reads nothing would be right too.
  const told = plates.reduce((n, { truth }) => n + truth.size, 0)
  const unread = plates.reduce((n, { text, truth }) => n + faultsOf({ text, says: truth }).unread.length, 0)
  expect(unread / told).toBeLessThan(0.2)
})

describe('what is doubtful', () => {
  const doubts = (text: string, plan = empty) =>
    readPlate(text, plan).doubtful.map((d) => [d.label, d.why, d.choices.map((c) => c.shown.replaceAll('\u00a0', ' '))])
  test('two speeds are two choices, and neither is put in by itself', () => {
    expect(doubts('Dahlander 0.7/1.1 kW 50 Hz 400 V')).toEqual([
      ['Power', 'the plate tells more than one', ['0.7 kW', '1.1 kW']],
    ])
  })
  test('a speed that its hertz cannot make marks both', () => {
    expect(doubts('1725 rpm 50 Hz').map(([label]) => label)).toEqual(['Hertz', 'Speed'])
  })
  test('amps that are not those of one winding', () => {
    expect(doubts('230/400 V 6.0/5.3 A').map(([label]) => label)).toEqual(['Amps', 'Amps at the higher volts'])
  })
  test('star alone offers the delta volts, computed and marked', () => {
    expect(doubts('400 V Y 3.5 A')).toEqual([
      ['Volts', 'told in star alone; delta would be 400 V / 1.73, if its ends come out', ['231 V']],
    ])
  })
  test('a choice that is pressed puts in what it shows', () => {
    const [power] = readPlate('Dahlander 0.7/1.1 kW', empty).doubtful
    expect(applyPatch(empty, power?.choices[1]?.patch ?? []).motor.powerW).toBeCloseTo(1100)
  })
})

test('of two mains hertz the shop’s own are read, and it is said', () => {
  const text = '50 Hz 230/400 V 1.5 kW 1420 rpm\n60 Hz 265/460 V 1.75 kW 1720 rpm'
  const us = applyPatch(empty, [set('supply.frequencyHz', 60)])
  const reading = readPlate(text, us)
  expect(applyPatch(us, reading.patch).motor).toMatchObject({ ratedFrequencyHz: 60, highVoltageV: 460, powerW: 1750 })
  expect(reading.lines[0]?.notes).toEqual(['Read for 60 Hz; what the plate tells for other hertz is left'])
})

test('values are shown in the shop’s units, and of kW and hp the shop’s own counts', () => {
  const shown = (units: 'metric' | 'imperial') =>
    readPlate('2 HP 1.5 kW', empty, units).lines[0]?.understood.map((u) => u.shown.replace('\u00a0', ' '))
  expect([shown('metric'), shown('imperial')]).toEqual([['1.5 kW'], ['2 hp']])
})

test('what is not understood is shown as it stands', () => {
  const rest = (text: string) => readPlate(text, empty).lines.map((l) => l.rest)
  expect(rest('1.5 kW Model Q-77\nGREASE No. 2')).toEqual(['Model Q-77', 'GREASE No. 2'])
})
