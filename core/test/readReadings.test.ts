import { describe, expect, test } from '@jest/globals'
import { readingsCsv } from '../src/readings/readingsCsv'
import { readReadings } from '../src/readings/readReadings'
import type { Reading } from '../src/readings/measurement'

const takenAt = '2026-03-01T10:00:00.000Z'
const positions = [
  { id: 'slow', name: 'Slow' },
  { id: 'back', name: 'Back gear' },
  { id: 'two', name: '2' },
  { id: 'a', name: 'A' },
]
const read = (text: string, system: 'metric' | 'imperial' = 'metric') =>
  readReadings(text, { positions, system, takenAt })
/** Without the hour, which is the same for all. */
const bare = (reading: Reading) => Object.fromEntries(Object.entries(reading).filter(([key]) => key !== 'takenAt'))

const lines: [string, Partial<Reading>[]][] = [
  ['412 rpm at 50 Hz on slow', [{ kind: 'spindle-speed', value: 412, hz: 50, positionId: 'slow' }]],
  ['Back gear: 96 r/min @ 50 hz', [{ kind: 'spindle-speed', value: 96, hz: 50, positionId: 'back' }]],
  ['slow 418 rpm, motor 1425 rpm', [{ kind: 'spindle-speed', value: 418, motorRpm: 1425, positionId: 'slow' }]],
  ['motor 1425 rpm at 50 Hz', [{ kind: 'motor-speed', value: 1425, hz: 50 }]],
  ['1.420 U/min at 50Hz', [{ kind: 'spindle-speed', value: 1420, hz: 50 }]],
  ['commanded 12000 rpm, 12170 rpm', [{ kind: 'spindle-speed', value: 12_170, commandedRpm: 12_000 }]],
  ['S8000 reads 8120 rpm', [{ kind: 'spindle-speed', value: 8120, commandedRpm: 8000 }]],
  ['coast 14 s from 1420 rpm', [{ kind: 'coast', value: 14, fromRpm: 1420 }]],
  ['coasts 6.5 sec from 700 rpm to rest on slow', [{ kind: 'coast', value: 6.5, fromRpm: 700, positionId: 'slow' }]],
  ['coast 4 s from 1400 to 700 rpm', [{ kind: 'coast', value: 4, fromRpm: 1400, toRpm: 700 }]],
  ['up in 3,5 s at 50 Hz', [{ kind: 'run-up', value: 3.5, hz: 50, note: 'in' }]],
  ['stops in 1.2 min', [{ kind: 'run-down', value: 72, note: 'stops in' }]],
  ['U 3.1 A', [{ kind: 'amps', value: 3.1, lead: 'u' }]],
  ['L2 3.3 amps at 50 Hz', [{ kind: 'amps', value: 3.3, lead: 'v', hz: 50 }]],
  ['400 V at 50 Hz', [{ kind: 'volts', value: 400, hz: 50 }]],
  ['bearing 62 °C', [{ kind: 'temperature', value: 62, note: 'bearing' }]],
  ['200 Mohm', [{ kind: 'insulation', value: 200 }]],
  ['chuck loosens at 60 Nm', [{ kind: 'seat-torque', value: 60, note: 'chuck loosens' }]],
  ['blade 80 ft/min at 50 Hz', [{ kind: 'surface-speed', value: 24.384, hz: 50, note: 'blade' }]],
  ['dial 5', [{ kind: 'dial', value: 5 }]],
  ['412 rpm dial 5', [{ kind: 'spindle-speed', value: 412, dial: 5 }]],
  [
    '412 rpm at 50 Hz 2.1 A',
    [
      { kind: 'spindle-speed', value: 412, hz: 50 },
      { kind: 'amps', value: 2.1, hz: 50 },
    ],
  ],
  ['on 2: 800 rpm at 50 Hz', [{ kind: 'spindle-speed', value: 800, hz: 50, positionId: 'two' }]],
  ['A: 3.1 A at 50 Hz', [{ kind: 'amps', value: 3.1, hz: 50, positionId: 'a' }]],
  ['50 Hz 1402 rpm slow', [{ kind: 'spindle-speed', value: 1402, hz: 50, positionId: 'slow' }]],
]

describe('lines as people note them', () => {
  test.each(lines)('%s', (line, wanted) => {
    const { readings, notRead } = read(line)
    expect(notRead).toEqual([])
    expect(readings.map(bare)).toEqual(wanted.map((w) => ({ ...w, value: expect.closeTo(w.value ?? 0, 6) })))
  })

  test('a day in the line is the day of the reading', () => {
    const [one] = read('2026-02-03 09:30 412 rpm at 50 Hz').readings
    expect(one?.takenAt).toBe(new Date('2026-02-03T09:30').toISOString())
  })

  test.each([
    ['412', /no unit/],
    ['14 s', /Say coast, up or down/],
    ['the slow belt', /No number|no number/],
    ['412 rpm at 50 Hz 7', /7 was not understood/],
    ['9000000 rpm at 50 Hz', /from 0.01 to/],
    ['x'.repeat(2000), /too long/],
  ])('%s is told, not guessed', (line, why) => {
    const { readings, notRead } = read(line)
    expect(readings).toEqual([])
    expect(notRead[0]?.why).toMatch(why)
  })
})

describe('tables', () => {
  test('columns from a spreadsheet: a reading a column, settings beside', () => {
    const { readings, notRead } = read('Belt\tHz\tRPM\tU\tV\tW\nslow\t50\t412\t3.1\t3.2\t3.1\nback gear\t50\t96\t\t\t3')
    expect(notRead).toEqual([])
    expect(readings.map(bare)).toEqual([
      { kind: 'spindle-speed', value: 412, hz: 50, positionId: 'slow' },
      { kind: 'amps', value: 3.1, hz: 50, positionId: 'slow', lead: 'u' },
      { kind: 'amps', value: 3.2, hz: 50, positionId: 'slow', lead: 'v' },
      { kind: 'amps', value: 3.1, hz: 50, positionId: 'slow', lead: 'w' },
      { kind: 'spindle-speed', value: 96, hz: 50, positionId: 'back' },
      { kind: 'amps', value: 3, hz: 50, positionId: 'back', lead: 'w' },
    ])
  })

  test('semicolons and decimal commas, units in headings', () => {
    const { readings } = read('Hz;Coast (s);From rpm;Bearing (°F)\n50;12,5;1420;140')
    expect(readings.map(bare)).toEqual([
      { kind: 'coast', value: 12.5, hz: 50, fromRpm: 1420 },
      { kind: 'temperature', value: expect.closeTo(60, 6), hz: 50, fromRpm: 1420 },
    ])
  })

  test('a position that is not there, and words where a number should be, are told by their line', () => {
    const { readings, notRead } = read('Position,Hz,rpm\nFast,50,900\nSlow,50,quick\nSlow,50,412')
    expect(readings).toHaveLength(1)
    expect(notRead.map(({ line }) => line)).toEqual(['Fast | 50 | 900', 'Slow | 50 | quick'])
  })

  test('what was written comes back as it was', () => {
    const readings: Reading[] = [
      { kind: 'amps', value: 3.123456789, lead: 'v', hz: 33.3, takenAt, by: 'A "quoted", name', note: '=SUM(A1)' },
      {
        kind: 'coast',
        value: 0.1 + 0.2,
        fromRpm: 1420,
        toRpm: 300,
        positionId: 'back',
        takenAt,
        instrument: 'Stopwatch',
      },
      { kind: 'temperature', value: -3.5, of: 'bearing', takenAt },
      { kind: 'dial', value: 7, hz: 60, takenAt },
      { kind: 'spindle-speed', value: 8120, commandedRpm: 8000, takenAt },
      { kind: 'spindle-hours', value: 120.5, takenAt },
    ]
    const back = read(readingsCsv(readings, positions), 'imperial')
    expect(back.notRead).toEqual([])
    expect(back.readings).toEqual(readings.map((r) => ({ ...r, value: Number(r.value.toPrecision(12)) })))
  })
})
