import { describe, expect, test } from '@jest/globals'
import { fieldAt, printQuantity, type PlanPath, type UnitSystem } from '@zesty/core'
import fc from 'fast-check'
import { printedAt, readQuantity } from '../src/parts/quantityText'
import { isTypedBack } from '../src/parts/TypedField'

const paths = [
  'motor.powerW',
  'motor.ratedSpeedRpm',
  'motor.lowVoltageA',
  'motor.ratedFrequencyHz',
  'motor.powerFactor',
  'supply.cableM',
  'survey.positions.0.transmission.0.driverMm',
  'survey.positions.0.transmission.0.centreMm',
  'survey.positions.0.knownSurfaceMPerMin',
  'survey.holders.0.massKg',
  'survey.seatTorqueNm',
  'survey.noseThreadMm',
  'supply.ambientC',
  'checks.testMOhm',
  'drive.busFarad',
  'settings.chosen.accelerationS',
] as const satisfies readonly PlanPath[]
const systems: readonly UnitSystem[] = ['metric', 'imperial']

/** A value that the field may hold, by a share of its range on a scale where small ones count too. */
const within = (path: PlanPath, share: number): number => {
  const { min = 0, max = 1000 } = fieldAt(path)
  const least = Math.max(min, 1e-9)
  return min > 0 ? least * (max / least) ** share : min + (max - min) * share
}

/** As somebody may type what stands there: blanks left out, a comma, other case. */
const ways: readonly ((printed: string) => string)[] = [
  (printed) => printed,
  (printed) => printed.replace(/ /g, ''),
  (printed) => ` ${printed.toLowerCase().replace('mω', 'MΩ').replace('µf', 'µF')} `,
  (printed) => (/^[\d ]+\.\d{1,2} /.test(printed) ? printed.replace('.', ',') : printed),
]

describe.each(systems)('what is printed, typed back in %s', (system) => {
  test.each(paths)('into %s changes nothing', (path) => {
    const read = (text: string) => readQuantity(path, text, system)
    fc.assert(
      fc.property(fc.double({ min: 0.05, max: 0.95, noNaN: true }), fc.constantFrom(...ways), (share, way) => {
        const held = within(path, share)
        const printed = printedAt(path, held, system)
        expect([printed, way(printed), isTypedBack(way(printed), printed, read)]).toEqual([printed, way(printed), true])
      }),
      { numRuns: 200 },
    )
  })
  test.each(paths)('of %s what differs by more than the print shows is a change', (path) => {
    const read = (text: string) => readQuantity(path, text, system)
    const [held, other] = [within(path, 0.5), within(path, 0.6)]
    expect(isTypedBack(printedAt(path, other, system), printedAt(path, held, system), read)).toBe(false)
  })
})

test('inches keep their thousandths', () => {
  const inches = (value: number) => printQuantity({ value: value * 25.4, dimension: 'length' }, 'imperial')
  expect([2.375, 12.125, 0.0625, 3].map(inches)).toEqual([
    '2.375\u00a0in',
    '12.125\u00a0in',
    '0.063\u00a0in',
    '3\u00a0in',
  ])
})
