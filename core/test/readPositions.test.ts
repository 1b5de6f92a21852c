import { describe, expect, test } from '@jest/globals'
import { readPositions } from '../src/survey/readPositions'

/** Lists as they stand on lever plates, in notes and in spreadsheets: each name with its spindle rpm. */
const lists: [text: string, positions: Record<string, number>][] = [
  ['A 210\nB 570\nC 1420', { A: 210, B: 570, C: 1420 }],
  ['A 210, B 570 at 50 Hz', { A: 210, B: 570 }],
  ['A: 210 rpm; B: 570 rpm', { A: 210, B: 570 }],
  ['low: 45, 70, 120', { 'low 1': 45, 'low 2': 70, 'low 3': 120 }],
  ['70 120 200 340 560 950', { 1: 70, 2: 120, 3: 200, 4: 340, 5: 560, 6: 950 }],
  ['70/120/200/340', { 1: 70, 2: 120, 3: 200, 4: 340 }],
  ['1: 120\n2: 200\n3: 340', { 1: 120, 2: 200, 3: 340 }],
  ['1 - 120\n2 - 200', { 1: 120, 2: 200 }],
  ['1\t120\n2\t200', { 1: 120, 2: 200 }],
  ['L1 = 45 rpm\nL2 = 70 rpm\nH1 = 450 rpm', { L1: 45, L2: 70, H1: 450 }],
  ['Back gear in 55\nBack gear out 330', { 'Back gear in': 55, 'Back gear out': 330 }],
  ['Low range - 60 rpm\nHigh range - 1,200 rpm', { 'Low range': 60, 'High range': 1200 }],
  ['Lever\tSpindle rpm\nI\t90\nII\t180\nIII\t355', { I: 90, II: 180, III: 355 }],
  ['Stufe; U/min\n1; 250\n2; 1.420', { 1: 250, 2: 1420 }],
  ['Position | RPM | Motor rpm\nA | 500 | 1725\nB | 1000 | 1725', { A: 500, B: 1000 }],
  ['slow 320 r/min\n\n  fast 2.800 U/min  ', { slow: 320, fast: 2800 }],
  ['Speeds: 300, 700, 1400 RPM (motor 1425 rpm)', { 'Speeds 1': 300, 'Speeds 2': 700, 'Speeds 3': 1400 }],
  ['pos 1 = 120\npos 2 = 200', { 'pos 1': 120, 'pos 2': 200 }],
]

describe('a list of speeds', () => {
  test.each(lists)('%j', (text, wanted) => {
    const { positions, notRead } = readPositions(text)
    expect(notRead).toEqual([])
    expect(Object.fromEntries(positions.map((p) => [p.name, p.knownSpindleRpm]))).toEqual(wanted)
  })

  test('the motor’s speed or hertz is that of the line, or of all', () => {
    expect(readPositions('A 210\nB 570\nmotor 1420 rpm').positions.map((p) => p.knownMotorRpm)).toEqual([1420, 1420])
    expect(readPositions('at 60 Hz\nA 210\nB 570').positions.map((p) => p.knownHz)).toEqual([60, 60])
    expect(readPositions('A 210 at 50 Hz\nB 570 at 25 Hz').positions.map((p) => p.knownHz)).toEqual([50, 25])
    expect(readPositions('A 570 @ 1420').positions).toEqual([{ name: 'A', knownSpindleRpm: 570, knownMotorRpm: 1420 }])
    expect(readPositions('Lever,Spindle rpm,Motor rpm\nA,570,1420\nB,1420,2800').positions).toEqual([
      { name: 'A', knownSpindleRpm: 570, knownMotorRpm: 1420 },
      { name: 'B', knownSpindleRpm: 1420, knownMotorRpm: 2800 },
    ])
  })

  test('a ratio is motor turns to spindle turns', () => {
    expect(readPositions('low 8.3 : 1\nhigh 1:1.5').positions).toEqual([
      { name: 'low', knownRatio: 1 / 8.3 },
      { name: 'high', knownRatio: 1.5 },
    ])
  })

  test('what is no speed is told, and never guessed', () => {
    expect(readPositions('fast\nA 210')).toMatchObject({ notRead: ['fast'], positions: [{ name: 'A' }] })
    expect(readPositions('Lever\tRPM\nA\t\nB\t300')).toMatchObject({ notRead: ['A'], positions: [{ name: 'B' }] })
    expect(readPositions('').positions).toEqual([])
    expect(readPositions('0').positions).toEqual([])
    expect(readPositions(Array.from({ length: 60 }, (_, i) => `${i + 100}`).join('\n')).positions).toHaveLength(24)
  })
})
