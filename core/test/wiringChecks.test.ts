import { describe, expect, test } from '@jest/globals'
import { wiringJudgements } from '../src/findings/wiring'
import type { Answer } from '../src/findings/finding'
import type { Manual } from '../src/manual'
import { applyPatch, set, type Patch } from '../src/plan'
import type { Device, End, Wire, Wiring } from '../src/wiring/model'
import { soundPlan } from './mistakes'
import { soundManual } from './soundManual'
import { factsOf, wiredOtherwise } from './parts'

type Kind = 'stop' | 'watch' | 'note' | 'good' | 'does-not-apply' | 'cannot-be-judged'
type Id = (typeof wiringJudgements)[number]['id']

const kindOf = (answer: Answer): Kind =>
  'severity' in answer
    ? answer.severity
    : 'good' in answer
      ? 'good'
      : 'doesNotApply' in answer
        ? 'does-not-apply'
        : 'cannot-be-judged'

/** What a judgement says of the sound plan, changed and then wired otherwise by hand. */
function asked(id: Id, patch: Patch, by?: (wiring: Wiring) => void, on?: (manual: Manual) => void): Kind {
  const manual = soundManual()
  on?.(manual)
  const facts = factsOf(applyPatch(soundPlan(), [set('manual', manual), ...patch]))
  const wiring = structuredClone(facts.wiring.wiring)
  by?.(wiring)
  const judgement = wiringJudgements.find((j) => j.id === id)
  if (!judgement) throw new Error(`no judgement ${id}`)
  const answer = judgement.ask(wiredOtherwise(facts, wiring))
  return kindOf(Array.isArray(answer) ? (answer[0] ?? { doesNotApply: '' }) : answer)
}

let next = 900
const wire = (from: End, to: End, more: Partial<Wire> = {}): Wire => ({
  key: `by-hand-${next}`,
  number: (next += 1),
  from,
  to,
  kind: 'wire',
  class: 'power',
  sheet: 'power',
  purpose: 'by hand',
  colour: 'BK',
  areaMm2: 1.5,
  cable: undefined,
  lengthM: 1,
  ends: '',
  dead: '',
  live: '',
  group: 'supply',
  ...more,
})
const joins =
  (from: End, to: End, more: Partial<Wire> = {}) =>
  (w: Wiring): void =>
    void w.wires.push(wire(from, to, more))
const without =
  (...keys: string[]) =>
  (w: Wiring): void =>
    void (w.wires = w.wires.filter((one) => !keys.some((key) => one.key.startsWith(key))))
const device =
  (made: Partial<Device> & Pick<Device, 'id' | 'role'>, ...ends: string[]) =>
  (w: Wiring): void =>
    void w.devices.push({
      place: 'machine',
      name: made.id,
      short: made.id,
      terminals: ends.map((id) => ({ id, prints: id, class: 'power', side: 'any', wires: 2 })),
      inside: [{ kind: 'winding', between: ends }],
      ...made,
    })
const all =
  (...steps: ((w: Wiring) => void)[]) =>
  (w: Wiring): void =>
    steps.forEach((step) => step(w))
const knob: Patch = [set('controls.reference', 'knob'), set('wiring.knobOhm', 5000)]
const rampThenOff: Patch = [set('controls.emergencyStop', 'ramp-then-off'), set('controls.quickRampS', 2)]
const maintained: Patch = [set('controls.runBy', 'maintained'), set('wiring.runWith', 'selector')]

interface Row {
  id: Id
  /** What is wrong, and what the judgement says of it. */
  wrong: [Kind, Patch, (((w: Wiring) => void) | undefined)?, ((m: Manual) => void)?]
  /** The same put right. */
  right: [Kind, Patch, (((w: Wiring) => void) | undefined)?, ((m: Manual) => void)?]
}

const rows: Row[] = [
  {
    id: 'wiring.lacks',
    wrong: [
      'stop',
      [set('controls.reference', 'serial')],
      undefined,
      (m) => void (m.terminals = m.terminals.filter((t) => t.group !== 'communication')),
    ],
    right: ['good', []],
  },
  {
    id: 'wiring.assumed',
    wrong: ['watch', [], undefined, (m) => m.terminals.forEach((t) => (t.basis = t.id === 'u' ? 'assumed' : t.basis))],
    right: ['good', []],
  },
  { id: 'wiring.open-ends', wrong: ['stop', [], without('motor-u')], right: ['good', []] },
  {
    id: 'wiring.one-screw',
    wrong: [
      'watch',
      [],
      all(joins('motor.t1', 'motor.t2'), joins('motor.t1', 'motor.t3'), joins('motor.t1', 'motor.pe')),
    ],
    right: ['good', []],
  },
  { id: 'wiring.clamp', wrong: ['watch', [set('supply.cableMm2', 35)]], right: ['good', []] },
  {
    id: 'wiring.factory-links',
    wrong: ['watch', [], (w) => void w.linksOut.push({ from: 'a', to: 'b', why: 'x' })],
    right: [
      'good',
      [set('wiring.steps', { links: { answer: 'done' } })],
      (w) => void w.linksOut.push({ from: 'a', to: 'b', why: 'x' }),
    ],
  },
  {
    id: 'wiring.jumpers',
    wrong: [
      'watch',
      [],
      undefined,
      (m) => m.jumpers.forEach((j) => (j.comesIn = j.chooses === 'sink-source' ? 'lo' : j.comesIn)),
    ],
    right: ['good', []],
  },
  {
    id: 'wiring.refused',
    wrong: ['watch', [set('wiring.changes', [{ id: 'x', kind: 'left', wire: 'no-such' }])]],
    right: ['good', [set('wiring.changes', [{ id: 'x', kind: 'looks', wire: 'motor-u/1', colour: 'BK' }])]],
  },
  { id: 'wiring.insulation-test', wrong: ['stop', [set('wiring.insulationTested', 'joined')]], right: ['good', []] },
  { id: 'wiring.slack', wrong: ['watch', [set('wiring.slackLoop', false)]], right: ['good', []] },
  {
    id: 'wiring.entries',
    wrong: [
      'watch',
      [],
      undefined,
      (m) => void (m.outline = { widthMm: 1, heightMm: 1, depthMm: 1, knockouts: [{ mm: 20, count: 12 }] }),
    ],
    right: [
      'good',
      [],
      undefined,
      (m) => void (m.outline = { widthMm: 1, heightMm: 1, depthMm: 1, knockouts: [{ mm: 20, count: 2 }] }),
    ],
  },
  {
    id: 'wiring.second-supply',
    wrong: [
      'stop',
      [set('motor.cooling', 'blower'), set('wiring.blowerOwnSupply', true), set('wiring.secondSupplyLabelled', false)],
    ],
    right: [
      'good',
      [set('motor.cooling', 'blower'), set('wiring.blowerOwnSupply', true), set('wiring.secondSupplyLabelled', true)],
    ],
  },
  {
    id: 'wiring.short-circuit',
    wrong: [
      'stop',
      [set('supply.region', 'nec'), set('wiring.panelShortCircuitA', 10_000), set('wiring.driveShortCircuitA', 5000)],
    ],
    right: [
      'good',
      [set('supply.region', 'nec'), set('wiring.panelShortCircuitA', 5000), set('wiring.driveShortCircuitA', 5000)],
    ],
  },
  {
    id: 'wiring.disconnect',
    wrong: ['watch', [set('supply.region', 'nec'), set('wiring.isolatorA', 10)]],
    right: ['good', [set('supply.region', 'nec'), set('wiring.isolatorA', 63)]],
  },
  {
    id: 'wiring.knob-lifted',
    wrong: ['stop', [...knob, set('wiring.steps', { 'knob-lifted': { answer: 'wrong' } })]],
    right: ['good', [...knob, set('wiring.steps', { 'knob-lifted': { answer: 'done' } })]],
  },
  { id: 'wiring.supply-on-motor', wrong: ['stop', [], joins('wall.L1', 'drive.u')], right: ['good', []] },
  {
    id: 'wiring.bus',
    wrong: ['stop', [], all(device({ id: 'heater', role: 'lamp' }, 'a', 'b'), joins('drive.r1', 'heater.a'))],
    right: ['good', [set('drive.resistor', { ohm: 100, ratedW: 200 })]],
  },
  {
    id: 'wiring.loads-on-output',
    wrong: ['stop', [], all(device({ id: 'fan', role: 'blower' }, 'a', 'b'), joins('drive.u', 'fan.a'))],
    right: ['good', []],
  },
  {
    id: 'wiring.switch-behind-drive',
    wrong: ['stop', [set('wiring.motorSwitch', 'plain')]],
    right: ['good', [set('wiring.motorSwitch', 'early-break')]],
  },
  {
    id: 'wiring.two-motors',
    wrong: ['stop', [set('wiring.motors', 'two-bare')]],
    right: ['good', [set('wiring.motors', 'two-overloads')]],
  },
  {
    id: 'wiring.contactor-starts',
    wrong: ['stop', [set('controls.emergencyStop', 'contactor'), set('controls.runBy', 'main-switch')]],
    right: ['good', [set('controls.emergencyStop', 'contactor')]],
  },
  {
    id: 'wiring.neutral',
    wrong: ['stop', [set('drive.doubler', true)], without('N-isolator')],
    right: ['good', [set('drive.doubler', true)]],
  },
  {
    id: 'wiring.fuse',
    wrong: ['stop', [set('wiring.ownFuseA', undefined), set('supply.breakerA', 32)]],
    right: ['good', [set('wiring.ownFuseA', 20)]],
  },
  { id: 'wiring.clash', wrong: ['stop', [], joins('drive.p24', 'drive.sc')], right: ['good', []] },
  { id: 'wiring.all-poles', wrong: ['stop', [], joins('wall.L1', 'drive.l')], right: ['good', []] },
  { id: 'wiring.isolator', wrong: ['watch', [set('wiring.isolator', 'plain')]], right: ['good', []] },
  { id: 'wiring.earth', wrong: ['stop', [], without('motor-earth')], right: ['good', []] },
  {
    id: 'wiring.earth-shared',
    wrong: ['watch', [], joins('frame.pe', 'box.pe', { kind: 'earth', colour: 'GNYE' })],
    right: ['good', []],
  },
  {
    id: 'wiring.earth-thin',
    wrong: [
      'stop',
      [],
      (w) => w.wires.forEach((one) => (one.areaMm2 = one.key.startsWith('motor-earth') ? 0.5 : one.areaMm2)),
    ],
    right: ['good', []],
  },
  {
    id: 'wiring.motor-body',
    wrong: ['stop', [set('wiring.motorConnector', 'pin-empty')]],
    right: ['good', [set('wiring.motorConnector', 'pin-earthed')]],
  },
  { id: 'wiring.frame', wrong: ['stop', [], without('earth-frame')], right: ['good', []] },
  { id: 'wiring.shield', wrong: ['watch', [set('wiring.motorShield', 'tail')]], right: ['good', []] },
  {
    id: 'wiring.signal-shield',
    wrong: ['watch', knob, (w) => w.devices.forEach((d) => d.terminals.forEach((t) => delete t.cut))],
    right: ['good', knob],
  },
  { id: 'wiring.earth-inside', wrong: ['watch', [set('wiring.motorEarthInside', false)]], right: ['good', []] },
  {
    id: 'wiring.colours',
    wrong: ['stop', [set('wiring.changes', [{ id: 'x', kind: 'looks', wire: 'motor-u/1', colour: 'GNYE' }])]],
    right: ['good', []],
  },
  {
    id: 'wiring.control-earthed',
    wrong: [
      'stop',
      [],
      joins('drive.sc', 'bar.pe', { kind: 'earth', class: 'control' }),
      (m) => void (m.isolated = false),
    ],
    right: ['good', []],
  },
  { id: 'wiring.stop-contact', wrong: ['stop', [set('wiring.stopButton', 'open')]], right: ['good', []] },
  { id: 'wiring.stop-way', wrong: ['stop', [], without('torque-off-1', 'torque-off-2')], right: ['good', []] },
  {
    id: 'wiring.stop-serial',
    wrong: ['stop', [set('controls.reference', 'serial'), set('controls.emergencyStop', 'none')]],
    right: ['good', [set('controls.reference', 'serial')]],
  },
  {
    id: 'wiring.torque-off-bridge',
    wrong: ['stop', [], joins('drive.st', 'drive.sa', { class: 'control' })],
    right: ['good', []],
  },
  { id: 'wiring.torque-off-channels', wrong: ['watch', [set('wiring.torqueOffChannels', 1)]], right: ['good', []] },
  {
    id: 'wiring.contactor-enable',
    wrong: ['watch', [set('controls.emergencyStop', 'contactor')], without('outside-fault', 'enable')],
    right: ['good', [set('controls.emergencyStop', 'contactor')]],
  },
  {
    id: 'wiring.stop-delay',
    wrong: ['watch', [...rampThenOff, set('wiring.stopDelayS', 1)]],
    right: ['good', [...rampThenOff, set('wiring.stopDelayS', 3)]],
  },
  {
    id: 'wiring.starts-itself',
    wrong: ['stop', [set('wiring.startsItself', 'sleep')]],
    right: ['good', [set('wiring.startsItself', 'nothing')]],
  },
  {
    id: 'wiring.reverse-waits',
    wrong: ['watch', [set('controls.reverseWanted', true), set('wiring.reverseWaits', false)]],
    right: ['good', [set('controls.reverseWanted', true), set('wiring.reverseWaits', true)]],
  },
  { id: 'wiring.coast-long', wrong: ['watch', [set('survey.coastS', 45)]], right: ['good', [set('survey.coastS', 6)]] },
  { id: 'wiring.stop-yellow', wrong: ['watch', [set('wiring.stopYellow', false)]], right: ['good', []] },
  { id: 'wiring.dead-mushroom', wrong: ['stop', [set('wiring.deadMushroom', true)]], right: ['good', []] },
  { id: 'wiring.reset-watched', wrong: ['note', [set('wiring.resetWatched', false)]], right: ['good', []] },
  {
    id: 'wiring.guard',
    wrong: ['watch', [set('survey.machineKind', 'belt-grinder'), set('wiring.guardSwitch', false)]],
    right: ['good', [set('survey.machineKind', 'belt-grinder'), set('wiring.guardSwitch', true)]],
  },
  {
    id: 'wiring.chain-complete',
    wrong: ['stop', [set('wiring.guardSwitch', true)], without('outside-fault', 'enable')],
    right: ['good', [set('wiring.guardSwitch', true)]],
  },
  {
    id: 'wiring.pendant',
    wrong: ['stop', [set('wiring.runWith', 'pendant')], without('stop-open')],
    right: ['good', [set('wiring.runWith', 'pendant')]],
  },
  {
    id: 'wiring.drum-both',
    wrong: ['watch', [...maintained, set('wiring.runWith', 'drum-two'), set('controls.reverseWanted', true)]],
    right: [
      'good',
      [
        ...maintained,
        set('wiring.runWith', 'drum-two'),
        set('controls.reverseWanted', true),
        set('wiring.steps', { drum: { answer: 'done' } }),
      ],
    ],
  },
  { id: 'wiring.power-on', wrong: ['stop', [], undefined, (m) => void (m.runsAtPowerOn = true)], right: ['good', []] },
  { id: 'wiring.mains-on-control', wrong: ['stop', [], joins('wall.L1', 'drive.s1')], right: ['good', []] },
  {
    id: 'wiring.sink-and-source',
    wrong: [
      'stop',
      maintained,
      all(
        without('run-reverse'),
        device({ id: 'odd', role: 'switch', inside: [{ kind: 'closes', between: ['a', 'b'] }] }, 'a', 'b'),
        joins('drive.s2', 'odd.a'),
        joins('odd.b', 'drive.sc'),
      ),
    ],
    right: ['good', maintained],
  },
  { id: 'wiring.sink', wrong: ['watch', [set('wiring.logic', 'sink')]], right: ['good', []] },
  {
    id: 'wiring.knob-reversed',
    wrong: [
      'stop',
      [
        ...knob,
        set('wiring.changes', [
          { id: 'x', kind: 'swapped', wire: 'reference-supply/1', other: 'reference-common/1', end: 'to' },
        ]),
      ],
    ],
    right: ['good', knob],
  },
  { id: 'wiring.knob-ohms', wrong: ['stop', [...knob, set('wiring.knobOhm', 500)]], right: ['good', knob] },
  {
    id: 'wiring.knob-lead',
    wrong: ['watch', [...knob, set('wiring.knobShielded', false), set('wiring.knobLeadM', 6)]],
    right: ['good', [...knob, set('wiring.knobShielded', true)]],
  },
  {
    id: 'wiring.bipolar',
    wrong: [
      'watch',
      [],
      undefined,
      (m) => m.terminals.forEach((t) => (t.takes = t.does === 'reference-in' ? { bothSigns: true } : t.takes)),
    ],
    right: ['good', []],
  },
  {
    id: 'wiring.two-names',
    wrong: [
      'watch',
      [],
      undefined,
      (m) => m.terminals.forEach((t) => (t.prints = t.id === 's1' || t.id === 'q10' ? 'same' : t.prints)),
    ],
    right: ['good', []],
  },
  {
    id: 'wiring.thermistor',
    wrong: ['watch', [set('controls.thermistorWired', true), set('wiring.thermistorOn', 'nothing')]],
    right: ['good', [set('controls.thermistorWired', true), set('wiring.thermistorOn', 'fault')]],
  },
  {
    id: 'wiring.relay',
    wrong: [
      'stop',
      [set('controls.runLamp', false), set('motor.cooling', 'blower'), set('wiring.relayDoes', 'blower')],
      undefined,
      (m) => m.terminals.forEach((t) => (t.takes = t.group === 'relay' ? { mostV: 30 } : t.takes)),
    ],
    right: [
      'good',
      [set('controls.runLamp', false), set('motor.cooling', 'blower'), set('wiring.relayDoes', 'blower')],
    ],
  },
  {
    id: 'wiring.mains-control',
    wrong: ['watch', [set('controls.emergencyStop', 'none')], undefined, (m) => void (m.isolated = undefined)],
    right: ['good', []],
  },
  { id: 'wiring.gland', wrong: ['watch', [set('wiring.oneGland', true)]], right: ['good', []] },
]

describe('every check of the wiring is tried both ways', () => {
  test('and each is in the list', () => {
    expect(rows.map(({ id }) => id).sort()).toEqual(wiringJudgements.map((j) => j.id).sort())
    expect(rows.length).toBeGreaterThanOrEqual(40)
  })
  test.each(rows)('$id', ({ id, wrong: [bad, ...spoilt], right: [well, ...mended] }) => {
    expect([asked(id, ...spoilt), asked(id, ...mended)]).toEqual([bad, well])
  })
  test('without the manual none that rests on terminals says anything', () => {
    const plan = applyPatch(soundPlan(), [set('manual', undefined)])
    const facts = factsOf(plan)
    const said = wiringJudgements.map((j) => [j.id, j.ask(facts)] as const)
    const waiting = said.filter(([, a]) => !Array.isArray(a) && 'missing' in a && a.missing.includes('manual'))
    expect(waiting.length).toBeGreaterThan(35)
  })
})

describe('more of one check', () => {
  test('control at the mains joined to a controller is a stop', () =>
    expect(
      asked(
        'wiring.mains-control',
        [set('controls.runBy', 'cnc'), set('controls.reference', 'analogue')],
        undefined,
        (m) => void (m.isolated = undefined),
      ),
    ).toBe('stop'))
  test('a knob on 24 V is a stop', () =>
    expect(asked('wiring.knob-reversed', knob, all(without('reference-supply'), joins('drive.p24', 'knob.high')))).toBe(
      'stop',
    ))
  test('a relay of which nothing is said is a stop with the mains on it', () =>
    expect(
      asked(
        'wiring.relay',
        [set('controls.runLamp', false), set('motor.cooling', 'blower'), set('wiring.relayDoes', 'blower')],
        undefined,
        (m) => m.terminals.forEach((t) => delete t.takes),
      ),
    ).toBe('stop'))
  test('no isolator at all is a stop', () =>
    expect(asked('wiring.all-poles', [set('wiring.isolator', 'none')])).toBe('stop'))
  test('a supply that reaches the motor’s terminals through a fuse is a stop', () =>
    expect(asked('wiring.supply-on-motor', [set('wiring.ownFuseA', 16)], joins('fuse.L1-out', 'drive.v'))).toBe('stop'))
})
