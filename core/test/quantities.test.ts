import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import {
  dimensions,
  dimensionKind,
  gaugeArea,
  nominalVoltage,
  parsePair,
  parseQuantity,
  parseSupplyWords,
  printQuantity,
  sameNominal,
  message,
  messageText,
  volts,
  type Dimension,
  type UnitSystem,
} from '../src/quantities'

const read = (text: string, dimension: Dimension, system?: UnitSystem): number => {
  const parsed = parseQuantity(text, dimension, system)
  if (!parsed.ok) throw new Error(parsed.message)
  return parsed.value
}
const refusal = (text: string, dimension: Dimension): string => {
  const parsed = parseQuantity(text, dimension)
  if (parsed.ok) throw new Error(`${text} was read as ${parsed.value}`)
  return parsed.message
}

describe('reading', () => {
  test.each<[string, Dimension, number]>([
    ['3/4 hp', 'power', 559.275],
    ['1.1kW', 'power', 1100],
    ['1,5 kW', 'power', 1500],
    ['750 W', 'power', 750],
    ['1 1/2 hp', 'power', 1118.55],
    ['5 1/2 in', 'length', 139.7],
    ['4"', 'length', 101.6],
    ['½ in', 'length', 12.7],
    ['1½ in', 'length', 38.1],
    ['230', 'voltage', 230],
    ['1,420 rpm', 'speed', 1420],
    ['1 420 rpm', 'speed', 1420],
    ['1420 r/min', 'speed', 1420],
    ['24,000', 'speed', 24000],
    ['7,5 A', 'current', 7.5],
    ['7.5A', 'current', 7.5],
    ['500 mA', 'current', 0.5],
    ['2.5 mm²', 'area', 2.5],
    ['2.5 mm2', 'area', 2.5],
    ['14 AWG', 'area', 2.081],
    ['#12 awg', 'area', 3.309],
    ['2/0 AWG', 'area', 67.43],
    ['100 ft/min', 'surfaceSpeed', 30.48],
    ['7 ft lb', 'torque', 9.4907],
    ['7 lbf·ft', 'torque', 9.4907],
    ['10 Nm', 'torque', 10],
    ['86 °F', 'temperature', 30],
    ['79 %', 'fraction', 0.79],
    ['1.234,5 mm', 'length', 1234.5],
    ['1,234.5 mm', 'length', 1234.5],
  ])('%s as %s', (text, dimension, value) => {
    expect(read(text, dimension)).toBeCloseTo(value, 2)
  })
  test('a bare number takes the unit the shop sees', () => {
    expect(read('2', 'power', 'imperial')).toBeCloseTo(1491.4, 1)
    expect(read('4', 'length', 'imperial')).toBeCloseTo(101.6, 6)
    expect(read('14', 'area', 'imperial')).toBeCloseTo(2.081, 3)
    expect(read('2', 'power', 'metric')).toBe(2000)
  })
  test('unknown units and wrong dimensions name what is permitted', () => {
    expect(refusal('230 V', 'current')).toBe('"V" is a voltage; this takes a current in A, mA.')
    expect(refusal('3 furlongs', 'length')).toBe(
      '"furlongs" is not a unit known here; this takes a length in mm, cm, m, in, ft.',
    )
    expect(refusal('5 kW', 'number')).toBe('"kW" is a power; this takes a number without a unit.')
  })
  test.each([
    '',
    '  ',
    'abc',
    'NaN',
    'Infinity',
    '1e999',
    '--5',
    '5..5',
    '1/0 in',
    '3//4',
    '1,2,3',
    '🙂',
    '<script>',
    '5 5 5',
  ])('garbage is refused: %j', (text) => {
    expect(parseQuantity(text, 'length').ok).toBe(false)
  })
  test('never throws, whatever is pasted', () => {
    fc.assert(
      fc.property(
        fc.string({ maxLength: 60 }),
        fc.constantFrom(...(Object.keys(dimensions) as Dimension[])),
        (text, dimension) => {
          const parsed = parseQuantity(text, dimension)
          expect(parsed.ok ? Number.isFinite(parsed.value) : parsed.message.length > 0).toBe(true)
        },
      ),
      { numRuns: 2000 },
    )
  })
})

describe('pairs', () => {
  test('share the unit written last', () => {
    expect(parsePair('230/400 V', 'voltage')).toEqual({ ok: true, value: [230, 400] })
    expect(parsePair('6,0 / 3,5 A', 'current')).toEqual({ ok: true, value: [6, 3.5] })
    expect(parsePair('230', 'voltage')).toEqual({ ok: true, value: [230] })
  })
  test.each<[string, 'voltage' | 'current', number[]]>([
    ['208-230/460', 'voltage', [230, 460]],
    ['220-240 / 380-415 V', 'voltage', [230, 400]],
    ['115/230', 'voltage', [115, 230]],
    ['220-440 V', 'voltage', [220, 440]],
    ['Δ/Y 230/400 V', 'voltage', [230, 400]],
    ['230VΔ/400VY', 'voltage', [230, 400]],
    ['AC 220-240V', 'voltage', [230]],
    ['3~ 400 V', 'voltage', [400]],
    ['5.2-5.0/2.5', 'current', [5, 2.5]],
    ['6,0/3,5 A', 'current', [6, 3.5]],
    ['3/4 A', 'current', [3, 4]],
  ])('%s is read as plates print it', (text, dimension, value) =>
    expect(parsePair(text, dimension)).toEqual({ ok: true, value }),
  )
  test('three are too many', () => expect(parsePair('1/2/3 V', 'voltage').ok).toBe(false))
})

describe('printing', () => {
  test.each<[Dimension, number, UnitSystem, string]>([
    ['power', 1500, 'metric', '1.5 kW'],
    ['power', 60, 'metric', '60 W'],
    ['power', 745.7, 'imperial', '1 hp'],
    ['speed', 24000, 'metric', '24 000 rpm'],
    ['length', 101.6, 'imperial', '4 in'],
    ['fraction', 0.0533, 'metric', '5.3 %'],
    ['area', 2.08, 'imperial', '14 AWG'],
    ['current', 0, 'metric', '0 A'],
    ['voltage', -0.001, 'metric', '0 V'],
    ['angle', 161.19, 'metric', '161.2°'],
  ])('%s %d %s', (dimension, value, system, text) => {
    expect(printQuantity({ dimension, value }, system).replace(/[\u00a0\u202f]/g, ' ')).toBe(text)
  })
  test('a number never parts from its unit', () => {
    expect(printQuantity({ dimension: 'speed', value: 1420 })).not.toMatch(/ /)
  })
  test('round trip: what is printed reads back to what was printed', () => {
    const systems: UnitSystem[] = ['metric', 'imperial']
    fc.assert(
      fc.property(
        fc.constantFrom(...(Object.keys(dimensions) as Dimension[])),
        fc.constantFrom(...systems),
        fc.double({ min: 1e-3, max: 1e5, noNaN: true }),
        (dimension, system, value) => {
          if (dimension === 'area' && system === 'imperial') return
          const once = read(printQuantity({ dimension, value }, system), dimension, system)
          const twice = read(printQuantity({ dimension, value: once }, system), dimension, system)
          expect(Math.abs(twice - once)).toBeLessThanOrEqual(1e-9 * Math.max(1, Math.abs(once)))
          const unit = dimensionKind(dimension).units.find((u) => u.symbol === dimensionKind(dimension).shown[system])
          const step = 0.5 * (unit?.factor ?? 1) * 10 ** -dimensionKind(dimension).decimals
          expect(Math.abs(once - value)).toBeLessThanOrEqual(
            Math.max(step, Math.abs(value) * 10 ** (1 - dimensionKind(dimension).digits)) + 1e-9,
          )
        },
      ),
      { numRuns: 1500 },
    )
  })
  test('gauges round trip', () => {
    for (let n = -3; n <= 40; n += 1)
      expect(
        read(printQuantity({ dimension: 'area', value: gaugeArea(n) }, 'imperial'), 'area', 'imperial'),
      ).toBeCloseTo(gaugeArea(n), 9)
  })
  test('a sentence keeps its amounts unprinted until it is said', () => {
    const said = message`The drive gives ${volts(230)}.`
    expect(messageText(said).replace(/\u00a0/g, ' ')).toBe('The drive gives 230 V.')
  })
})

describe('shop words for the wall', () => {
  const at = (text: string) => {
    const parsed = parseSupplyWords(text)
    if (!parsed.ok) throw new Error(parsed.message)
    return parsed.value
  }
  test.each([
    ['two hot legs', { voltageV: 240, phases: 1, topology: 'line-line' }],
    ['2 hots', { voltageV: 240, phases: 1, topology: 'line-line' }],
    ['220 two hot legs', { voltageV: 220, phases: 1, topology: 'line-line' }],
    ['one hot leg', { voltageV: 120, phases: 1, topology: 'line-neutral' }],
    ['110', { voltageV: 110 }],
    ['240 V single phase', { voltageV: 240, phases: 1 }],
    ['400 V three-phase', { voltageV: 400, phases: 3, topology: 'three-phase' }],
    ['3 phase 208', { voltageV: 208, phases: 3, topology: 'three-phase' }],
    ['230', { voltageV: 230 }],
    ['230 V single phase 50 Hz', { voltageV: 230, phases: 1, frequencyHz: 50 }],
    [
      '230 V live and neutral, 50 Hz, 16 A',
      { voltageV: 230, phases: 1, topology: 'line-neutral', frequencyHz: 50, breakerA: 16 },
    ],
    ['230V L+N 50Hz C16', { voltageV: 230, phases: 1, topology: 'line-neutral', frequencyHz: 50 }],
    [
      '120 V one hot 60 cycles 20 amp breaker',
      { voltageV: 120, phases: 1, topology: 'line-neutral', frequencyHz: 60, breakerA: 20 },
    ],
    ['two hots 60 Hz, breaker 30', { voltageV: 240, phases: 1, topology: 'line-line', frequencyHz: 60, breakerA: 30 }],
    ['400 V 3ph 32A', { voltageV: 400, phases: 3, topology: 'three-phase', breakerA: 32 }],
  ])('%s', (text, means) => expect(at(text)).toEqual(means))
  test('110/115/120 are one nominal, and so are 220/230/240 and 380/400/415', () => {
    expect(new Set([110, 115, 117, 120].map(nominalVoltage))).toEqual(new Set([120]))
    expect(new Set([220, 230, 240].map(nominalVoltage))).toEqual(new Set([230]))
    expect(new Set([380, 400, 415].map(nominalVoltage))).toEqual(new Set([400]))
    expect(sameNominal(230, 208)).toBe(false)
  })
  test('what is no wall is refused', () => {
    for (const text of ['garage', '5 V', '9000', '', 'live and neutral', '50 Hz', '16 A'])
      expect(parseSupplyWords(text).ok).toBe(false)
  })
})

describe('what people type into a field', () => {
  test.each<[string, Dimension, number]>([
    ['1-1/2 hp', 'power', 1.5 * 745.699871582],
    ['2 PS', 'power', 2 * 735.49875],
    ['1 CV', 'power', 735.49875],
    ['60 cycles', 'frequency', 60],
    ['1420 tr/min', 'speed', 1420],
    ['1.420 U/min', 'speed', 1420],
    ['2850 min-1', 'speed', 2850],
    ['5-1/2 in', 'length', 5.5 * 25.4],
    ['2 3/8"', 'length', 2.375 * 25.4],
    ['13 A fuse', 'current', 13],
    ['C 16 A', 'current', NaN],
    ['20 amp breaker', 'current', 20],
    ['AC 220-240V', 'voltage', 230],
    ['208-230', 'voltage', 230],
    ['Δ 230 V', 'voltage', 230],
    ['400V Y', 'voltage', 400],
    ['230 V ~', 'voltage', 230],
    ['5.2-5.0 A', 'current', 5],
  ])('%s', (text, dimension, value) => {
    const read = parseQuantity(text, dimension)
    if (Number.isNaN(value)) expect(read.ok).toBe(false)
    else expect(read).toEqual({ ok: true, value: expect.closeTo(value, 6) })
  })
  test.each<[string, Dimension, RegExp]>([
    ['6/3 A', 'current', /two values, one for each way of linking; this takes one, for example 6 A/],
    ['230/400', 'voltage', /for example 230 V/],
    ['10-12 mm', 'length', /is a range; this takes one value, for example 10 mm/],
    ['190-440 V', 'voltage', /is a range/],
  ])('%s is refused with an example that works', (text, dimension, message) => {
    const read = parseQuantity(text, dimension)
    expect(read.ok ? '' : read.message).toMatch(message)
    const example = /for example (.*)\.$/.exec(read.ok ? '' : read.message)?.[1] ?? ''
    expect(parseQuantity(example, dimension).ok).toBe(true)
  })
  test('a wall of 120/240 asks which two wires, and what it says then reads', () => {
    const read = parseSupplyWords('120/240')
    expect(read.ok).toBe(false)
    const said = [...(read.ok ? '' : read.message).matchAll(/"([^"]+)"/g)].map((m) => m[1] ?? '')
    expect(said.slice(1).map((text) => parseSupplyWords(text))).toEqual([
      { ok: true, value: { voltageV: 240, phases: 1, topology: 'line-line' } },
      { ok: true, value: { voltageV: 120, phases: 1, topology: 'line-neutral' } },
    ])
  })
})
