import { describe, expect, it } from '@jest/globals'
import fc from 'fast-check'
import { emptyPlan, type Plan } from '../src/plan'
import { clashes, netsOf, openEnds } from '../src/wiring/nets'
import { wiringOf } from '../src/wiring/wiringOf'
import { arbitraryPlan } from './arbitraryPlan'
import { demoPlans } from './demoPlans'
import { shippedManuals } from './shippedManuals'

/** A plan of which nobody has changed a wire by hand: what the builder makes of it must be sound. */
const untouched = arbitraryPlan.map((plan): Plan => {
  return { ...plan, wiring: { ...plan.wiring, changes: undefined } }
})

const faultsOf = (plan: Plan): string[] => {
  const wiring = wiringOf(plan)
  const lacking = wiring.lacks.length > 0
  return [
    ...clashes(netsOf(wiring)).map(({ potentials, ends }) => `${potentials.join()} meet: ${ends.join()}`),
    ...wiring.wires
      .filter(({ from, to }) => ![from, to].every((end) => netsOf(wiring).terminal(end)))
      .map(({ key }) => `${key} ends nowhere`),
    ...(lacking ? [] : openEnds(wiring).map((end) => `open: ${end}`)),
  ]
}

describe('the wiring that a plan makes', () => {
  it('is sound on every demo plan with every manual', () => {
    for (const [name, plan] of demoPlans)
      for (const manual of [undefined, ...shippedManuals.values()])
        expect({ name, manual: manual?.name, faults: faultsOf({ ...plan, manual }) }).toEqual({
          name,
          manual: manual?.name,
          faults: [],
        })
  })

  it('joins no two potentials and leaves no terminal open that needs a wire', () => {
    fc.assert(
      fc.property(untouched, (plan) => {
        expect(faultsOf(plan)).toEqual([])
      }),
      { numRuns: 600 },
    )
  })

  it('has every wire on one sheet, under a number of its own that no terminal prints', () => {
    fc.assert(
      fc.property(untouched, (plan) => {
        const { wires, devices } = wiringOf({ ...plan, wiring: { ...plan.wiring, numbers: undefined } })
        expect(new Set(wires.map((w) => w.key)).size).toBe(wires.length)
        expect(new Set(wires.map((w) => w.number)).size).toBe(wires.length)
        const printed = new Set(devices.flatMap((d) => d.terminals.map((t) => t.prints)))
        expect(wires.filter((w) => printed.has(String(w.number)))).toEqual([])
      }),
    )
  })

  it('is the same after a choice was changed and changed back', () => {
    fc.assert(
      fc.property(untouched, untouched, (plan, other) => {
        const before = wiringOf(plan)
        wiringOf({ ...plan, controls: other.controls, wiring: other.wiring })
        expect(wiringOf(structuredClone(plan))).toEqual(before)
      }),
      { numRuns: 50 },
    )
  })

  it('is there for an empty plan, on assumed terminals', () => {
    const wiring = wiringOf(emptyPlan('Lathe'))
    expect(wiring.assumed).toBe(true)
    expect(wiring.wires.length).toBeGreaterThan(5)
  })
})
