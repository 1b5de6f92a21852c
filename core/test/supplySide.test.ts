import { describe, expect, test } from '@jest/globals'
import { evaluate } from '../src/evaluate/evaluate'
import { set, type Change } from '../src/plan'
import { beforeConverter, spoiled } from './mistakes'

const evaluated = (...patch: Change[]) => evaluate(spoiled(...patch))
const line = (evaluation: ReturnType<typeof evaluated>, id: string) => evaluation.judged.find((l) => l.id === id)
const found = (evaluation: ReturnType<typeof evaluated>, id: string) =>
  evaluation.findings.find((f) => f.id === id || f.id.startsWith(`${id}/`))

describe('plug and lead before or behind a converter', () => {
  test('which side they lie on is asked', () => {
    const asked = evaluated(...beforeConverter, set('supply.leadSide', undefined))
    expect(line(asked, 'plug-and-lead.plug')).toMatchObject({ missing: ['supply.leadSide'] })
  })
  test('at the wall they carry the amps of the wall', () => {
    const atWall = evaluated(...beforeConverter)
    const wallA = atWall.figures['supply.wallA']?.value ?? 0
    const driveA = atWall.figures['drive.inputA']?.value ?? 0
    expect(wallA).toBeGreaterThan(driveA)
    const between = Math.ceil(driveA / 0.8) + 1
    const plug = (side: 'wall' | 'drive') =>
      found(
        evaluated(
          ...beforeConverter,
          set('supply.plugA', between),
          set('supply.leadSide', side),
          set('supply.breakerA', between),
          set('supply.plugKind', 'industrial'),
        ),
        'plug-and-lead.plug',
      )?.severity
    expect([plug('wall'), plug('drive')]).toEqual(['stop', undefined])
  })
})

test('the cable’s finding belongs to the breaker that is there, and tells the other size too', () => {
  const { figures } = evaluated(set('supply.cableM', 10), set('supply.laying', 'surface'))
  expect([figures['supply.neededMm2']?.value, figures['supply.neededAskedMm2']?.value]).toEqual([4, 2.5])
})

describe('heat in the box', () => {
  const box = [
    set('installation.place', 'in-box'),
    set('installation.boxWidthMm', 500),
    set('installation.boxHeightMm', 600),
    set('installation.boxDepthMm', 250),
  ] as const
  const inside = (...patch: Change[]) => evaluated(...box, ...patch).figures['installation.insideC']?.value ?? NaN
  test('is that of its duty, and less with a fan', () => {
    expect(inside(set('installation.boxDuty', 'half'))).toBeLessThan(inside())
    expect(inside(set('installation.boxDuty', 'seldom'))).toBeLessThan(inside(set('installation.boxDuty', 'half')))
    expect(inside(set('installation.filterFanM3PerH', 100))).toBeLessThan(inside())
  })
  test('is one finding: what the drive then gives hangs under it', () => {
    const evaluation = evaluated(...box)
    expect(found(evaluation, 'drive.derated')?.follows).toBe('installation.box-hot')
  })
})

test('a small drive is never planned for more input than its output amps draw', () => {
  const input = (amps: number) =>
    evaluated(set('drive.ratedOutputA', amps), set('drive.ratedInputA', undefined)).figures['drive.computedInputA']
      ?.value ?? NaN
  expect(input(3) / input(7)).toBeCloseTo(0.5, 6)
  expect(input(12)).toBe(input(7))
})
