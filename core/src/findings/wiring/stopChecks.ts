import type { TerminalFunction } from '../../manual/terminalFunctions'
import { listed, message, seconds } from '../../quantities'
import { rampsAtMushroom, set, setSetting, type Plan } from '../../plan'
import { endOf, type Device, type End } from '../../wiring/model'
import { delayedFunction } from '../../wiring/wishes'
import { doesNotApply, good, lacks } from '../answer'
import type { Answer } from '../finding'
import { conducts } from '../../facts/wiring/mainsNets'
import { deviceBy, driveEnds, endWords, netOf, ofChoices, ofWiring, type Circuit } from './wired'

/** Inputs that stop it when they open. */
const stopInputs: readonly TerminalFunction[] = [
  'stop-open',
  'enable',
  'quick-stop',
  'outside-fault',
  'torque-off-1',
  'torque-off-2',
]

/** Longer than this within reach, a category 0 stop wants a brake or a ramp first. */
const COAST_S = 10

/** A delay is set a fifth over what the ramp takes. */
const DELAY_OVER = 1.2

/** What a drive may do without anybody's RUN, and what comes of it. */
const byItself = {
  timer: ['A timer of the drive starts it', 'Its hour comes with somebody’s hand in it.'],
  sleep: ['It wakes by itself', 'What sleeps stands still and looks as if it were off.'],
  reset: ['It resets a trip by itself', 'It tripped for a reason, and starts again on whoever is looking for that.'],
  jog: ['A jog goes on by itself', 'A jog is safe only because it ends where the finger is lifted.'],
  several: ['More than one thing starts it by itself', 'Each of them comes with somebody’s hand in the machine.'],
} as const

/** Settings that start it by themselves, what they are then called, and what they are when off. */
const starters = [
  { id: 'runTimer', by: 'timer', on: 'on', off: 'off' },
  { id: 'sleepWake', by: 'sleep', on: 'on', off: 'off' },
  { id: 'tripReset', by: 'reset', on: 'itself', off: 'waits' },
  { id: 'jogMemory', by: 'jog', on: 'on', off: 'off' },
] as const

/** Which of them the drive was read to have on, and whether all were read. */
const heldStarters = (inDrive: Plan['settings']['inDrive']) => ({
  on: starters.filter(({ id, on }) => inDrive[id] === on),
  all: starters.every(({ id }) => inDrive[id] !== undefined),
})

/** Kinds of machine whose tool is reached past a guard. */
const guarded = new Set([
  'belt-grinder',
  'bandsaw',
  'surface-grinder',
  'tool-grinder',
  'pillar-drill',
  'router',
  'shaper',
])

const noStop = 'There is no stop mushroom'

const sources = new Set(['24V', 'sto', '0V', 'L1', 'L2', 'L3', 'N'])

/** Whether an end gets its signal from a source, through contacts; with one device's contacts open or without. */
function isFed(circuit: Circuit, end: End, open?: Device): boolean {
  const reached = circuit.nets.reach(end, conducts, (d) => d === open || d.role === 'drive' || d.role === 'motor')
  return [...reached].some((net) => circuit.nets.potentials(net).some((p) => sources.has(p)))
}

/** Those of some ends that lose their signal when this device opens, whatever else is closed. */
const cutBy = (circuit: Circuit, device: Device, ends: readonly End[]): End[] =>
  ends.filter((end) => isFed(circuit, end) && !isFed(circuit, end, device))

/** Ends of contactors' coils. */
const coilEnds = ({ wiring }: Circuit): End[] =>
  wiring.devices
    .filter((d) => d.role === 'contactor')
    .flatMap((d) => d.inside.filter((i) => i.kind === 'coil').flatMap((i) => i.between.map((t) => endOf(d.id, t))))

/** What stops it, and what must be closed to let it run. */
export const stopChecks = [
  ofChoices(
    { id: 'wiring.stop-contact', asks: 'Mushroom that opens', by: 'first-spin', danger: true },
    ({ plan: { controls, wiring } }): Answer => {
      if (controls.emergencyStop === undefined) return lacks('controls.emergencyStop')
      if (controls.emergencyStop === 'none') return doesNotApply(noStop)
      if (wiring.stopButton === undefined) return lacks('wiring.stopButton')
      if (wiring.stopButton === 'closed')
        return good(message`It opens by a direct action, pressed by hand and not by a spring.`)
      return wiring.stopButton === 'open'
        ? {
            severity: 'stop',
            about: 'closes',
            title: message`The stop mushroom closes when it is pressed`,
            says: message`A broken wire, a loose screw or a burnt contact, and pressing it does nothing.`,
            why: 'A contact that opens fails to the safe side: whatever comes off stops it (IEC 60204-1, ISO 13850).',
            remedies: [
              { label: message`One that opens, by a direct action`, patch: [set('wiring.stopButton', 'closed')] },
            ],
            path: 'wiring.stopButton',
          }
        : {
            severity: 'watch',
            about: 'not-direct',
            title: message`Nothing says that the mushroom opens by a direct action`,
            says: message`The mark is a circle with an arrow in it, on the contact block.`,
            why: 'Without it a welded contact stays closed however hard it is hit (IEC 60947-5-1 annex K).',
            remedies: [{ label: message`One with direct action`, patch: [set('wiring.stopButton', 'closed')] }],
            path: 'wiring.stopButton',
          }
    },
  ),

  ofWiring(
    { id: 'wiring.stop-way', asks: 'Mushroom in the right chain', by: 'first-spin', danger: true },
    (circuit): Answer => {
      const { emergencyStop } = circuit.facts.plan.controls
      if (emergencyStop === undefined) return lacks('controls.emergencyStop')
      if (emergencyStop === 'none') return doesNotApply(noStop)
      const mushroom = deviceBy(circuit, 'stop')
      if (!mushroom) return lacks('wiring.changes')
      const at = cutBy(circuit, mushroom, driveEnds(circuit, ...stopInputs))
      const drops = cutBy(circuit, mushroom, coilEnds(circuit)).length > 0
      if (emergencyStop === 'contactor' ? drops : at.length > 0)
        return good(
          at.length > 0
            ? message`It opens ${listed(at.map((end) => endWords(circuit, end)))}${drops ? ' and drops the contactor' : ''}.`
            : message`It drops the contactor.`,
        )
      return {
        severity: 'stop',
        title: message`The mushroom stops nothing`,
        says: message`From its contact no wire leads to an input that stops the drive, nor to a contactor.`,
        why: 'Pressed, the spindle runs on.',
        path: 'wiring.changes',
      }
    },
  ),

  ofWiring(
    { id: 'wiring.stop-serial', asks: 'Stop that does not go over the serial bus', by: 'first-spin', danger: true },
    (circuit): Answer => {
      const { controls } = circuit.facts.plan
      if (controls.emergencyStop === undefined) return lacks('controls.emergencyStop')
      if (controls.runBy === undefined) return lacks('controls.runBy')
      if (controls.reference !== 'serial') {
        if (controls.reference === undefined) return lacks('controls.reference')
        return doesNotApply('Nothing is told it over a bus')
      }
      return controls.emergencyStop === 'none'
        ? {
            severity: 'stop',
            title: message`It is stopped over the serial bus alone`,
            says: message`A cable that comes loose, a computer that hangs, and nothing stops it.`,
            why: 'A mushroom by wire, through safe torque off or a supply contactor, whatever the bus does.',
            path: 'controls.emergencyStop',
          }
        : good(message`The mushroom goes by wire.`)
    },
  ),

  ofWiring(
    { id: 'wiring.torque-off-bridge', asks: 'Bridge of safe torque off', by: 'first-spin', danger: true },
    (circuit): Answer => {
      const inputs = driveEnds(circuit, 'torque-off-1', 'torque-off-2')
      if (inputs.length === 0) return doesNotApply('The drive has no safe torque off')
      const { emergencyStop } = circuit.facts.plan.controls
      if (emergencyStop === undefined) return lacks('controls.emergencyStop')
      if (emergencyStop !== 'safe-torque-off' && delayedFunction(circuit.facts.plan) !== 'torque-off-1')
        return good(message`Not used: its bridge stays in, or the drive does not run.`)
      const supplies = driveEnds(circuit, 'torque-off-supply', 'supply-24').map((end) => netOf(circuit, end))
      const bridged = inputs.filter((end) => supplies.includes(netOf(circuit, end)))
      return bridged.length === 0
        ? good(message`No wire bridges it.`)
        : {
            severity: 'stop',
            title: message`Safe torque off is bridged`,
            says: message`${listed(bridged.map((end) => endWords(circuit, end)))} is on its volts whatever the mushroom does.`,
            why: 'The mushroom looks as if it stopped the machine, and does not.',
            path: 'wiring.changes',
          }
    },
  ),

  ofWiring(
    { id: 'wiring.torque-off-channels', asks: 'Both channels of safe torque off', by: 'first-spin' },
    (circuit): Answer => {
      const { controls, wiring } = circuit.facts.plan
      if (controls.emergencyStop === undefined) return lacks('controls.emergencyStop')
      if (controls.emergencyStop !== 'safe-torque-off' && delayedFunction(circuit.facts.plan) !== 'torque-off-1')
        return doesNotApply('The mushroom does not go there')
      const has = circuit.manual.terminals.filter((t) => t.does === 'torque-off-1' || t.does === 'torque-off-2').length
      if (has === 0) return doesNotApply('Its manual knows no such terminal, which is judged by itself')
      return has > 1 && wiring.torqueOffChannels !== undefined && wiring.torqueOffChannels < 2
        ? {
            severity: 'watch',
            title: message`One channel of two`,
            says: message`The drive has two, and the mushroom opens one: a fault in it is not seen.`,
            why: 'Both, each by a contact of its own. ISO 13850 expects performance level c of the whole; nothing here claims any level.',
            remedies: [{ label: message`Use both`, patch: [set('wiring.torqueOffChannels', 2)] }],
            path: 'wiring.torqueOffChannels',
          }
        : good(has > 1 ? message`Both, each by a contact of its own.` : message`It has one channel, and it is used.`)
    },
  ),

  ofWiring(
    { id: 'wiring.contactor-enable', asks: 'Contactor that also drops the enable', by: 'first-spin', danger: true },
    (circuit): Answer => {
      const { emergencyStop } = circuit.facts.plan.controls
      if (emergencyStop === undefined) return lacks('controls.emergencyStop')
      if (emergencyStop !== 'contactor') return doesNotApply('The mushroom drops no contactor')
      const mushroom = deviceBy(circuit, 'stop')
      const at = mushroom ? cutBy(circuit, mushroom, driveEnds(circuit, ...stopInputs)) : []
      return at.length > 0
        ? good(message`It opens ${endWords(circuit, at[0] ?? 'drive.')} with the supply.`)
        : {
            severity: 'watch',
            title: message`The supply goes, and the drive pushes on`,
            says: message`Nothing tells the drive to stop: it runs from its bus until that is empty.`,
            why: 'A second contact of the mushroom into the enable, so that torque is gone at once.',
            path: 'wiring.changes',
          }
    },
  ),

  ofWiring(
    { id: 'wiring.stop-delay', asks: 'Delay that lasts as long as the ramp', by: 'first-spin', danger: true },
    (circuit): Answer => {
      const { controls, wiring } = circuit.facts.plan
      if (controls.emergencyStop === undefined) return lacks('controls.emergencyStop')
      if (controls.emergencyStop !== 'ramp-then-off') return doesNotApply('No delay takes the torque away')
      const relay = deviceBy(circuit, 'delay-relay')
      if (!relay)
        return {
          severity: 'stop',
          about: 'nothing-goes',
          title: message`Nothing takes the torque away after the ramp`,
          says: message`This drive has no terminal for it beside the one that runs it: it ramps by its program and stays live.`,
          why: 'Category 1 is a ramp, and then the power off whatever the program does (IEC 60204-1). A supply contactor, or a drive with safe torque off.',
          path: 'controls.emergencyStop',
        }
      if (controls.quickRampS === undefined) return lacks('controls.quickRampS')
      if (wiring.stopDelayS === undefined) return lacks('wiring.stopDelayS')
      const rounded = Math.ceil(controls.quickRampS * DELAY_OVER * 2) / 2
      return wiring.stopDelayS >= controls.quickRampS
        ? good(
            message`The torque goes after ${seconds(wiring.stopDelayS)}, the ramp takes ${seconds(controls.quickRampS)}.`,
          )
        : {
            severity: 'watch',
            about: 'too-short',
            title: message`The delay is over before the ramp`,
            says: message`After ${seconds(wiring.stopDelayS)} the torque goes; the ramp wants ${seconds(controls.quickRampS)}. The rest it coasts.`,
            why: 'The seconds that the ramp was to save are lost, and a resistor is no longer used.',
            remedies: [
              {
                label: message`Set the delay to ${seconds(rounded)}`,
                patch: [set('wiring.stopDelayS', rounded)],
              },
            ],
            path: 'wiring.stopDelayS',
          }
    },
  ),

  ofChoices(
    {
      id: 'wiring.starts-itself',
      asks: 'Nothing that starts it by itself',
      by: 'on-machine',
      chainLink: 'spindle',
      danger: true,
    },
    ({ plan: { wiring, settings } }): Answer => {
      const held = heldStarters(settings.inDrive)
      const [worst] = held.on
      if (worst !== undefined) {
        const [title, why] = byItself[worst.by]
        return {
          severity: 'stop',
          about: 'in-drive',
          title: message`${title}`,
          says: message`So it was read in the drive. Nothing may start this machine but a RUN that somebody gives who sees it.`,
          why,
          remedies: [
            {
              label: message`Switched off in the drive`,
              patch: held.on.map(({ id, off }) => setSetting('inDrive', id, off)),
            },
          ],
          path: `settings.inDrive.${worst.id}`,
        }
      }
      if (held.all) return good(message`Timer, sleep, jog memory and reset by itself were read in the drive: all off.`)
      const by = wiring.startsItself
      if (by === undefined) return lacks('wiring.startsItself')
      if (by === 'nothing') return good(message`No timer, no sleep and wake, no reset by itself, no jog it remembers.`)
      const [title, why] = byItself[by]
      return {
        severity: 'stop',
        about: by,
        title: message`${title}`,
        says: message`Nothing may start this machine but a RUN that somebody gives who sees it.`,
        why,
        remedies: [{ label: message`It is switched off in the drive`, patch: [set('wiring.startsItself', 'nothing')] }],
        path: 'wiring.startsItself',
      }
    },
  ),

  ofChoices(
    {
      id: 'wiring.reverse-waits',
      asks: 'Reverse only from standstill',
      by: 'on-machine',
      chainLink: 'spindle',
      danger: true,
    },
    ({ plan: { controls, survey, wiring, settings } }): Answer => {
      if (controls.reverseWanted === undefined) return lacks('controls.reverseWanted')
      if (!controls.reverseWanted) return doesNotApply('It never runs in reverse')
      const { reverseChange } = settings.inDrive
      const waits = reverseChange === undefined ? wiring.reverseWaits : reverseChange === 'standstill'
      if (waits === undefined) return lacks('wiring.reverseWaits')
      if (waits) return good(message`It stands first, whatever the switch asks.`)
      const screwed = survey.spindleNose === 'threaded' && controls.reverseLocked !== true
      return {
        severity: screwed ? 'stop' : 'watch',
        about: screwed ? 'threaded' : 'reverses',
        title: message`It reverses before it stands`,
        says: screwed
          ? message`Thrown over at speed, the chuck’s own weight unscrews it from its thread.`
          : message`Thrown over at speed, belt, keys and gears take the whole swing twice.`,
        why: 'Drives have a setting that waits for zero before the other way; a drum switch has a middle to wait in.',
        remedies: [
          {
            label: message`The drive waits for standstill`,
            patch: [
              set('wiring.reverseWaits', true),
              ...(reverseChange === undefined ? [] : [set('settings.inDrive.reverseChange', 'standstill')]),
            ],
          },
        ],
        path: reverseChange === undefined ? 'wiring.reverseWaits' : 'settings.inDrive.reverseChange',
      }
    },
  ),

  ofChoices(
    {
      id: 'wiring.coast-long',
      asks: 'Seconds it coasts within reach',
      by: 'on-machine',
      chainLink: 'spindle',
      danger: true,
    },
    ({ plan }): Answer => {
      const { emergencyStop } = plan.controls
      if (emergencyStop === undefined) return lacks('controls.emergencyStop')
      if (emergencyStop === 'none' || emergencyStop === 'stop-input' || rampsAtMushroom(emergencyStop))
        return doesNotApply('The mushroom does not let it coast')
      if (plan.survey.coastS === undefined) return lacks('survey.coastS')
      return plan.survey.coastS <= COAST_S
        ? good(message`${seconds(plan.survey.coastS)}, of ${seconds(COAST_S)}.`)
        : {
            severity: 'watch',
            title: message`After the mushroom it coasts long`,
            says: message`${seconds(plan.survey.coastS)}; over ${seconds(COAST_S)} within reach wants a ramp first (category 1, with a delay) or a brake.`,
            why: 'It is a stop only when it stands.',
            path: 'survey.coastS',
          }
    },
  ),

  ofChoices(
    { id: 'wiring.stop-yellow', asks: 'Mushroom that is known for what it is', by: 'in-use' },
    ({ plan: { controls, wiring } }): Answer => {
      if (controls.emergencyStop === undefined) return lacks('controls.emergencyStop')
      if (controls.emergencyStop === 'none') return doesNotApply(noStop)
      if (wiring.stopYellow === undefined) return lacks('wiring.stopYellow')
      return wiring.stopYellow
        ? good(message`Red on yellow.`)
        : {
            severity: 'watch',
            title: message`The mushroom does not stand on yellow`,
            says: message`Red on yellow is the one sign that everybody knows (ISO 13850).`,
            why: 'Whoever has to hit it may never have stood at this machine.',
            remedies: [{ label: message`It stands on yellow`, patch: [set('wiring.stopYellow', true)] }],
            path: 'wiring.stopYellow',
          }
    },
  ),

  ofChoices(
    { id: 'wiring.dead-mushroom', asks: 'No mushroom that does nothing', by: 'in-use', danger: true },
    ({ plan: { wiring } }): Answer => {
      if (wiring.deadMushroom === undefined) return lacks('wiring.deadMushroom')
      return wiring.deadMushroom
        ? {
            severity: 'stop',
            title: message`A mushroom that does nothing stays in sight`,
            says: message`Somebody will hit that one.`,
            why: 'Taken off, or covered so that nobody takes it for one.',
            remedies: [{ label: message`It is taken off`, patch: [set('wiring.deadMushroom', false)] }],
            path: 'wiring.deadMushroom',
          }
        : good(message`None is left.`)
    },
  ),

  ofChoices(
    { id: 'wiring.reset-watched', asks: 'Reset that is watched', by: 'in-use' },
    ({ plan: { controls, wiring } }): Answer => {
      if (controls.emergencyStop === undefined) return lacks('controls.emergencyStop')
      if (!['safe-torque-off', 'contactor', 'ramp-then-off'].includes(controls.emergencyStop))
        return doesNotApply('The mushroom is no emergency stop')
      if (wiring.resetWatched === undefined) return lacks('wiring.resetWatched')
      return wiring.resetWatched
        ? good(message`A reset button that must be pressed and let go.`)
        : {
            severity: 'note',
            title: message`The reset is not watched`,
            says: message`Pulling the mushroom out makes ready at once; a RUN is wanted still.`,
            why: 'A button of its own, pressed and let go, shows that somebody looked first.',
            path: 'wiring.resetWatched',
          }
    },
  ),

  ofChoices(
    { id: 'wiring.guard', asks: 'Guard that this machine needs', by: 'on-machine', chainLink: 'spindle', danger: true },
    ({ plan: { survey, wiring } }): Answer => {
      if (survey.machineKind === undefined) return lacks('survey.machineKind')
      if (!guarded.has(survey.machineKind) && wiring.guardSwitch === undefined)
        return doesNotApply('Its tool is reached all the time, and a switch would only be bridged')
      if (wiring.guardSwitch === undefined) return lacks('wiring.guardSwitch')
      return wiring.guardSwitch
        ? good(message`Open, it does not run.`)
        : {
            severity: 'watch',
            title: message`The guard has no switch`,
            says: message`It runs with the guard open.`,
            why: 'A wheel that bursts, a blade that comes off: the guard is what stands between. A switch with direct action in the chain.',
            remedies: [{ label: message`A switch at the guard`, patch: [set('wiring.guardSwitch', true)] }],
            path: 'wiring.guardSwitch',
          }
    },
  ),

  ofWiring(
    {
      id: 'wiring.chain-complete',
      asks: 'Everything that must be closed is in the chain',
      by: 'first-spin',
      danger: true,
    },
    (circuit): Answer => {
      const inChain = circuit.wiring.devices.filter((d) => ['guard', 'flow', 'pressure'].includes(d.role))
      if (inChain.length === 0) return doesNotApply('Nothing of that kind is wired')
      const starts = driveEnds(circuit, ...stopInputs, 'run', 'run-forward')
      const without = inChain.filter((d) => cutBy(circuit, d, starts).length === 0)
      return without.length === 0
        ? good(message`${listed(inChain.map((d) => d.name))}.`)
        : {
            severity: 'stop',
            title: message`${listed(without.map((d) => d.name))} stops nothing`,
            says: message`No wire leads from there to an input that stops the drive.`,
            why: 'It looks as if it protected, and does not.',
            path: 'wiring.changes',
          }
    },
  ),

  ofWiring(
    { id: 'wiring.pendant', asks: 'Pendant that stops when it is unplugged', by: 'first-spin', danger: true },
    (circuit): Answer => {
      const pendant = deviceBy(circuit, 'pendant')
      if (!pendant) return doesNotApply('It has no pendant')
      const at = cutBy(circuit, pendant, driveEnds(circuit, ...stopInputs)).length > 0
      return at
        ? good(message`Its stop opens an input of the drive; unplugged, that is open.`)
        : {
            severity: 'stop',
            title: message`Unplugged, the pendant stops nothing`,
            says: message`Its stop contact leads to no input of the drive.`,
            why: 'It runs on, and the hand that could stop it holds a dead pendant.',
            path: 'wiring.changes',
          }
    },
  ),

  ofChoices(
    { id: 'wiring.drum-both', asks: 'Old drum switch never closed both ways', by: 'first-spin', danger: true },
    ({ plan: { controls, wiring } }): Answer => {
      if (controls.runBy === undefined) return lacks('controls.runBy')
      if (controls.runBy !== 'maintained') return doesNotApply('It is not run by a switch that stays')
      if (wiring.runWith === undefined) return lacks('wiring.runWith')
      if (wiring.runWith !== 'drum-one' && wiring.runWith !== 'drum-two')
        return doesNotApply('No old drum switch is used')
      if (controls.reverseWanted === undefined) return lacks('controls.reverseWanted')
      if (!controls.reverseWanted) return doesNotApply('It runs one way')
      if (wiring.steps?.['drum']?.answer === 'done') return good(message`Measured through its middle: never both.`)
      return {
        severity: 'watch',
        title: message`A drum switch may close both ways in passing`,
        says: message`Turned slowly through the middle, forward and reverse must never be closed together, and both must be open at rest.`,
        why: 'Some drives take both at once for a fault, some for reverse. Measured dead, slowly, both ways, with a meter that beeps; worn fingers are bent back or one pole is used.',
        toDo: true,
        path: 'wiring.runWith',
      }
    },
  ),

  ofWiring(
    { id: 'wiring.power-on', asks: 'What it does when the power comes', by: 'first-power', danger: true },
    ({ manual }): Answer =>
      manual.runsAtPowerOn === true
        ? {
            severity: 'stop',
            title: message`It runs as soon as it has power`,
            says: message`Its manual says so: with RUN closed it starts when the supply comes.`,
            why: 'Its enable is open before every switching on; a contactor that must be reset, or a drive that waits.',
            path: 'manual',
          }
        : manual.runsAtPowerOn === false
          ? good(message`Its manual says that it waits.`)
          : {
              severity: 'watch',
              about: 'not-said',
              title: message`Whether it runs at power-on is not said`,
              says: message`The manual as it stands here does not say it; it is taken as if it did run.`,
              why: 'Its enable is open at the first switching on, and one person stands at the isolator.',
              toDo: true,
              path: 'manual',
            },
  ),
]
