import { pulseWirings, axisMotors, type Axis } from '../plan/axes'
import { printNumber } from '../quantities'
import { feedOf, isHad, pulsesOf, resistorOf, unitOf } from './axisNumbers'

/** One line of an axis's card: where it is set, what, and why. */
export interface AxisCardLine {
  where: 'Controller' | 'Driver' | 'Wires'
  what: string
  /** Not known yet where it is left out. */
  value?: string
  why: string
}

const plain = (n: number): string => printNumber(n, 4, 3)

/** What is set in controller and driver for one axis, and what its wires want; printed, and taken to the machine. */
export function axisCard(axis: Axis): AxisCardLine[] {
  const [pulses, feed, resistor, unit] = [pulsesOf(axis), feedOf(axis), resistorOf(axis), unitOf(axis)]
  const line = (where: AxisCardLine['where'], what: string, value: string | undefined, why: string): AxisCardLine => ({
    where,
    what,
    ...(value === undefined ? {} : { value }),
    why,
  })
  const rapid =
    isHad(feed) && axis.wantedFeedPerMin !== undefined
      ? Math.min(feed.value.maxFeedPerMin, axis.wantedFeedPerMin)
      : undefined
  const resistorText = !isHad(resistor)
    ? undefined
    : resistor.value === undefined
      ? 'none'
      : `${resistor.value.suggestedOhm} ohm, ${resistor.value.plateW} W`
  return [
    line(
      'Driver',
      'Pulses a turn',
      axis.pulsesPerTurn === undefined ? undefined : plain(axis.pulsesPerTurn),
      axis.switches === undefined ? 'By its switches; note how they stand.' : `Switches ${axis.switches}.`,
    ),
    line(
      'Driver',
      'Motor',
      axis.motor === undefined ? undefined : axisMotors[axis.motor],
      'Its curve at these volts rules.',
    ),
    line(
      'Controller',
      `Pulses for one ${unit}`,
      isHad(pulses) ? plain(pulses.value.pulsesPerUnit) : undefined,
      'Proved by one unit and a flag of tape, then by a dial gauge.',
    ),
    line(
      'Controller',
      'Rapid, at most',
      rapid === undefined ? undefined : `${plain(rapid)} ${unit} a minute`,
      'The lower of what is wanted and what pulses and motor allow.',
    ),
    line(
      'Controller',
      'Enable',
      axis.holdsWhen === undefined
        ? undefined
        : axis.holdsWhen === 'enabled'
          ? 'holds while on'
          : 'holds always: mend it',
      'Tried with its wire off.',
    ),
    line('Wires', 'Pulses', axis.signal === undefined ? undefined : pulseWirings[axis.signal], signalWhy(axis)),
    line('Wires', 'Resistor in each line', resistorText, 'For the volts that the input is not made for.'),
    line(
      'Wires',
      'Shields',
      axis.shield === undefined
        ? undefined
        : axis.shield === 'both'
          ? 'both ends'
          : axis.shield === 'driver'
            ? 'at the driver'
            : 'none: earth them',
      'A motor’s at both ends, an encoder’s at the driver; apart from the spindle’s cable.',
    ),
    line(
      'Wires',
      'Alarm',
      axis.alarmStops === undefined ? undefined : axis.alarmStops ? 'stops the controller' : 'goes nowhere: wire it',
      'Closed while all is well: a broken wire stops it too.',
    ),
  ]
}

const signalWhy = ({ signal }: Axis): string =>
  signal === 'differential'
    ? 'Pairs twisted, plus to plus: noise is the same on both and falls out.'
    : 'One line against a common: short, shielded, and never beside a motor lead; differential where the controller has it.'
