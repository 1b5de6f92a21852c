import { expect, test } from '@jest/globals'
import fc from 'fast-check'
import { hourOf, shareOfHour, trimSlots } from '../src/card/trimSlots'
import { evaluate } from '../src/conversion/evaluate'
import { applyPatch, set, type Patch } from '../src/plan'
import { demoPlan } from './demoPlans'
import { jumperPositions } from './parts'

const trim = { id: 't', prints: 't', sets: 'most-speed' } as const

test('a slot in the middle of a turn from seven to five points up', () => {
  expect(hourOf({ ...trim, fromHour: 7, toHour: 5 }, 0.5)).toBe(12)
  expect(hourOf({ ...trim, fromHour: 7, toHour: 5 }, 0)).toBe(7)
  expect(hourOf({ ...trim, fromHour: 7, toHour: 5, moreIs: 'counter-clockwise' }, 0)).toBe(5)
})

test('hour and share are inverse, whichever way is more; no slot points into the gap', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 0, max: 12 }),
      fc.integer({ min: 0, max: 12 }),
      fc.double({ min: 0, max: 1, noNaN: true }),
      fc.constantFrom('clockwise', 'counter-clockwise'),
      (fromHour, toHour, share, moreIs) => {
        // A whole turn has one hour for both its ends.
        fc.pre((toHour - fromHour + 12) % 12 !== 0)
        const one = { ...trim, fromHour, toHour, moreIs }
        expect(shareOfHour(one, hourOf(one, share))).toBeCloseTo(share, 6)
      },
    ),
  )
  expect(shareOfHour({ ...trim, fromHour: 7, toHour: 5 }, 6)).toBeUndefined()
})

test('each trim of the shaper has its slot, its steps with a meter, and the barrier first', () => {
  const plan = applyPatch(demoPlan('bench-shaper'), [set('settings.chosen.maximumHz', 60)])
  const slots = trimSlots(plan, evaluate(plan).settings)
  const top = slots.find(({ trim: t }) => t.sets === 'most-speed')
  // 40 to 80 Hz over the turn: 60 is its middle.
  expect(top).toMatchObject({ hour: 12, share: 0.5 })
  expect(slots.every(({ steps }) => steps.length > 1 && /barrier/.test(steps[0] ?? ''))).toBe(true)
  const beyond = trimSlots(
    applyPatch(plan, [set('settings.chosen.maximumHz', 90)]),
    evaluate(applyPatch(plan, [set('settings.chosen.maximumHz', 90)])).settings,
  )
  expect(beyond.find(({ trim: t }) => t.sets === 'most-speed')).toMatchObject({ share: 1, beyond: 'most' })
})

test('jumpers and switches inside are wanted in the position that wall, motor and wiring ask for', () => {
  const at = (name: string, ...patch: Patch) =>
    Object.fromEntries(
      jumperPositions(applyPatch(demoPlan(name), patch)).map(({ jumper, position }) => [jumper.id, position]),
    )
  // 240 V at the wall; 3.2 A on the plate: to 4 A.
  expect(at('bench-shaper')).toEqual({ volts: '230', amps: '2' })
  expect(at('bench-shaper', set('supply.voltageV', 120))).toMatchObject({ volts: '115' })
  expect(at('bench-shaper', set('supply.voltageV', 400))).toMatchObject({ volts: undefined })
  expect(at('turret-mill', set('wiring.logic', 'source'))).toEqual({ logic: 'hi' })
  expect(at('turret-mill', set('wiring.logic', 'sink'))).toEqual({ logic: 'lo' })
  expect(at('long-bed-lathe', set('supply.earthing', 'floating'))).toEqual({ emc: 'out', ai: 'V' })
  expect(at('long-bed-lathe', set('supply.earthing', undefined))).toMatchObject({ emc: undefined })
})
