import { describe, expect, it } from '@jest/globals'
import fc from 'fast-check'
import { wiringJudgements } from '../src/findings/wiring'
import { emptyPlan, type Plan } from '../src/plan'
import { clashes, netsOf, openEnds } from '../src/wiring/nets'
import { wiringOf } from '../src/wiring/wiringOf'
import { runs } from './effort'
import { arbitraryPlan } from './arbitraryPlan'
import { demoPlan, demoPlans } from './demoPlans'
import { shippedManuals } from './shippedManuals'
import { factsOf } from './parts'

/** A plan of which nobody has changed a wire by hand: what the builder makes of it must be sound. */
const untouched = arbitraryPlan.map((plan): Plan => {
  return { ...plan, wiring: { ...plan.wiring, changes: undefined } }
})

/** Checks of what leads where, which nobody but the builder decides. */
const ofTheBuilder = new Set<string>([
  'wiring.stop-way',
  'wiring.torque-off-bridge',
  'wiring.contactor-enable',
  'wiring.chain-complete',
  'wiring.pendant',
  'wiring.clash',
  'wiring.supply-on-motor',
  'wiring.bus',
  'wiring.loads-on-output',
  'wiring.earth',
  'wiring.frame',
  'wiring.open-ends',
  'wiring.mains-on-control',
  'wiring.sink-and-source',
  'wiring.knob-reversed',
])

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
      runs(600),
    )
  })

  it('is never what its own checks stop: whatever was chosen, what must stop it does', () => {
    const own = wiringJudgements.filter(({ id }) => ofTheBuilder.has(id))
    expect(own).toHaveLength(ofTheBuilder.size)
    fc.assert(
      fc.property(untouched, (typed) => {
        const facts = factsOf(typed)
        if (facts.wiring.wiring.lacks.length > 0) return
        const stops = own.flatMap(({ id, ask }) =>
          [ask(facts)].flat().some((answer) => 'severity' in answer && answer.severity === 'stop') ? [id] : [],
        )
        expect(stops).toEqual([])
      }),
      runs(400),
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

  it('lands where the drive listens: with a code held it wants no line, and is sound with every value of every code', () => {
    for (const manual of shippedManuals.values())
      for (const { code, values } of manual.codes.filter((c) => c.terminal !== undefined || c.macro === true))
        for (const { value } of values) {
          const plan = { ...demoPlan('gap-bed-lathe'), manual }
          plan.wiring = { ...plan.wiring, codesHeld: { [code]: value } }
          expect({ manual: manual.name, code, value, faults: faultsOf(plan) }).toMatchObject({ faults: [] })
          // What it holds already is no line to enter.
          expect(wiringOf(plan).lines.filter((l) => l.code === code && l.value === value)).toEqual([])
        }
  })

  it('follows a setting that is changed: RUN forward moves to the terminal that now does it', () => {
    const plan = { ...demoPlan('gap-bed-lathe'), manual: shippedManuals.get('heron-wall-box') }
    const code = plan.manual?.codes.find(
      (c) => c.terminal !== undefined && c.values.some((v) => v.does === 'run-forward'),
    )
    const other = plan.manual?.codes.find((c) => c !== code && c.values.some((v) => v.does === 'run-forward'))
    const runs = (changed: Plan) =>
      wiringOf(changed)
        .wires.filter((w) => w.purpose === 'run forward')
        .flatMap((w) => [w.from, w.to])
        .filter((end) => end.startsWith('drive.'))
    const before = runs(plan)
    const value = other?.values.find((v) => v.does === 'run-forward')?.value ?? ''
    const away = code?.values.find((v) => v.does !== undefined && v.does !== 'run-forward')?.value ?? ''
    const after = runs({
      ...plan,
      wiring: { ...plan.wiring, codesHeld: { [other?.code ?? '']: value, [code?.code ?? '']: away } },
    })
    expect(before).toHaveLength(1)
    expect(after).toEqual([`drive.${other?.terminal ?? ''}`])
    expect(after).not.toEqual(before)
  })

  it('is there for an empty plan, on assumed terminals', () => {
    const wiring = wiringOf(emptyPlan('Lathe'))
    expect(wiring.assumed).toBe(true)
    expect(wiring.wires.length).toBeGreaterThan(5)
  })
})
