import { z } from 'zod'
import { choice, count, id, quantity, words, yesNo } from './field'

export const axisMotors = {
  stepper: 'Stepper',
  'closed-loop-stepper': 'Stepper, closed loop',
  servo: 'Servo',
} as const

export const axisMoves = {
  'ball-screw': 'A ball screw',
  'trapezoid-screw': 'A trapezoid screw',
  belt: 'A toothed belt',
  table: 'A turning table',
} as const
export type AxisMoves = keyof typeof axisMoves

export const axisUnits = { mm: 'Millimetres', inch: 'Inches' } as const
export const pulseWirings = { 'single-ended': 'Single-ended', differential: 'Differential' } as const

export const holdSenses = { enabled: 'Only while it is enabled', always: 'Always, as soon as it has power' } as const
export const axisShields = {
  driver: 'Earthed at the driver',
  both: 'Earthed at both ends',
  none: 'Not earthed',
} as const
export const homings = {
  switch: 'By a switch, slowly, after the one that lifts',
  stop: 'Against its end',
  never: 'Not at all',
} as const

/** One axis of a CNC machine: a motor with a driver of its own, moved by pulses. */
const axisSchema = z.strictObject({
  id,
  name: words('Axis', 12, 'X, Y, Z, A'),
  motor: choice('Its motor', axisMotors),
  moves: choice('It moves by', axisMoves),
  unit: choice('The controller counts', axisUnits, 'A turning table counts degrees'),
  pulsesPerTurn: count('Pulses a turn', 50, 1_000_000, 'As the switches of its driver stand'),
  travelMm: quantity('length', 'Travel of one turn', 0.1, 500, 'Lead of the screw; of a belt teeth times pitch'),
  tableRatio: quantity('number', 'Turns for one of the table', 1, 1000, 'Of the shaft that drives it'),
  motorTeeth: count('Teeth on the motor', 5, 400, 'Leave both empty where it is coupled straight'),
  drivenTeeth: count('Teeth it drives', 5, 400),
  maxPulseHz: quantity('frequency', 'Pulses a second', 100, 10_000_000, 'At most, of controller or driver: the lower'),
  torqueRpm: quantity('speed', 'Has its torque to', 10, 20_000, 'From its curve, at the volts it has'),
  torqueNm: quantity('torque', 'Torque there', 0.01, 200),
  wantedFeedPerMin: quantity('number', 'Rapid wanted', 1, 1_000_000, 'Units of the controller a minute'),
  signal: choice('Pulses come', pulseWirings),
  signalV: quantity('voltage', 'The controller switches', 2, 60),
  inputV: quantity('voltage', 'Its input is for', 2, 60),
  inputA: quantity('current', 'Its input takes', 0.001, 0.1),
  resistorOhm: quantity('number', 'Resistor in series, ohm', 0, 100_000, '0 where there is none'),
  alarmStops: yesNo('Its alarm stops the controller'),
  limitSwitches: yesNo('Limit switches at both ends, closed until hit'),
  falls: yesNo('It falls by its weight when let go'),
  brake: yesNo('A brake holds it without power'),
  switches: words('Its switches, as they stand', 24, '1 for on, 0 for off: 0110 1001'),
  holdsWhen: choice('It holds its shaft', holdSenses, 'Tried: with the enable’s wire off'),
  supplyV: quantity('voltage', 'Its driver gets', 5, 400, 'Direct volts, no load'),
  mostSupplyV: quantity('voltage', 'Its driver bears', 5, 500, 'Direct volts, by its manual'),
  heldFirm: yesNo('Held, the shaft does not turn by hand', 'Tried with the belt off: proof that it has power'),
  shield: choice('Shields of motor and encoder', axisShields),
  backlash: quantity('number', 'Backlash', 0, 10, 'Units of the controller, by a dial gauge both ways'),
  mostBacklash: quantity('number', 'Backlash wanted, at most', 0, 10),
  homed: choice('It finds its place', homings),
  triedPulses: quantity('number', 'Tried: pulses a unit', 0.001, 1e9, 'As the controller was set'),
  triedUnits: quantity('number', 'Tried: commanded', 0.01, 10_000, 'Units of the controller'),
  movedUnits: quantity('number', 'Tried: it moved', 0.001, 100_000, 'By a dial gauge or a rule'),
})

export const MOST_AXES = 6
export const axesSchema = z.array(axisSchema).max(MOST_AXES).optional().meta({ label: 'Axes' })

export type Axis = z.output<typeof axisSchema>
