import { switchFunctions, terminalFunctions } from '../../manual/terminalFunctions'
import { amount, amps, listed, message, volts } from '../../quantities'
import { set } from '../../plan'
import { endOf, type End } from '../../wiring/model'
import { doesNotApply, good, lacks } from '../answer'
import type { Answer } from '../finding'
import { conducts } from '../../facts/wiring/mainsNets'
import { deviceBy, driveEnds, endWords, netOf, ofChoices, ofWiring, type Circuit } from './wired'

/** A knob's lead longer than this wants a shield. */
const KNOB_LEAD_M = 2
/** A knob of more ohms is moved by every noise. */
const MOST_KNOB_OHM = 10_000

/** The knob's two outer ends, whichever device carries it. */
function knobEnds({ wiring }: Circuit): { low: End; high: End } | undefined {
  for (const d of wiring.devices)
    for (const { kind, between } of d.inside)
      if (kind === 'knob') {
        const [low, , high] = between
        if (low !== undefined && high !== undefined) return { low: endOf(d.id, low), high: endOf(d.id, high) }
      }
  return undefined
}

/** Nets that switches can put on an input: through every contact, but not through the drive. */
const throughContacts = (circuit: Circuit, end: End): Set<string> =>
  circuit.nets.reach(end, conducts, (d) => d.role === 'drive' || d.role === 'motor')

const has = (circuit: Circuit, nets: Iterable<string>, ...wanted: readonly string[]): boolean =>
  [...nets].some((net) => circuit.nets.potentials(net).some((p) => wanted.includes(p)))

/** What runs it and tells it how fast. */
export const signalChecks = [
  ofWiring(
    { id: 'wiring.mains-on-control', asks: 'Mains kept off the control terminals', by: 'first-power', danger: true },
    (circuit): Answer => {
      const live = circuit.facts.mains
      const relays = new Set(driveEnds(circuit, 'relay-common', 'relay-open', 'relay-closed'))
      const found = circuit.wiring.devices
        .filter((d) => d.role === 'drive')
        .flatMap((d) => d.terminals.filter((t) => t.class === 'control').map((t) => endOf(d.id, t.id)))
        .filter((end) => !relays.has(end) && live.has(netOf(circuit, end)))
      return found.length === 0
        ? good(message`No conductor of the wall reaches them.`)
        : {
            severity: 'stop',
            title: message`Mains on a control terminal`,
            says: message`${found.map((end) => endWords(circuit, end)).join(', ')}.`,
            why: 'It destroys the drive, and puts the mains on every switch that is touched.',
            path: 'wiring.changes',
          }
    },
  ),

  ofWiring(
    { id: 'wiring.sink-and-source', asks: 'All switches closed to one side', by: 'first-spin', danger: true },
    (circuit): Answer => {
      const sides = driveEnds(circuit, ...switchFunctions).map((end) => {
        const reached = throughContacts(circuit, end)
        return { end, to24: has(circuit, reached, '24V', 'sto'), to0: has(circuit, reached, '0V') }
      })
      const short = sides.find(({ to24, to0 }) => to24 && to0)
      if (short)
        return {
          severity: 'stop',
          about: 'short',
          title: message`Sink and source are mixed`,
          says: message`${endWords(circuit, short.end)} can be put on the volts and on the common, together when both switches are closed.`,
          why: 'Both closed, they short the drive’s own supply; one of them does nothing.',
          path: 'wiring.changes',
        }
      const to24 = sides.filter((s) => s.to24)
      const to0 = sides.filter((s) => s.to0)
      if (to24.length === 0 && to0.length === 0) return doesNotApply('No switch is wired to it')
      const [odd] = to24.length < to0.length ? to24 : to0
      return to24.length > 0 && to0.length > 0 && odd
        ? {
            severity: 'stop',
            about: 'mixed',
            title: message`Sink and source are mixed`,
            says: message`${endWords(circuit, odd.end)} is closed to the other side than the rest.`,
            why: 'The drive reads one side only: that switch does nothing, and if it is the stop, it never stops.',
            path: 'wiring.changes',
          }
        : good(to24.length > 0 ? message`All to the volts given.` : message`All to the common.`)
    },
  ),

  ofWiring({ id: 'wiring.sink', asks: 'Sink or source', by: 'first-spin' }, (circuit): Answer => {
    const { manual, wiring } = circuit
    if (driveEnds(circuit, ...switchFunctions).every((end) => throughContacts(circuit, end).size < 2))
      return doesNotApply('No switch is wired to it')
    if (wiring.logic === 'source') return good(message`Source: a chafed wire is no RUN.`)
    if (manual.logic === undefined && circuit.facts.plan.wiring.logic === undefined) return lacks('wiring.logic')
    return manual.logic === 'either' || manual.logic === 'source'
      ? {
          severity: 'watch',
          title: message`Closed to the common, where the drive offers the volts`,
          says: message`With its common at earth anywhere, one chafed wire is RUN.`,
          why: 'Source where it is offered: a wire that touches the frame then stops it or blows, and starts nothing.',
          remedies: [{ label: message`Close to the volts (source)`, patch: [set('wiring.logic', 'source')] }],
          path: 'wiring.logic',
        }
      : good(message`Sink, the only way this drive has. Keep its common off earth.`)
  }),

  ofWiring(
    { id: 'wiring.knob-reversed', asks: 'Knob the right way round', by: 'first-spin', danger: true },
    (circuit): Answer => {
      const ends = knobEnds(circuit)
      if (!ends)
        return circuit.facts.plan.controls.reference === undefined
          ? lacks('controls.reference')
          : doesNotApply('It has no knob')
      const [top, bottom] = [
        circuit.nets.potentials(netOf(circuit, ends.high)),
        circuit.nets.potentials(netOf(circuit, ends.low)),
      ]
      if (top.includes('0V') && bottom.includes('ref+'))
        return {
          severity: 'stop',
          about: 'reversed',
          title: message`The knob works backwards`,
          says: message`Its bottom is on the reference and its top on the common: turned down, it asks for the highest speed.`,
          why: 'Whoever turns it down to be safe gets full speed.',
          path: 'wiring.changes',
        }
      return top.includes('ref+')
        ? good(message`Its top is on the reference, its bottom on the common.`)
        : {
            severity: 'stop',
            about: 'volts',
            title: message`The knob is on the wrong volts`,
            says: message`Its top is on ${top.length === 0 ? 'nothing that gives volts' : top.join(', ')}, not on the drive’s reference.`,
            why: 'On 24 V the input is overdriven: full speed at half the turn, or the end of the input.',
            path: 'wiring.changes',
          }
    },
  ),

  ofWiring({ id: 'wiring.knob-ohms', asks: 'The knob’s ohms', by: 'buying' }, (circuit): Answer => {
    if (!knobEnds(circuit))
      return circuit.facts.plan.controls.reference === undefined
        ? lacks('controls.reference')
        : doesNotApply('It has no knob')
    const { knobOhm } = circuit.facts.plan.wiring
    if (knobOhm === undefined) return lacks('wiring.knobOhm')
    const gives = circuit.manual.terminals.find((t) => t.does === 'reference-supply')?.gives
    const least =
      gives?.milliamps === undefined || gives.milliamps === 0 ? 1000 : (1000 * gives.volts) / gives.milliamps
    if (knobOhm < least - 1e-9)
      return {
        severity: 'stop',
        about: 'low',
        title: message`The knob has too few ohms`,
        says:
          gives?.milliamps === undefined
            ? message`${amount('resistance', knobOhm)}; the manual does not say what the reference may give, and under ${amount('resistance', least)} most give up.`
            : message`${amount('resistance', knobOhm)} take ${amps(gives.volts / knobOhm)} of the reference’s ${amps(gives.milliamps / 1000)}; ${amount('resistance', least)} or more.`,
        why: 'The reference sags or dies, and the speed with it.',
        path: 'wiring.knobOhm',
      }
    return knobOhm > MOST_KNOB_OHM
      ? {
          severity: 'watch',
          about: 'high',
          title: message`The knob has many ohms`,
          says: message`${amount('resistance', knobOhm)}, where ${amount('resistance', MOST_KNOB_OHM)} or less are usual.`,
          why: 'The input loads it, so that the middle is not the half, and every noise moves it.',
          path: 'wiring.knobOhm',
        }
      : good(message`${amount('resistance', knobOhm)}, of ${amount('resistance', least)} or more.`)
  }),

  ofWiring({ id: 'wiring.knob-lead', asks: 'The knob’s lead', by: 'on-machine' }, (circuit): Answer => {
    if (!knobEnds(circuit))
      return circuit.facts.plan.controls.reference === undefined
        ? lacks('controls.reference')
        : doesNotApply('It has no knob')
    const { knobLeadM, knobShielded } = circuit.facts.plan.wiring
    if (knobShielded === true) return good(message`Shielded.`)
    if (knobLeadM === undefined) return lacks('wiring.knobLeadM')
    if (knobLeadM <= KNOB_LEAD_M) return good(message`${amount('distance', knobLeadM)}, short enough without a shield.`)
    if (knobShielded === undefined) return lacks('wiring.knobShielded')
    return {
      severity: 'watch',
      title: message`A long lead to the knob without a shield`,
      says: message`${amount('distance', knobLeadM)}; over ${amount('distance', KNOB_LEAD_M)} it wants one.`,
      why: 'The speed wobbles with every other machine in the shop.',
      remedies: [{ label: message`A shielded lead`, patch: [set('wiring.knobShielded', true)] }],
      path: 'wiring.knobShielded',
    }
  }),

  ofWiring(
    { id: 'wiring.bipolar', asks: 'Reference that crosses zero', by: 'first-spin', danger: true },
    ({ manual }): Answer => {
      const input = manual.terminals.find((t) => t.does === 'reference-in')
      if (!input) return doesNotApply('It has no input for volts')
      if (input.takes?.bothSigns === undefined) return good(message`${input.prints}: the manual knows of one sign.`)
      return input.takes.bothSigns
        ? {
            severity: 'watch',
            title: message`The speed input takes both signs`,
            says: message`${input.prints} goes through zero to full speed the other way.`,
            why: 'A knob wired to the wrong end, or a lost common, turns the spindle backwards. Set it to one sign before the first spin.',
            path: 'manual',
          }
        : good(message`${input.prints} knows one sign.`)
    },
  ),

  ofWiring({ id: 'wiring.two-names', asks: 'Terminals of one printed name', by: 'first-power' }, (circuit): Answer => {
    const used = circuit.wiring.devices
      .filter((d) => d.role === 'drive')
      .flatMap((d) => d.terminals.map((t) => ({ t, end: endOf(d.id, t.id) })))
    const twins = used.filter(({ t, end }) =>
      used.some(
        (o) =>
          o.t.id !== t.id &&
          o.t.prints === t.prints &&
          o.t.does !== t.does &&
          // Joined inside they are one, whatever they are called.
          netOf(circuit, o.end) !== netOf(circuit, end) &&
          [end, o.end].some((e) => circuit.wiring.wires.some((w) => w.from === e || w.to === e)),
      ),
    )
    const names = [...new Set(twins.map(({ t }) => t.prints))]
    return names.length === 0
      ? good(message`No two that are used bear one name.`)
      : {
          severity: 'watch',
          title: message`Two terminals print ${listed(names)}`,
          says: message`${twins.map(({ t }) => `${t.prints}: ${t.does === undefined ? 'not known' : terminalFunctions[t.does].words.toLowerCase()}`).join('; ')}.`,
          why: 'Count from the end of the strip, and look at the drawing: the place tells them apart, not the name.',
          path: 'manual',
        }
  }),

  ofWiring(
    { id: 'wiring.thermistor', asks: 'Thermistor on its own input', by: 'in-use', chainLink: 'motor' },
    (circuit): Answer => {
      const { controls, wiring } = circuit.facts.plan
      if (controls.thermistorWired === undefined) return lacks('controls.thermistorWired')
      if (!controls.thermistorWired) return doesNotApply('The winding has none')
      if (wiring.thermistorOn === 'nothing')
        return {
          severity: 'watch',
          about: 'unused',
          title: message`The thermistor is not used`,
          says: message`It is in the winding, and no wire leads from it to the drive.`,
          why: 'It is the only thing that knows how hot a slow motor gets.',
          remedies: [{ label: message`To its own input`, patch: [set('wiring.thermistorOn', 'input')] }],
          path: 'wiring.thermistorOn',
        }
      const sensor = deviceBy(circuit, 'thermistor')
      const own = driveEnds(circuit, 'thermistor-1', 'thermistor-2').map((end) => netOf(circuit, end))
      const at = sensor?.terminals.map((t) => netOf(circuit, endOf(sensor.id, t.id))) ?? []
      if (at.length > 0 && at.every((net) => own.includes(net))) return good(message`On its own input.`)
      if (wiring.thermistorOn === 'fault')
        return good(message`A switch in the winding opens the input for outside faults.`)
      return {
        severity: 'watch',
        about: 'input',
        title: message`The thermistor is on the wrong input`,
        says: message`It changes its ohms slowly; an input for switches sees that too late, or never.`,
        why: 'Its own input, or a relay made for it.',
        path: 'wiring.thermistorOn',
      }
    },
  ),

  ofWiring(
    { id: 'wiring.relay', asks: 'What the drive’s relay may switch', by: 'first-power', danger: true },
    (circuit): Answer => {
      const live = circuit.facts.mains
      const ends = driveEnds(circuit, 'relay-common', 'relay-open')
      const mains = ends.some((end) => live.has(netOf(circuit, end)))
      const wired = ends.some((end) => circuit.wiring.wires.some((w) => w.from === end || w.to === end))
      if (!wired) return doesNotApply('It switches nothing')
      const most = circuit.manual.terminals.find((t) => t.does === 'relay-open')?.takes?.mostV
      if (!mains) return good(message`Signal volts, which any relay takes.`)
      const supplyV = circuit.facts.plan.supply.voltageV
      if (supplyV === undefined) return lacks('supply.voltageV')
      if (most === undefined)
        return {
          severity: 'stop',
          about: 'not-said',
          title: message`Whether the relay takes the mains is not said`,
          says: message`${volts(supplyV)} go through it; the manual as it stands here does not say how many it takes.`,
          why: 'Many are for 24 V only. A relay of its own between, or the manual’s number.',
          path: 'wiring.relayDoes',
        }
      return most >= supplyV
        ? good(message`${volts(supplyV)}, of ${volts(most)} that it takes.`)
        : {
            severity: 'stop',
            about: 'too-much',
            title: message`The relay does not take the mains`,
            says: message`${volts(supplyV)} go through it; it takes ${volts(most)}.`,
            why: 'It welds or breaks through to the control side. A relay of its own between.',
            path: 'wiring.relayDoes',
          }
    },
  ),

  ofWiring(
    { id: 'wiring.mains-control', asks: 'Control terminals apart from the mains', by: 'first-power', danger: true },
    (circuit): Answer => {
      const { manual, wiring } = circuit
      if (manual.isolated === true) return good(message`The manual says that they are isolated.`)
      const outside = wiring.devices.filter(
        (d) =>
          (d.role === 'controller' || (d.role === 'stop' && driveEnds(circuit, 'torque-off-1').length > 0)) &&
          circuit.wiring.wires.some((w) => [w.from, w.to].some((e) => e.startsWith(`${d.id}.`))),
      )
      const unknown = manual.isolated === undefined ? 'not said, which counts as not' : 'not'
      return outside.length > 0
        ? {
            severity: 'stop',
            about: 'joined',
            title: message`Control at the mains, joined to ${listed(outside.map((d) => d.name.toLowerCase()))}`,
            says: message`The drive’s control terminals are ${unknown} isolated from the mains.`,
            why: 'Whatever is joined to them is at the mains: controller, computer, person. Only through an isolator made for it.',
            path: 'manual',
          }
        : {
            severity: 'watch',
            about: 'touch',
            title: message`Control terminals at the mains`,
            says: message`They are ${unknown} isolated: knob, switches and every wire to them stand at mains potential.`,
            why: 'Knob and switches insulated for the mains, in a closed box; the common never earthed; no controller, serial bus or safety device but through isolation.',
            path: 'manual',
          }
    },
  ),

  ofChoices(
    { id: 'wiring.gland', asks: 'Control apart from power', by: 'on-machine' },
    ({ plan: { wiring } }): Answer => {
      if (wiring.oneGland === undefined) return lacks('wiring.oneGland')
      return wiring.oneGland
        ? {
            severity: 'watch',
            title: message`Control and power share a gland or run`,
            says: message`Side by side the motor’s leads send what they switch into the signals.`,
            why: 'Speed wobbles, inputs fire by themselves. A gland each, 200 mm apart, crossed at right angles.',
            remedies: [{ label: message`A gland for each`, patch: [set('wiring.oneGland', false)] }],
            path: 'wiring.oneGland',
          }
        : good(message`A gland for each.`)
    },
  ),
]
