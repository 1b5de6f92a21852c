import { amount, message } from '../../quantities'
import { set } from '../../plan'
import { colourFor, colourWords } from '../../wiring/conductors'
import { endOf, isLive, type Wire } from '../../wiring/model'
import { doesNotApply, good, lacks } from '../answer'
import type { Answer } from '../finding'
import { conducts } from '../../facts/wiring/mainsNets'
import { endWords, ofChoices, ofWiring, type Circuit } from './wired'

/** Up to this a protective conductor is as thick as its lines; over it half is enough above 35 (IEC 60364-5-54, table 54.2). */
const AS_THICK_MM2 = 16

const leastEarth = (lineMm2: number): number =>
  lineMm2 <= AS_THICK_MM2 ? lineMm2 : lineMm2 <= 2 * AS_THICK_MM2 + 3 ? AS_THICK_MM2 : lineMm2 / 2

/** Ends that must be at earth, and are not. */
function unearthed(circuit: Circuit) {
  const { wiring, nets } = circuit
  const wall = wiring.devices.find((d) => d.role === 'supply')
  const earth = wall?.terminals.find((t) => t.potential === 'PE')
  if (!wall || !earth) return []
  const net = nets.of(endOf(wall.id, earth.id))
  // The drive's earths are joined at its frame.
  const bonded = new Set([net])
  for (const d of wiring.devices.filter(({ role }) => role === 'drive')) {
    const own = d.terminals.filter((t) => t.potential === 'PE').map((t) => nets.of(endOf(d.id, t.id)))
    if (own.includes(net)) for (const other of own) bonded.add(other)
  }
  return wiring.devices.flatMap((d) => {
    const screws = d.terminals.filter((t) => t.potential === 'PE')
    const held = screws.some((t) => bonded.has(nets.of(endOf(d.id, t.id))))
    return screws.length === 0 || held ? [] : [d]
  })
}

const earthWires = ({ wiring }: Circuit): Wire[] => wiring.wires.filter((w) => w.kind === 'earth')

/** What protects a hand on the metal. */
export const earthChecks = [
  ofWiring(
    { id: 'wiring.earth', asks: 'Earth at everything that has a screw for it', by: 'first-power', danger: true },
    (circuit): Answer => {
      const without = unearthed(circuit)
      return without.length === 0
        ? good(message`Drive, motor, box, frame and what else is metal: all reach the wall’s earth.`)
        : {
            severity: 'stop',
            title: message`Something metal has no earth`,
            says: message`${without.map((d) => d.name).join(', ')}: no wire leads from there to the wall’s earth.`,
            why: 'A fault makes it live, and no breaker moves until somebody touches it.',
            path: 'wiring.changes',
          }
    },
  ),

  ofWiring({ id: 'wiring.earth-shared', asks: 'An earth wire for each', by: 'first-power' }, (circuit): Answer => {
    const counts = new Map<string, number>()
    for (const { from, to } of earthWires(circuit))
      for (const end of [from, to]) {
        const role = circuit.nets.device(end)?.role
        if (role !== 'bar' && role !== 'drive' && role !== 'supply') counts.set(end, (counts.get(end) ?? 0) + 1)
      }
    const shared = [...counts].filter(([, n]) => n > 1).map(([end]) => end as `${string}.${string}`)
    return shared.length === 0
      ? good(message`Each has a wire of its own from the bar or the drive.`)
      : {
          severity: 'watch',
          title: message`An earth runs through another’s screw`,
          says: message`${shared.map((end) => endWords(circuit, end)).join(', ')}: two earth wires under it.`,
          why: 'Take one away and the next is without earth. A wire for each, from the bar.',
          path: 'wiring.changes',
        }
  }),

  ofWiring(
    { id: 'wiring.earth-thin', asks: 'Earth as thick as its lines', by: 'first-power', danger: true },
    (circuit): Answer => {
      const { wiring, facts } = circuit
      const lines = (cable: string | undefined) =>
        wiring.wires.filter(
          (w) => w.class === 'power' && w.kind === 'wire' && (cable === undefined || w.cable === cable),
        )
      const earths = earthWires(circuit)
      if (earths.every((w) => w.areaMm2 === undefined))
        return lacks(
          ...(facts.plan.supply.cableMm2 === undefined ? (['supply.cableMm2'] as const) : []),
          ...(facts.plan.installation.motorCableMm2 === undefined ? (['installation.motorCableMm2'] as const) : []),
          ...(facts.plan.supply.cableMm2 !== undefined && facts.plan.installation.motorCableMm2 !== undefined
            ? (['wiring.changes'] as const)
            : []),
        )
      const thin = earths.filter((w) => {
        if (w.areaMm2 === undefined || w.cable === undefined) return false
        const thickest = Math.max(0, ...lines(w.cable).map((line) => line.areaMm2 ?? 0))
        return thickest > 0 && w.areaMm2 < leastEarth(thickest) - 1e-9
      })
      const [first] = thin
      return first === undefined
        ? good(message`No earth is thinner than the lines of its cable.`)
        : {
            severity: 'stop',
            title: message`An earth is too thin`,
            says: message`Wire ${String(first.number)}, ${first.purpose}: ${amount('area', first.areaMm2 ?? 0)}, beside lines of more.`,
            why: 'It must carry a fault until the breaker has cut it. As thick as the lines up to 16 mm² (IEC 60364-5-54).',
            path: 'wiring.changes',
          }
    },
  ),

  ofChoices(
    {
      id: 'wiring.motor-body',
      asks: 'Body of motor or spindle earthed',
      by: 'first-power',
      chainLink: 'motor',
      danger: true,
    },
    ({ plan: { wiring } }): Answer => {
      if (wiring.motorConnector === undefined) return lacks('wiring.motorConnector')
      if (wiring.motorConnector !== 'pin-empty')
        return good(
          wiring.motorConnector === 'none'
            ? message`By the screw in its box.`
            : message`A pin of its connector earths it.`,
        )
      return {
        severity: 'stop',
        title: message`The body of the motor has no earth`,
        says: message`The connector’s earth pin stays empty, and a rubber mount or a ceramic bearing holds it apart from the machine.`,
        why: 'A winding that fails to its body makes it live. A wire to the pin, or a strap from the body to the bar, measured under 0.1 Ω.',
        remedies: [{ label: message`The pin earths it now`, patch: [set('wiring.motorConnector', 'pin-earthed')] }],
        path: 'wiring.motorConnector',
      }
    },
  ),

  ofWiring({ id: 'wiring.frame', asks: 'Machine frame bonded', by: 'first-power', danger: true }, (circuit): Answer => {
    const frame = circuit.wiring.devices.find((d) => d.role === 'frame')
    const bar = circuit.wiring.devices.find((d) => d.role === 'bar')
    const [a, b] = [frame?.terminals[0], bar?.terminals[0]]
    if (!frame || !bar || !a || !b) return doesNotApply('No frame stands in this wiring')
    return circuit.nets.of(endOf(frame.id, a.id)) === circuit.nets.of(endOf(bar.id, b.id))
      ? good(message`It is bonded to the bar.`)
      : {
          severity: 'stop',
          title: message`The machine’s frame is not bonded`,
          says: message`No wire leads from the frame to the earth bar.`,
          why: 'The motor’s earth alone leaves it to the bolts and the paint.',
          path: 'wiring.changes',
        }
  }),

  ofChoices(
    { id: 'wiring.shield', asks: 'Shield of the motor cable', by: 'on-machine', chainLink: 'motor' },
    ({ plan: { wiring } }): Answer => {
      if (wiring.motorShield === undefined) return lacks('wiring.motorShield')
      if (wiring.motorShield === 'both') return good(message`All round, at both ends.`)
      const says = {
        drive: message`It is landed at the drive only: at high frequency that is hardly at all.`,
        tail: message`A twisted tail is a coil to what it should carry away.`,
        none: message`Without one the cable sends what the drive switches into everything beside it.`,
      }[wiring.motorShield]
      return {
        severity: 'watch',
        title: message`The motor cable’s shield does not work`,
        says,
        why: 'Digital readouts count by themselves, radios buzz, earth-leakage devices trip. Clamped all round at both ends.',
        remedies: [{ label: message`At both ends, all round`, patch: [set('wiring.motorShield', 'both')] }],
        path: 'wiring.motorShield',
      }
    },
  ),

  ofWiring({ id: 'wiring.signal-shield', asks: 'Shields of signal leads', by: 'on-machine' }, (circuit): Answer => {
    const shields = circuit.wiring.wires.filter((w) => w.kind === 'shield' && w.class === 'control')
    if (shields.length === 0) return doesNotApply('No signal lead has a shield')
    const both = shields.filter(
      (w) => circuit.nets.terminal(w.to)?.cut !== true && circuit.nets.terminal(w.from)?.cut !== true,
    )
    const [first] = both
    return first === undefined
      ? good(message`Each is clamped at the drive’s end and taped back at the other.`)
      : {
          severity: 'watch',
          title: message`A signal’s shield is landed at both ends`,
          says: message`Wire ${String(first.number)}: at mains hertz a current then flows through it.`,
          why: 'Speed wobbles. A slow signal’s shield is landed at the drive alone, all round.',
          path: 'wiring.changes',
        }
  }),

  ofChoices(
    { id: 'wiring.earth-inside', asks: 'Motor’s earth inside its cable', by: 'first-power', chainLink: 'motor' },
    ({ plan: { wiring } }): Answer => {
      if (wiring.motorEarthInside === undefined) return lacks('wiring.motorEarthInside')
      return wiring.motorEarthInside
        ? good(message`It runs with the three leads.`)
        : {
            severity: 'watch',
            title: message`The motor’s earth runs outside its cable`,
            says: message`What the drive sends to earth then comes back by a loop as large as the way between both.`,
            why: 'Noise, bearing currents, and a fault that finds a longer way. Four cores in one cable.',
            remedies: [{ label: message`It runs in the cable`, patch: [set('wiring.motorEarthInside', true)] }],
            path: 'wiring.motorEarthInside',
          }
    },
  ),

  ofWiring(
    { id: 'wiring.colours', asks: 'Conductor colours of the region', by: 'first-power', danger: true },
    (circuit): Answer => {
      const { region, wires } = circuit.wiring
      const earth = colourFor(region, 'PE')
      const earthColours = new Set(['GNYE', 'GN'])
      const wrong = wires.filter((w) =>
        w.kind === 'earth' ? w.colour !== earth : w.kind === 'wire' && earthColours.has(w.colour),
      )
      const neutral = colourFor(region, 'N')
      const live = wires.filter(
        (w) =>
          w.class === 'power' &&
          w.colour === neutral &&
          [w.from, w.to].some((end) => isLive(circuit.nets.terminal(end)?.potential)),
      )
      const [first] = [...wrong, ...live]
      return first === undefined
        ? good(message`Earth is ${colourWords(earth)} and nothing else is; no live wire is ${colourWords(neutral)}.`)
        : {
            severity: 'stop',
            title: message`A wire in a colour that says something else`,
            says: message`Wire ${String(first.number)}, ${first.purpose}, is ${colourWords(first.colour)}.`,
            why: `The next person trusts colours. Earth is ${colourWords(earth)} here, neutral ${colourWords(neutral)}.`,
            path: 'wiring.changes',
          }
    },
  ),

  ofWiring(
    { id: 'wiring.control-earthed', asks: 'Common of the control terminals', by: 'first-power', danger: true },
    (circuit): Answer => {
      const commons = circuit.wiring.devices
        .filter((d) => d.role === 'drive')
        .flatMap((d) =>
          d.terminals.filter((t) => t.potential === '0V' || t.potential === 'a0V').map((t) => endOf(d.id, t.id)),
        )
      const earthed = commons.filter((end) =>
        [...circuit.nets.reach(end, conducts, (d) => d.role === 'drive')].some((net) =>
          circuit.nets.potentials(net).includes('PE'),
        ),
      )
      const [first] = earthed
      if (first === undefined) return good(message`No wire joins it to earth.`)
      if (circuit.manual.isolated !== true)
        return {
          severity: 'stop',
          title: message`The common is earthed on a drive whose control is at the mains`,
          says: message`${endWords(circuit, first)} is joined to earth; ${circuit.manual.isolated === false ? 'its terminals are not isolated' : 'whether its terminals are isolated is not known, which counts as not'}.`,
          why: 'The board is destroyed at the first switching on, and the earth carries it.',
          path: 'wiring.changes',
        }
      return circuit.wiring.logic === 'sink'
        ? {
            severity: 'watch',
            title: message`Sink logic with an earthed common`,
            says: message`One chafed wire that touches the frame is RUN.`,
            why: 'Source where the drive offers it: a chafed wire then blows or stops, and starts nothing.',
            remedies: [{ label: message`Close to the volts (source)`, patch: [set('wiring.logic', 'source')] }],
            path: 'wiring.logic',
          }
        : good(message`It is earthed, and switches close to the volts: a chafed wire starts nothing.`)
    },
  ),
]
