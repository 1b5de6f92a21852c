import {
  axisPath,
  feedOf,
  isHad,
  pulsesOf,
  resistorOf,
  unitOf,
  type AxisField,
  type AxisValue,
} from '../axes/axisNumbers'
import type { Facts } from '../facts/facts'
import { set, type Axis } from '../plan'
import { message, printNumber, volts, type Message } from '../quantities'
import { doesNotApply, good, type CannotBeJudged } from './answer'
import { judgement, type Answer } from './finding'

/** What is asked of one axis. */
interface OneAxis {
  axis: Axis
  name: string
  /** A path of this axis. */
  at: (field: AxisField) => ReturnType<typeof axisPath>
  lacks: (...fields: AxisField[]) => CannotBeJudged
  /** What a value that is not had waits for. */
  waits: (of: AxisValue<unknown>) => CannotBeJudged
}

const NO_AXIS = doesNotApply('No axis is moved by pulses here')

/** Asks the same of every axis; each answer is about its own. */
const ofEachAxis =
  (ask: (one: OneAxis) => Answer) =>
  ({ plan }: Facts): Answer | Answer[] =>
    plan.axes === undefined || plan.axes.length === 0
      ? NO_AXIS
      : plan.axes.map((axis, index) => {
          const at = (field: AxisField) => axisPath(index, field)
          const lacks = (...fields: AxisField[]): CannotBeJudged => ({ missing: fields.map(at) })
          const answer = ask({
            axis,
            name: axis.name ?? `Axis ${index + 1}`,
            at,
            lacks,
            waits: (of) =>
              isHad(of)
                ? { missing: [] }
                : { ...lacks(...of.missing), ...(of.because === undefined ? {} : { ended: of.because }) },
          })
          return { ...answer, about: axis.id }
        })

const plain = (n: number): string => printNumber(n, 4, 3)
const question = { stage: 'speeds', chainLink: 'spindle' } as const

/** Of what its driver bears, volts over which a stop has no room to pump into. */
const BRAKING = 0.9
/** Of what was commanded, how far off a move may be before it is told. */
const OFF = 0.003
/** Of what an input is for, the least that it sees for certain. */
const LEAST_VOLTS = 0.7
/** Of what is wanted, what a resistor may be off. */
const RESISTOR_OFF = 0.3

/** An axis that is moved by pulses: feed, signal, what holds and what stops it, and the first move. */
export const axisFindings = [
  judgement(
    { id: 'axis.feed', asks: 'Rapid of an axis', by: 'buying', ...question },
    ofEachAxis(({ axis, name, at, lacks, waits }) => {
      const [feed, unit] = [feedOf(axis), unitOf(axis)]
      if (!isHad(feed)) return waits(feed)
      if (axis.wantedFeedPerMin === undefined) return lacks('wantedFeedPerMin')
      const { maxFeedPerMin, limitedBy } = feed.value
      const says = message`${plain(maxFeedPerMin)} ${unit} a minute at most, by ${limitedBy === 'motor' ? 'the rpm to which its motor has its torque' : 'the pulses'}; ${plain(axis.wantedFeedPerMin)} is wanted.`
      if (axis.wantedFeedPerMin <= maxFeedPerMin) return good(message`${name}: ${says}`)
      const within = Math.floor(maxFeedPerMin)
      return {
        severity: 'watch',
        title: message`${name} cannot go so fast`,
        says,
        why:
          limitedBy === 'motor'
            ? 'Beyond it the motor has no torque left: it loses steps, or stops with its alarm, in the middle of a rapid.'
            : 'The controller cannot send pulses so fast: fewer pulses a turn, or a slower rapid.',
        remedies:
          within >= 1
            ? [
                {
                  label: message`Plan a rapid of ${plain(within)} ${unit} a minute`,
                  patch: [set(at('wantedFeedPerMin'), within)],
                },
              ]
            : [],
        path: at('wantedFeedPerMin'),
      }
    }),
  ),
  judgement(
    { id: 'axis.signal', asks: 'Volts at an axis’s inputs', by: 'first-power', ...question },
    ofEachAxis(({ axis, name, at, lacks, waits }) => {
      const resistor = resistorOf(axis)
      const { signalV, inputV, resistorOhm } = axis
      if (signalV === undefined || inputV === undefined) return waits(resistor)
      if (signalV < inputV * LEAST_VOLTS)
        return {
          severity: 'stop',
          title: message`${name}: too few volts for its inputs`,
          says: message`The controller switches ${volts(signalV)}; the input is for ${volts(inputV)}.`,
          why: 'It is seen sometimes, and sometimes not: the axis loses its place. A converter board between, or a driver for these volts.',
          path: at('signalV'),
        }
      if (!isHad(resistor)) return waits(resistor)
      if (resistor.value === undefined) return good(message`${name}: ${volts(signalV)} for ${volts(inputV)}.`)
      const { suggestedOhm, plateW } = resistor.value
      const wanted = message`${String(suggestedOhm)} ohm, ${String(plateW)} W, in each line`
      if (resistorOhm === undefined) return lacks('resistorOhm')
      if (resistorOhm === 0)
        return {
          severity: 'stop',
          title: message`${name}: too many volts for its inputs`,
          says: message`The controller switches ${volts(signalV)}; the input is for ${volts(inputV)}, and nothing stands between. It wants ${wanted}.`,
          why: 'The light in the input burns out at once or within days; a resistor takes the rest of the volts.',
          remedies: [{ label: message`Put in ${wanted}`, patch: [set(at('resistorOhm'), suggestedOhm)] }],
          path: at('resistorOhm'),
        }
      if (Math.abs(resistorOhm / suggestedOhm - 1) > RESISTOR_OFF)
        return {
          severity: 'watch',
          title: message`${name}: another resistor is wanted`,
          says: message`${String(resistorOhm)} ohm stands there; it wants ${wanted}.`,
          why: 'Too small, and the input ages fast; too large, and pulses are lost.',
          remedies: [{ label: message`Put in ${wanted}`, patch: [set(at('resistorOhm'), suggestedOhm)] }],
          path: at('resistorOhm'),
        }
      return good(message`${name}: ${String(resistorOhm)} ohm before ${volts(inputV)}.`)
    }),
  ),
  judgement(
    { id: 'axis.falls', asks: 'What holds an axis without power', by: 'first-power', danger: true, ...question },
    ofEachAxis(({ axis, name, at, lacks }) => {
      if (axis.falls === undefined) return lacks('falls')
      if (!axis.falls) return good(message`${name} stays where it is when it is let go.`)
      if (axis.brake === undefined) return lacks('brake')
      return axis.brake
        ? good(message`${name}: a brake holds it.`)
        : {
            severity: 'stop',
            title: message`${name} falls when the power goes`,
            says: message`It falls by its weight, and no brake holds it.`,
            why: 'An emergency stop, a trip or a fuse lets it down on a hand or a tool. A brake that holds without power, a weight, or a gas spring.',
            path: at('brake'),
          }
    }),
  ),
  judgement(
    { id: 'axis.limits', asks: 'Limit switches of an axis', by: 'on-machine', ...question },
    ofEachAxis(({ axis, name, at, lacks }) =>
      axis.limitSwitches === undefined
        ? lacks('limitSwitches')
        : axis.limitSwitches
          ? good(message`${name}: at both ends, closed until hit.`)
          : {
              severity: 'watch',
              title: message`${name} has no limit switches`,
              says: message`Nothing stops it at its ends but the controller’s own count.`,
              why: 'A count that was lost drives it into its end at full rapid. Switches that are closed until hit tell a broken wire too.',
              path: at('limitSwitches'),
            },
    ),
  ),
  judgement(
    { id: 'axis.alarm', asks: 'Alarm of an axis’s driver', by: 'on-machine', ...question },
    ofEachAxis(({ axis, name, at, lacks }) => {
      if (axis.motor === undefined) return lacks('motor')
      if (axis.motor === 'stepper') return doesNotApply('A stepper without an encoder knows of no lost step')
      if (axis.alarmStops === undefined) return lacks('alarmStops')
      return axis.alarmStops
        ? good(message`${name}: its alarm stops the controller.`)
        : {
            severity: 'watch',
            title: message`${name} stops alone`,
            says: message`Its driver’s alarm goes nowhere.`,
            why: 'The driver lets go, the others go on, and the cutter ploughs through the work.',
            path: at('alarmStops'),
          }
    }),
  ),
  judgement(
    { id: 'axis.supply', asks: 'Volts of an axis’s driver', by: 'first-power', danger: true, ...question },
    ofEachAxis(({ axis: { supplyV, mostSupplyV }, name, at, lacks }) => {
      if (supplyV === undefined || mostSupplyV === undefined) return lacks('supplyV', 'mostSupplyV')
      const says = message`${volts(supplyV)} unloaded; its driver bears ${volts(mostSupplyV)}.`
      if (supplyV > mostSupplyV)
        return {
          severity: 'stop',
          title: message`${name}: too many volts for its driver`,
          says,
          why: 'It fails at once. Alternating volts of a transformer become 1.4 times as many behind the rectifier.',
          path: at('supplyV'),
        }
      return supplyV > mostSupplyV * BRAKING
        ? {
            severity: 'watch',
            title: message`${name}: no room for what braking pumps back`,
            says,
            why: 'A heavy table that is stopped from a rapid lifts the volts by a tenth and more. More volts give rpm; a shunt gives room.',
            path: at('supplyV'),
          }
        : good(message`${name}: ${says}`)
    }),
  ),
  judgement(
    { id: 'axis.enable', asks: 'Enable of an axis', by: 'first-spin', danger: true, ...question },
    ofEachAxis(({ axis: { holdsWhen, heldFirm }, name, at, lacks }) => {
      if (holdsWhen === undefined) return lacks('holdsWhen')
      if (holdsWhen === 'always')
        return {
          severity: 'watch',
          title: message`${name} holds whatever the enable says`,
          says: message`With the enable’s wire off its shaft is still held.`,
          why: 'The enable is of the other sense, or is not wired: the emergency stop does not free it, and a broken wire is an axis with power.',
          path: at('holdsWhen'),
        }
      if (heldFirm === undefined) return lacks('heldFirm')
      return heldFirm
        ? good(message`${name}: held firm when enabled, free when not.`)
        : {
            severity: 'stop',
            title: message`${name} is not held when it is enabled`,
            says: message`Its shaft turns by hand: it has no power, or a phase is open.`,
            why: 'It would move by jerks or not at all, and fall if it can. Dead and measured: its two or three motor leads, then its supply.',
            path: at('heldFirm'),
          }
    }),
  ),
  judgement(
    { id: 'axis.shield', asks: 'Shields of an axis’s leads', by: 'on-machine', ...question },
    ofEachAxis(({ axis: { shield, signal }, name, at, lacks }) => {
      if (shield === undefined) return lacks('shield')
      if (shield !== 'none')
        return good(
          message`${name}: ${shield === 'both' ? 'at both ends, which a motor lead wants' : 'at the driver, which an encoder wants'}.`,
        )
      return {
        severity: 'watch',
        title: message`${name}: its shields are not earthed`,
        says: message`Motor and encoder leads run unscreened${signal === 'single-ended' ? ', and its pulses are single-ended' : ''}.`,
        why: 'Pulses are counted that nobody sent: it drifts as soon as the spindle’s drive runs. A motor’s shield at both ends, an encoder’s at the driver; differential pulses, and apart from the spindle’s cable.',
        path: at('shield'),
      }
    }),
  ),
  judgement(
    { id: 'axis.backlash', asks: 'Backlash of an axis', by: 'on-machine', ...question },
    ofEachAxis(({ axis, name, at, lacks }) => {
      const { backlash, mostBacklash } = axis
      if (backlash === undefined || mostBacklash === undefined) return lacks('backlash', 'mostBacklash')
      const says = message`${plain(backlash)} ${unitOf(axis)}, of ${plain(mostBacklash)} at most.`
      return backlash <= mostBacklash
        ? good(message`${name}: ${says}`)
        : {
            severity: 'watch',
            title: message`${name} has too much backlash`,
            says,
            why: 'Compensated in the controller it still lets a climbing cutter pull the table. The nut, its bearings’ preload, then the belt.',
            path: at('backlash'),
          }
    }),
  ),
  judgement(
    { id: 'axis.homing', asks: 'How an axis finds its place', by: 'on-machine', ...question },
    ofEachAxis(({ axis: { homed }, name, at, lacks }) => {
      if (homed === undefined) return lacks('homed')
      if (homed === 'switch') return good(message`${name}: by a switch, after the axis that lifts the tool.`)
      return {
        severity: 'watch',
        title:
          homed === 'never' ? message`${name} does not find its place` : message`${name} is driven against its end`,
        says:
          homed === 'never'
            ? message`After power its count begins wherever it stands.`
            : message`It counts from where it stalls.`,
        why: 'Limits in the program mean nothing then. A switch, approached slowly; the axis that lifts the tool first.',
        path: at('homed'),
      }
    }),
  ),
  judgement(
    { id: 'axis.moved', asks: 'First move of an axis, against what was commanded', by: 'on-machine', ...question },
    ofEachAxis(({ axis, name, at, lacks, waits }) => {
      const [pulses, unit] = [pulsesOf(axis), unitOf(axis)]
      const { triedPulses, triedUnits, movedUnits, pulsesPerTurn } = axis
      if (!isHad(pulses)) return waits(pulses)
      if (triedPulses === undefined || triedUnits === undefined || movedUnits === undefined)
        return lacks('triedPulses', 'triedUnits', 'movedUnits')
      const takes = (triedPulses * triedUnits) / movedUnits
      const { pulsesPerUnit } = pulses.value
      const says: Message = message`At ${plain(triedPulses)} pulses for a unit ${plain(triedUnits)} ${unit} were commanded, and it moved ${plain(movedUnits)}: it takes ${plain(takes)}; the plan comes to ${plain(pulsesPerUnit)}.`
      if (Math.abs(takes / pulsesPerUnit - 1) <= OFF) return good(message`${name}: ${says}`)
      const turn = ((pulsesPerTurn ?? 0) * takes) / pulsesPerUnit
      const isRound = turn >= 50 && Math.abs(Math.round(turn) / turn - 1) <= OFF
      return {
        severity: 'watch',
        title: message`${name} moves otherwise than planned`,
        says,
        why: 'The switches of the driver stand otherwise, the screw has another lead or several starts, or a belt has other teeth. Look which, before anything is cut by it.',
        remedies: isRound
          ? [
              {
                label: message`Its driver counts ${String(Math.round(turn))} pulses a turn`,
                patch: [set(at('pulsesPerTurn'), Math.round(turn))],
              },
            ]
          : [],
        path: at('movedUnits'),
      }
    }),
  ),
]
