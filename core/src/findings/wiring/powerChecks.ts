import { message, amount } from '../../quantities'
import { heartOf, set } from '../../plan'
import { endOf, isBus } from '../../wiring/model'
import { clashes } from '../../wiring/nets'
import { doesNotApply, good, isUnjudged, lacks, need, typed } from '../answer'
import type { Answer } from '../finding'
import { conducts, mainsNets } from '../../facts/wiring/mainsNets'
import { deviceBy, driveEnds, endWords, netOf, ofChoices, ofWiring, type Circuit } from './wired'

const MOTOR_ENDS = ['motor-u', 'motor-v', 'motor-w', 'armature-1', 'armature-2', 'field-1', 'field-2'] as const

/** Ends that hang on the motor's side of the drive, through whatever lies between. */
function onOutput(circuit: Circuit) {
  const { nets } = circuit
  const reached = new Set<string>()
  for (const end of driveEnds(circuit, ...MOTOR_ENDS))
    for (const net of nets.reach(end, conducts, (d) => d.role === 'drive' || d.role === 'motor')) reached.add(net)
  return [...reached].flatMap((net) => [...nets.ends(net)])
}

const loads = new Set([
  'blower',
  'pump',
  'lamp',
  'controller',
  'contactor',
  'transformer',
  'breaker',
  'leakage',
  'filter',
])

/** What must never meet on the power side. */
export const powerChecks = [
  ofWiring(
    { id: 'wiring.supply-on-motor', asks: 'Supply kept off the motor terminals', by: 'first-power', danger: true },
    (circuit): Answer => {
      const live = circuit.facts.mains
      const ends = driveEnds(circuit, ...MOTOR_ENDS).filter((end) => live.has(netOf(circuit, end)))
      return ends.length === 0
        ? good(message`No conductor of the wall reaches them.`)
        : {
            severity: 'stop',
            title: message`The supply is on the drive’s motor terminals`,
            says: message`${ends.map((end) => endWords(circuit, end)).join(', ')}: a conductor of the wall gets there.`,
            why: 'The drive is destroyed at the first switching on, and may burst.',
            path: 'wiring.changes',
          }
    },
  ),

  ofWiring(
    { id: 'wiring.bus', asks: 'Nothing but the resistor on the bus', by: 'first-power', danger: true },
    (circuit): Answer => {
      const ends = circuit.nets
        .all()
        .filter((net) => net.some((end) => isBus(circuit.nets.terminal(end)?.potential)))
        .flat()
        .filter((end) => {
          const role = circuit.nets.device(end)?.role
          return role !== 'drive' && role !== 'resistor'
        })
      return ends.length === 0
        ? good(message`Nothing hangs there that does not belong.`)
        : {
            severity: 'stop',
            title: message`Something hangs on the bus`,
            says: message`${ends.map((end) => endWords(circuit, end)).join(', ')}.`,
            why: 'The bus holds direct volts long after the power is off, and feeds a fault with all that is in its capacitors.',
            path: 'wiring.changes',
          }
    },
  ),

  ofWiring(
    {
      id: 'wiring.loads-on-output',
      asks: 'Blower, lamp and pump kept off the drive’s output',
      by: 'first-power',
      danger: true,
    },
    (circuit): Answer => {
      const found = onOutput(circuit).filter((end) => loads.has(circuit.nets.device(end)?.role ?? ''))
      return found.length === 0
        ? good(message`Only the motor hangs there.`)
        : {
            severity: 'stop',
            title: message`Something that wants the mains hangs on the drive’s output`,
            says: message`${[...new Set(found.map((end) => endWords(circuit, end)))].join(', ')}.`,
            why: 'Its volts and hertz change with the speed: blowers, lamps, coils and capacitors burn there, and the drive trips or dies.',
            path: 'wiring.changes',
          }
    },
  ),

  ofChoices(
    {
      id: 'wiring.switch-behind-drive',
      asks: 'Switch between drive and motor',
      by: 'first-spin',
      chainLink: 'motor',
      danger: true,
    },
    ({ plan }): Answer => {
      const { wiring } = plan
      if (wiring.motorSwitch === undefined) return lacks('wiring.motorSwitch')
      if (wiring.motorSwitch === 'none') return good(message`Nothing is switched there.`)
      const isDrawn = heartOf(plan) === 'inverter'
      const early = message`Lockable, and its early contact opens the enable before its poles part.`
      if (wiring.motorSwitch === 'early-break')
        return isDrawn
          ? good(early)
          : {
              severity: 'note',
              title: message`The switch at the motor is not drawn here`,
              says: early,
              why: 'Of such a motor the wires of a switch are put in by hand, under Wiring: its poles, and its early contact in the enable.',
              path: 'wiring.motorSwitch',
            }
      return {
        severity: 'stop',
        title: message`A switch between drive and motor`,
        says: message`Opened while it runs it draws an arc; closed onto a running drive it takes the current of a start straight on the line.`,
        why: 'The drive trips or its output burns. An isolator belongs there only if it locks and its early contact opens the enable first.',
        remedies: [
          { label: message`Take it out`, patch: [set('wiring.motorSwitch', 'none')] },
          ...(isDrawn
            ? [
                {
                  label: message`Lockable, with an early contact in the enable`,
                  patch: [set('wiring.motorSwitch', 'early-break')],
                },
              ]
            : []),
        ],
        path: 'wiring.motorSwitch',
      }
    },
  ),

  ofWiring(
    { id: 'wiring.two-motors', asks: 'Motors on one drive', by: 'first-spin', chainLink: 'motor', danger: true },
    ({ facts: { plan } }): Answer => {
      const { motors } = plan.wiring
      if (motors === undefined || motors === 'one') return doesNotApply('One motor hangs on it')
      return motors === 'two-overloads'
        ? good(message`Each has an overload of its own, whose contact opens the enable.`)
        : {
            severity: 'stop',
            title: message`Two motors behind one overload`,
            says: message`The drive’s overload sees the amps of both together; one may burn within them.`,
            why: 'An overload for each, with its contact in the enable, or a drive for each.',
            remedies: [{ label: message`An overload for each`, patch: [set('wiring.motors', 'two-overloads')] }],
            path: 'wiring.motors',
          }
    },
  ),

  ofWiring(
    { id: 'wiring.contactor-starts', asks: 'Contactor kept from starting it', by: 'first-spin', danger: true },
    (circuit): Answer => {
      if (!deviceBy(circuit, 'contactor')) return doesNotApply('No contactor stands before it')
      const { controls } = circuit.facts.plan
      if (controls.runBy === undefined) return lacks('controls.runBy')
      if (controls.runBy !== 'main-switch')
        return good(message`RUN comes to the drive by itself; the contactor only cuts.`)
      return {
        severity: 'stop',
        title: message`A contactor starts and stops the drive`,
        says: message`Each start charges the bus anew${controls.stopsPerHour === undefined ? '' : message`, ${String(controls.stopsPerHour)} times an hour here`}; drives stand a few an hour, one to two minutes apart.`,
        why: 'The charging resistor burns, and the machine starts by itself whenever the supply comes back.',
        remedies: [{ label: message`Use start and stop buttons`, patch: [set('controls.runBy', 'momentary')] }],
        path: 'controls.runBy',
      }
    },
  ),

  ofWiring(
    {
      id: 'wiring.neutral',
      asks: 'Neutral where the drive needs it',
      by: 'first-power',
      chainLink: 'wall',
      danger: true,
    },
    (circuit): Answer => {
      const { plan } = circuit.facts
      if (plan.drive.doubler !== true) return doesNotApply('It does not double')
      const at = driveEnds(circuit, 'neutral')
      if (at.length === 0) return good(message`The drive has no terminal for it.`)
      const fed = at.flatMap((end) => [...circuit.nets.ends(netOf(circuit, end))])
      const reached = at.some((end) =>
        [...circuit.nets.reach(end, conducts, (d) => d.role === 'drive')].some((net) =>
          circuit.nets.potentials(net).includes('N'),
        ),
      )
      if (reached) return good(message`The neutral is on the terminal that wants it.`)
      return {
        severity: 'stop',
        title: message`A doubler without its neutral`,
        says: message`${endWords(circuit, at[0] ?? endOf('drive', ''))} gets ${fed.length > 1 ? 'another conductor' : 'none'}; the doubler stands between it and the bus.`,
        why: 'Between two lines it makes twice the volts that it is built for.',
        path: 'supply.topology',
      }
    },
  ),

  ofWiring(
    { id: 'wiring.fuse', asks: 'Fuse that the manual wants', by: 'first-power', chainLink: 'wall', danger: true },
    ({ facts: { plan }, manual }): Answer => {
      const most = manual.fuse?.amps ?? plan.drive.manualProtectionA
      if (most === undefined) return lacks('drive.manualProtectionA')
      const known = need(typed('supply.breakerA', plan.supply.breakerA))
      if (isUnjudged(known)) return known
      const has = Math.min(known[0], plan.wiring.ownFuseA ?? Infinity)
      if (has <= most)
        return good(message`${amount('current', has)}, of ${amount('current', most)} that the manual allows.`)
      return {
        severity: 'stop',
        title: message`The fuse is larger than the manual allows`,
        says: message`${amount('current', has)} stand before the drive; its manual allows ${amount('current', most)}.`,
        why: 'When the drive’s input fails, a larger one lets it burn before it blows.',
        remedies: [
          { label: message`A fuse of its own, ${amount('current', most)}`, patch: [set('wiring.ownFuseA', most)] },
        ],
        path: 'wiring.ownFuseA',
      }
    },
  ),

  ofWiring(
    { id: 'wiring.clash', asks: 'No two potentials on one wire', by: 'first-power', danger: true },
    (circuit): Answer => {
      const found = clashes(circuit.nets)
      return found.length === 0
        ? good(message`Every wire has one.`)
        : {
            severity: 'stop',
            title: message`Two potentials meet`,
            says: message`${found.map(({ ends }) => ends.map((end) => endWords(circuit, end)).join(', ')).join('; ')}.`,
            why: 'A short circuit, or signals at the mains.',
            path: 'wiring.changes',
          }
    },
  ),

  ofWiring(
    {
      id: 'wiring.all-poles',
      asks: 'Isolator opens every live conductor',
      by: 'first-power',
      chainLink: 'wall',
      danger: true,
    },
    (circuit): Answer => {
      const { wiring } = circuit.facts.plan
      if (wiring.isolator === undefined) return lacks('wiring.isolator')
      if (wiring.isolator === 'plug') return good(message`The plug takes every conductor off.`)
      if (wiring.isolator === 'none')
        return {
          severity: 'stop',
          title: message`No isolator`,
          says: message`Nothing takes the power away before somebody opens the drive’s box.`,
          why: 'It is opened live sooner or later. A plug in sight is one; else a switch that locks.',
          remedies: [{ label: message`A lockable switch`, patch: [set('wiring.isolator', 'lockable')] }],
          path: 'wiring.isolator',
        }
      const live = mainsNets(circuit, (d) => d.role === 'isolator')
      const past = driveEnds(circuit, 'line-1', 'line-2', 'line-3').filter((end) => live.has(netOf(circuit, end)))
      return past.length === 0
        ? good(message`No live conductor reaches the drive past it.`)
        : {
            severity: 'stop',
            title: message`A live conductor passes the isolator by`,
            says: message`${past.map((end) => endWords(circuit, end)).join(', ')} stays live when it is off.`,
            why: 'Off is not off. Every live conductor goes through it.',
            path: 'wiring.changes',
          }
    },
  ),

  ofChoices(
    { id: 'wiring.isolator', asks: 'Isolator that can be locked', by: 'first-power', chainLink: 'wall', danger: true },
    ({ plan: { wiring } }): Answer => {
      const { isolator } = wiring
      if (isolator === undefined) return lacks('wiring.isolator')
      if (isolator === 'plain')
        return {
          severity: 'watch',
          title: message`The isolator cannot be locked`,
          says: message`Somebody may switch it on while your hands are in the box.`,
          why: 'One that takes a padlock, or the plug in your pocket.',
          remedies: [{ label: message`A lockable switch`, patch: [set('wiring.isolator', 'lockable')] }],
          path: 'wiring.isolator',
        }
      return isolator === 'none'
        ? doesNotApply('There is none, which is judged by itself')
        : good(isolator === 'plug' ? message`The plug, in sight.` : message`It takes a padlock.`)
    },
  ),
]
