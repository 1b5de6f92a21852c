import { describe, expect, test } from '@jest/globals'
import type { Reading } from '../src/readings/measurement'
import { applyPatch, set, type Patch, type Plan } from '../src/plan'
import { answerStep, swapLeads } from '../src/sequence/answerStep'
import { circuitOf } from '../src/sequence/circuitOf'
import { looseEndsOf } from '../src/sequence/looseEnds'
import { stepsOf } from '../src/sequence/stepsOf'
import type { BuildStep } from '../src/sequence/step'
import { deviceOf, type End, type Wiring } from '../src/wiring/model'
import { netsOf } from '../src/wiring/nets'
import { sheetsOf } from '../src/schematic/sheetsOf'
import { wiringOf } from '../src/wiring/wiringOf'
import { soundPlan } from './mistakes'
import { shippedManuals } from './shippedManuals'

const planned = (...patch: Patch): Plan =>
  applyPatch(soundPlan(), [set('wiring.steps', undefined), set('wiring.changes', undefined), ...patch])
const stepOf = (plan: Plan, id: string): BuildStep => {
  const step = stepsOf(plan, wiringOf(plan)).find((s) => s.id === id)
  if (!step) throw new Error(`no step ${id}`)
  return step
}
const endsOf = (plan: Plan, readings: Reading[] = []) =>
  looseEndsOf(plan, stepsOf(plan, wiringOf(plan)), wiringOf(plan), readings)
const done = (plan: Plan, id: string): Plan =>
  applyPatch(plan, answerStep(plan, wiringOf(plan), sheetsOf(wiringOf(plan)), stepOf(plan, id), { answer: 'done' }))
const reading = (value: number, more: Partial<Reading> = {}): Reading => ({
  kind: 'resistance',
  of: 'Frame to the earth bar',
  value,
  takenAt: '2026-03-01T10:00:00.000Z',
  ...more,
})

describe('loose ends', () => {
  test('a proof is made again after a change of what is joined, not of a colour', () => {
    const proved = done(planned(), 'prove-stop')
    expect(endsOf(proved)).toEqual([])
    const painted = applyPatch(proved, [
      set('wiring.changes', [{ id: 'x', kind: 'looks', wire: 'motor-u/1', colour: 'RD' }]),
    ])
    expect(endsOf(painted)).toEqual([])
    const rewired = applyPatch(proved, [
      set('wiring.changes', [{ id: 'x', kind: 'swapped', wire: 'motor-u/1', other: 'motor-v/1', end: 'from' }]),
    ])
    expect(endsOf(rewired)).toMatchObject([{ id: 'prove-stop', stop: true, from: 'change' }])
    expect(endsOf(done(rewired, 'prove-stop'))).toEqual([])
  })
  test('what was measured and is not as it should be is a stop, ticked or not', () => {
    const ticked = done(planned(), 'earth')
    expect(endsOf(ticked, [reading(0.05)])).toEqual([])
    expect(endsOf(ticked, [reading(0.4)])).toMatchObject([{ id: 'earth', stop: true }])
    // The newest counts, in whatever order they come.
    const mended = [reading(0.05, { takenAt: '2026-03-02T10:00:00.000Z' }), reading(0.4)]
    expect(endsOf(ticked, mended)).toEqual([])
    // Of another thing, of another kind.
    expect(endsOf(ticked, [reading(0.4, { of: 'Elsewhere' })])).toEqual([])
  })
  test('the name of a circuit is of its ends and of the lines that it wants', () => {
    const wiring = wiringOf(planned())
    const turned: Wiring = { ...wiring, wires: wiring.wires.map((w) => ({ ...w, from: w.to, to: w.from })).reverse() }
    expect(circuitOf(turned)).toBe(circuitOf(wiring))
    expect(circuitOf({ ...wiring, lines: [] })).not.toBe(circuitOf(wiring))
    expect(circuitOf({ ...wiring, wires: wiring.wires.slice(1) })).not.toBe(circuitOf(wiring))
  })
})

test('leads that turn it the wrong way are changed over at the drive, whatever stands behind it', () => {
  for (const motorSwitch of ['none', 'early-break'] as const) {
    const plan = planned(set('wiring.motorSwitch', motorSwitch))
    const swapped = applyPatch(plan, swapLeads(plan, stepOf(plan, 'first-spin'), 'swap'))
    const before = wiringOf(plan)
    const after = wiringOf(swapped)
    const atDrive = (wiring: Wiring) =>
      wiring.wires.filter((w) => w.purpose.startsWith('motor lead') && deviceOf(w.from) === 'drive').map((w) => w.from)
    const [u, v, w] = atDrive(before)
    expect(atDrive(after)).toEqual([v, u, w])
  }
})

describe('devices of their own', () => {
  /** Whether a signal gets from one end to the other with every contact closed, and with one device open. */
  const passes = (wiring: Wiring, from: End, to: End, open?: string) => {
    const nets = netsOf(wiring)
    return nets.reach(from, ['opens', 'closes'], (d) => d.id === open || d.role === 'drive').has(nets.of(to))
  }
  const driveEnd = (wiring: Wiring, does: string): End => {
    const drive = wiring.devices.find((d) => d.role === 'drive')
    const terminal = drive?.terminals.find((t) => t.does === does)
    if (!terminal) throw new Error(`no ${does}`)
    return `drive.${terminal.id}`
  }

  test('two motors have an overload each, and either of them opens the enable', () => {
    const wiring = wiringOf(planned(set('wiring.motors', 'two-overloads')))
    const leads = (motor: string) => wiring.wires.filter((w) => deviceOf(w.to) === motor && w.kind === 'wire')
    expect([leads('motor').length, leads('motor-2').length]).toEqual([3, 3])
    expect(new Set(leads('motor').map((w) => deviceOf(w.from)))).toEqual(new Set(['overload']))
    expect(new Set(leads('motor-2').map((w) => deviceOf(w.from)))).toEqual(new Set(['overload-2']))
    expect(wiring.wires.some((w) => w.kind === 'earth' && w.to === 'motor-2.pe')).toBe(true)
    const [from, to] = [driveEnd(wiring, 'supply-24'), driveEnd(wiring, 'outside-fault')]
    expect(passes(wiring, from, to)).toBe(true)
    for (const overload of ['overload', 'overload-2']) expect(passes(wiring, from, to, overload)).toBe(false)
  })

  test('category 1: the mushroom ramps it, and a relay that drops late takes both channels away', () => {
    const plan = planned(
      set('controls.emergencyStop', 'ramp-then-off'),
      set('controls.quickRampS', 2),
      set('wiring.stopDelayS', 3),
    )
    const wiring = wiringOf(plan)
    expect(wiring.lacks).toEqual([])
    const supply = driveEnd(wiring, 'supply-24')
    expect(passes(wiring, supply, driveEnd(wiring, 'quick-stop'))).toBe(true)
    expect(passes(wiring, supply, driveEnd(wiring, 'quick-stop'), 'stop')).toBe(false)
    for (const channel of ['torque-off-1', 'torque-off-2']) {
      const [from, to] = [driveEnd(wiring, 'torque-off-supply'), driveEnd(wiring, channel)]
      expect(passes(wiring, from, to)).toBe(true)
      // Not by the mushroom itself: it would coast at once.
      expect(passes(wiring, from, to, 'stop')).toBe(true)
      expect(passes(wiring, from, to, 'delay')).toBe(false)
    }
    expect(passes(wiring, supply, 'delay.a1')).toBe(true)
    expect(passes(wiring, supply, 'delay.a1', 'stop')).toBe(false)
    expect(wiring.devices.find((d) => d.id === 'delay')?.line2).toBe('drops after 3 s')
  })

  test('no late contact stands beside the switch that runs it: where there is no other way none is drawn', () => {
    for (const manual of shippedManuals.values()) {
      const plan = planned(
        set('manual', manual),
        set('controls.runBy', 'maintained'),
        set('controls.reverseWanted', false),
        set('controls.emergencyStop', 'ramp-then-off'),
      )
      const wiring = wiringOf(plan)
      const run = wiring.wires.filter((w) => w.purpose === 'run forward').map((w) => w.from)
      const late = wiring.wires.filter((w) => [w.from, w.to].some((end) => end.startsWith('delay.late')))
      expect(late.filter((w) => run.includes(w.from) || run.includes(w.to))).toEqual([])
    }
  })

  test('a round connector has the pins that were found; the earth passes by its own, or by a strap where that is empty', () => {
    const pins: Patch = [
      set('wiring.pinU', 'A'),
      set('wiring.pinV', 'B'),
      set('wiring.pinW', 'C'),
      set('wiring.pinEarth', 'D'),
    ]
    const earthed = wiringOf(planned(set('wiring.motorConnector', 'pin-earthed'), ...pins))
    const connector = earthed.devices.find((d) => d.role === 'connector')
    expect(connector?.terminals.filter((t) => t.side === 'in').map((t) => t.prints)).toEqual(['A', 'B', 'C', 'D'])
    const nets = netsOf(earthed)
    const screw = earthed.wires.find((w) => w.to === 'connector.E-in')?.from
    expect(deviceOf(screw ?? 'nowhere.x')).toBe('drive')
    expect(nets.of('motor.pe')).toBe(nets.of(screw ?? 'nowhere.x'))
    expect(earthed.wires.find((w) => w.to === 'motor.pe')?.from).toBe('connector.E-out')
    expect(earthed.wires.find((w) => w.to === 'connector.U-in')?.ends).toMatch(/soldered in its cup/)
    const empty = wiringOf(planned(set('wiring.motorConnector', 'pin-empty')))
    expect(empty.wires.find((w) => w.to === 'motor.pe')?.purpose).toMatch(/strap/)
    expect(empty.devices.find((d) => d.role === 'connector')?.line2).toMatch(/not all traced/)
  })

  test('a converter makes three lines of the wall’s one phase; a transformer’s output is bonded where somebody said so', () => {
    const three: Patch = [set('supply.phases', 3), set('supply.topology', 'three-phase')]
    const converted = wiringOf(
      planned(
        ...three,
        set('supply.supplyUnit', 'rotary-converter'),
        set('manual', shippedManuals.get('avocet-three-phase')),
      ),
    )
    const wall = converted.devices.find((d) => d.id === 'wall')
    expect(wall?.terminals.map((t) => t.prints)).toEqual(['L1', 'N', 'PE'])
    const fed = converted.wires.filter((w) => deviceOf(w.from) === 'converter')
    expect(fed.map((w) => w.from).sort()).toEqual(['converter.L1-out', 'converter.L2-out', 'converter.L3-out'])
    const bond = (earthing: 'earthed' | 'unbonded') =>
      wiringOf(planned(set('supply.supplyUnit', 'transformer'), set('supply.earthing', earthing))).wires.filter(
        (w) => w.to === 'transformer.point',
      ).length
    expect([bond('earthed'), bond('unbonded')]).toEqual([1, 0])
  })

  test('the relay lets a spring brake go, and then has no contact for a lamp, which is said', () => {
    const wiring = wiringOf(planned(set('wiring.relayDoes', 'brake'), set('controls.runLamp', true)))
    expect(wiring.devices.find((d) => d.role === 'brake')?.line2).toBe('lets go while it has power')
    expect(wiring.wires.some((w) => w.key.startsWith('brake-relay'))).toBe(true)
    expect(wiring.lacks.map((l) => l.why)).toEqual(['the run lamp: the relay switches something else'])
  })
})
