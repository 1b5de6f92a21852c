import { terminalFunctions } from '../../manual/terminalFunctions'
import { amount, amps, listed, message } from '../../quantities'
import { numberOf } from '../../facts/figure'
import { regionOf, set } from '../../plan'
import { deviceOf, endOf } from '../../wiring/model'
import { openEnds } from '../../wiring/nets'
import { doesNotApply, good, isUnjudged, lacks, need, typed } from '../answer'
import type { Answer } from '../finding'
import { endWords, ofChoices, ofWiring, wiresAt } from './wired'

/** The disconnect carries at least this much of the input (NEC 430.110). */
const DISCONNECT = 1.15

/** What the drive lacks, what is left to do, and what the codes ask. */
export const buildChecks = [
  ofWiring(
    { id: 'wiring.lacks', asks: 'A terminal for everything that is wanted', by: 'buying', danger: true },
    ({ wiring: { lacks: lacking } }): Answer =>
      lacking.length === 0
        ? good(message`The drive has one for each.`)
        : {
            severity: 'stop',
            title: message`This drive has no terminal for ${listed(lacking.map(({ does }) => terminalFunctions[does].words.toLowerCase()))}`,
            says: message`Wanted for ${listed([...new Set(lacking.map(({ why }) => why))])}; its manual knows none, and no code that makes one.`,
            why: 'Another way to run or stop it, or another drive.',
            path: 'controls.runBy',
          },
  ),

  ofWiring({ id: 'wiring.assumed', asks: 'Terminals as printed', by: 'first-power' }, ({ wiring, manual }): Answer => {
    const assumed = manual.terminals.filter((t) => t.basis === 'assumed')
    if (!wiring.assumed) return good(message`All are as the manual or the board prints them.`)
    return {
      severity: 'watch',
      title: message`Terminals that are only assumed`,
      says: message`${assumed.map((t) => t.prints).join(', ')}.`,
      why: 'A drive is wired by what it prints. Find each on the board or in the manual before the power comes.',
      toDo: true,
      path: 'manual',
    }
  }),

  ofWiring(
    { id: 'wiring.open-ends', asks: 'A wire at every terminal that needs one', by: 'first-power', danger: true },
    (circuit): Answer => {
      const open = circuit.wiring.lacks.length > 0 ? [] : openEnds(circuit.wiring)
      return open.length === 0
        ? good(message`None is left open that needs one.`)
        : {
            severity: 'stop',
            title: message`A terminal without its wire`,
            says: message`${open.map((end) => endWords(circuit, end)).join(', ')}.`,
            why: 'What hangs there does nothing, or the wire that should be there is somewhere else.',
            path: 'wiring.changes',
          }
    },
  ),

  ofWiring({ id: 'wiring.one-screw', asks: 'Wires under one screw', by: 'first-power' }, (circuit): Answer => {
    const full = circuit.wiring.devices.flatMap((d) =>
      d.terminals
        .map((t) => ({ t, end: endOf(d.id, t.id) }))
        .filter(({ t, end }) => wiresAt(circuit, end).length > Math.max(2, t.wires)),
    )
    const [first] = full
    return first === undefined
      ? good(message`Two at most.`)
      : {
          severity: 'watch',
          title: message`Too many wires under one screw`,
          says: message`${endWords(circuit, first.end)}: ${String(wiresAt(circuit, first.end).length)}.`,
          why: 'One of them is loose from the start. A joining strip, or a twin ferrule.',
          path: 'wiring.changes',
        }
  }),

  ofWiring({ id: 'wiring.clamp', asks: 'Wires that the clamps take', by: 'buying' }, (circuit): Answer => {
    const { manual, wiring } = circuit
    if (manual.clamps.length === 0)
      return {
        severity: 'note',
        about: 'not-said',
        title: message`What its clamps take is not said`,
        says: message`The manual as it stands here names no sizes and no torque.`,
        why: 'Read them before buying cable; a torque screwdriver where it names one.',
        path: 'manual',
      }
    const wrong = wiring.wires.filter((w) =>
      [w.from, w.to].some((end) => {
        const d = circuit.nets.device(end)
        if (d?.role !== 'drive' || w.areaMm2 === undefined) return false
        const group = manual.terminals.find((t) => `drive.${t.id}` === end)?.group
        const clamp = manual.clamps.find((c) => c.group === group)
        return (
          clamp !== undefined &&
          (w.areaMm2 > (clamp.mostMm2 ?? Infinity) + 1e-9 || w.areaMm2 < (clamp.leastMm2 ?? 0) - 1e-9)
        )
      }),
    )
    const [first] = wrong
    return first === undefined
      ? good(message`Every wire of which the size is known fits.`)
      : {
          severity: 'watch',
          title: message`A wire that the clamp does not take`,
          says: message`Wire ${String(first.number)}, ${first.purpose}: ${amount('area', first.areaMm2 ?? 0)}.`,
          why: 'Too thick it does not go in whole, too thin it is not held. Another size, or a pin.',
          path: 'wiring.changes',
        }
  }),

  ofWiring(
    { id: 'wiring.factory-links', asks: 'Links fitted at the factory', by: 'first-spin', danger: true },
    ({ wiring, facts: { plan } }): Answer => {
      if (wiring.linksOut.length === 0)
        return wiring.linksIn.length === 0
          ? doesNotApply('The manual names none')
          : good(message`${listed(wiring.linksIn.map(({ from, to }) => `${from} to ${to}`))} stays in.`)
      const done = plan.wiring.steps?.['links']?.answer === 'done'
      return done
        ? good(message`${listed(wiring.linksOut.map(({ from, to }) => `${from} to ${to}`))} is out.`)
        : {
            severity: 'watch',
            title: message`Links to take out`,
            says: message`${wiring.linksOut.map(({ from, to, why }) => `${from} to ${to}: ${why}`).join('; ')}.`,
            why: 'Left in, what is wired there does nothing: a mushroom beside a bridge is an ornament.',
            toDo: true,
            path: 'wiring.steps',
          }
    },
  ),

  ofWiring(
    { id: 'wiring.jumpers', asks: 'Jumpers for this wiring', by: 'first-power' },
    ({ wiring, manual, facts: { plan } }): Answer => {
      if (wiring.jumpers.length > 0 && plan.wiring.steps?.['jumpers']?.answer === 'done')
        return good(
          message`${listed(wiring.jumpers.map(({ prints, position }) => `${prints} in ${position}`))}, looked at.`,
        )
      const move = wiring.jumpers.filter(
        ({ prints, position }) => manual.jumpers.find((j) => j.prints === prints)?.comesIn !== position,
      )
      return move.length === 0
        ? wiring.jumpers.length === 0
          ? doesNotApply('None decides how switches are closed')
          : good(
              message`${listed(wiring.jumpers.map(({ prints, position }) => `${prints} in ${position}`))}, as it comes.`,
            )
        : {
            severity: 'watch',
            title: message`A jumper to move`,
            says: message`${move.map(({ prints, position, why }) => `${prints} to ${position}: ${why}`).join('; ')}.`,
            why: 'In the other position no switch is read, or every one is. Moved without power, waited, measured.',
            toDo: true,
            path: 'manual',
          }
    },
  ),

  ofWiring(
    { id: 'wiring.refused', asks: 'Wires changed by hand', by: 'first-power' },
    ({ wiring, facts: { plan } }): Answer => {
      const { changes = [] } = plan.wiring
      if (changes.length === 0) return doesNotApply('None is wired otherwise')
      return wiring.refused.length === 0
        ? good(message`${String(changes.length)} kept.`)
        : {
            severity: 'watch',
            title: message`A change by hand no longer fits`,
            says: message`${wiring.refused.map(({ wire, why }) => `${wire}: ${why}`).join('; ')}.`,
            why: 'The plan has changed under it. Make it anew, or take it away.',
            path: 'wiring.changes',
          }
    },
  ),

  ofChoices(
    { id: 'wiring.insulation-test', asks: 'Insulation tested without the drive', by: 'first-power', danger: true },
    ({ plan: { wiring } }): Answer => {
      if (wiring.insulationTested === undefined) return lacks('wiring.insulationTested')
      return wiring.insulationTested === 'apart'
        ? good(message`The drive was off its leads.`)
        : {
            severity: 'stop',
            title: message`Insulation tested with the drive joined`,
            says: message`Its input and output stood at the tester’s volts.`,
            why: 'The drive is damaged, perhaps not at once. Take it off, test the winding alone, and have the drive proved before it has power.',
            path: 'wiring.insulationTested',
          }
    },
  ),

  ofChoices(
    { id: 'wiring.slack', asks: 'Slack to a motor that moves', by: 'on-machine', chainLink: 'belts' },
    ({ plan: { survey, wiring } }): Answer => {
      if (survey.machineKind === 'bare-motor') return doesNotApply('The motor stands by itself')
      if (wiring.slackLoop === undefined) return lacks('wiring.slackLoop')
      return wiring.slackLoop
        ? good(message`A loop that the belt’s tension may use up.`)
        : {
            severity: 'watch',
            title: message`No slack to the motor`,
            says: message`Moved for the belt’s tension it pulls at its cable.`,
            why: 'The earth is the core that comes off unseen. A loop, and the earth longest of all.',
            remedies: [{ label: message`A slack loop`, patch: [set('wiring.slackLoop', true)] }],
            path: 'wiring.slackLoop',
          }
    },
  ),

  ofWiring(
    { id: 'wiring.entries', asks: 'Entries of the drive closed', by: 'on-machine' },
    ({ manual, wiring }): Answer => {
      const holes = manual.outline?.knockouts ?? []
      if (holes.length === 0) return doesNotApply('The manual names no entries')
      const open = holes.reduce((sum, { count, plugged }) => sum + (plugged === true ? 0 : count), 0)
      const cables = wiring.cables.length + 1
      return open <= cables
        ? good(message`${String(open)} open as it comes, ${String(cables)} cables.`)
        : {
            severity: 'watch',
            title: message`Entries that stay open`,
            says: message`${String(open)} are open as it comes, and ${String(cables)} cables go in: ${String(open - cables)} want a plug.`,
            why: 'Chips and wet find the one that was left.',
            toDo: true,
            path: 'manual',
          }
    },
  ),

  ofWiring(
    {
      id: 'wiring.second-supply',
      asks: 'What the isolator leaves live',
      by: 'first-power',
      chainLink: 'wall',
      danger: true,
    },
    (circuit): Answer => {
      const { wiring } = circuit.facts.plan
      if (wiring.isolator === undefined) return lacks('wiring.isolator')
      if (wiring.isolator === 'plug') return good(message`The plug takes everything off.`)
      const past = circuit.wiring.wires.filter(
        (w) =>
          w.class === 'power' &&
          w.kind === 'wire' &&
          deviceOf(w.from) === 'wall' &&
          ['blower-fuse', 'pump-fuse', 'blower', 'pump'].includes(deviceOf(w.to)),
      )
      if (past.length === 0) return good(message`Nothing is fed past it.`)
      if (wiring.secondSupplyLabelled === undefined) return lacks('wiring.secondSupplyLabelled')
      return wiring.secondSupplyLabelled
        ? good(message`${listed(past.map((w) => w.purpose))}: labelled, its wires orange.`)
        : {
            severity: 'stop',
            title: message`Something stays live when the isolator is off`,
            says: message`${listed(past.map((w) => w.purpose))} is fed past it.`,
            why: 'Who switched it off reaches in. A label at the door, the wires orange, and the source named (IEC 60204-1 5.3.5).',
            remedies: [{ label: message`Labelled, wires orange`, patch: [set('wiring.secondSupplyLabelled', true)] }],
            path: 'wiring.secondSupplyLabelled',
          }
    },
  ),

  ofChoices(
    { id: 'wiring.short-circuit', asks: 'Short-circuit rating', by: 'buying', chainLink: 'wall' },
    ({ plan }): Answer => {
      if (regionOf(plan) === undefined) return lacks('supply.frequencyHz')
      if (regionOf(plan) !== 'nec') return doesNotApply('These rules ask for it in the other region')
      const known = need(
        typed('wiring.panelShortCircuitA', plan.wiring.panelShortCircuitA),
        typed('wiring.driveShortCircuitA', plan.wiring.driveShortCircuitA),
      )
      if (isUnjudged(known)) return known
      const [panelA, driveA] = known
      return driveA >= panelA
        ? good(message`${amps(driveA)}, of ${amps(panelA)} that the panel delivers.`)
        : {
            severity: 'stop',
            title: message`The panel delivers more than the drive stands`,
            says: message`${amps(panelA)} of short circuit, where the drive is rated for ${amps(driveA)} behind a listed branch breaker (NEC 110.9, 110.10).`,
            why: 'A short in its input bursts it. Fuses that limit, or another drive.',
            path: 'wiring.driveShortCircuitA',
          }
    },
  ),

  ofChoices(
    { id: 'wiring.disconnect', asks: 'Disconnect large enough', by: 'buying', chainLink: 'wall' },
    ({ plan, drive }): Answer => {
      if (regionOf(plan) === undefined) return lacks('supply.frequencyHz')
      if (regionOf(plan) !== 'nec') return doesNotApply('These rules ask for it in the other region')
      if (plan.wiring.isolator === undefined) return lacks('wiring.isolator')
      if (plan.wiring.isolator === 'plug' || plan.wiring.isolator === 'none')
        return doesNotApply('No switch is planned')
      const inputA = numberOf(drive.inputA)
      if (plan.wiring.isolatorA === undefined) return lacks('wiring.isolatorA')
      if (inputA === undefined) return lacks('drive.ratedInputA')
      return plan.wiring.isolatorA >= DISCONNECT * inputA
        ? good(message`${amps(plan.wiring.isolatorA)}, of ${amps(DISCONNECT * inputA)} wanted.`)
        : {
            severity: 'watch',
            title: message`The disconnect is small`,
            says: message`${amps(plan.wiring.isolatorA)}; 115 % of the input is ${amps(DISCONNECT * inputA)} (NEC 430.110), in sight of the machine.`,
            why: 'Opened under load it may not open.',
            path: 'wiring.isolatorA',
          }
    },
  ),

  ofChoices(
    { id: 'wiring.knob-lifted', asks: 'Each knob wire lifted in turn', by: 'first-spin', danger: true },
    ({ plan: { controls, wiring } }): Answer => {
      if (controls.reference === undefined) return lacks('controls.reference')
      if (controls.reference !== 'knob') return doesNotApply('It has no knob')
      const record = wiring.steps?.['knob-lifted']
      return record?.answer === 'done'
        ? good(message`Tried, with the motor bare: none of the three means full speed.`)
        : {
            severity: record?.answer === 'wrong' ? 'stop' : 'watch',
            title: message`What a lost knob wire does is not known`,
            says:
              record?.answer === 'wrong'
                ? message`One of them, lifted, gave full speed.`
                : message`The common end lost is full speed on many drives.`,
            why: 'Motor bare, lowest speed, one wire lifted dead, switched on, looked at, and the next. A drive that watches its reference, or a resistor from wiper to common.',
            toDo: record?.answer !== 'wrong',
            path: 'wiring.steps',
          }
    },
  ),
]
