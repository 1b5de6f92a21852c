import { axis as pulsesAndFeed, axisForce, seriesResistor } from '../cnc'
import type { Axis, AxisMoves, PlanPath } from '../plan'
import { MM_PER_INCH } from '../quantities'

/** Share of its work that a screw or belt hands on: planning values. */
const EFFICIENCY: Readonly<Record<Exclude<AxisMoves, 'table'>, number>> = {
  'ball-screw': 0.9,
  'trapezoid-screw': 0.3,
  belt: 0.95,
}
const DEGREES = 360

/** A field of one axis, by where it stands in its list. */
export type AxisField = keyof Axis
export const axisPath = (index: number, field: AxisField): PlanPath => `axes.${index}.${field}` as PlanPath

/** A value, or the fields that it waits for, or why it cannot be. */
export type AxisValue<T> = { value: T } | { missing: AxisField[]; because?: string }

/** Whether a value is had; else it says which fields it waits for, or why it cannot be. */
export const isHad = <T>(of: AxisValue<T>): of is { value: T } => 'value' in of

/** What follows from what was typed of an axis. */
export interface AxisNumbers {
  /** What the controller counts: mm, inch or degrees. */
  unit: 'mm' | 'inch' | 'degrees'
  pulses: AxisValue<{ pulsesPerUnit: number; turnsPerUnit: number }>
  feed: AxisValue<{ maxFeedPerMin: number; limitedBy: 'pulses' | 'motor' }>
  /** At the rpm to which its motor has its torque. */
  forceN: AxisValue<number>
  /** Undefined where the controller's volts are the input's. */
  resistor: AxisValue<{ suggestedOhm: number; plateW: number } | undefined>
}

const lacking = (axis: Axis, ...fields: AxisField[]): AxisField[] => fields.filter((f) => axis[f] === undefined)

/** Turns of the driven shaft's motor for one of that shaft. */
const gearOf = ({ motorTeeth, drivenTeeth }: Axis): number => (drivenTeeth ?? 1) / (motorTeeth ?? 1)

/** Motor turns for one unit of travel. */
function turnsPerUnit(axis: Axis): AxisValue<number> {
  const { moves, travelMm, tableRatio, unit, motorTeeth, drivenTeeth } = axis
  // Teeth of one pulley alone are no ratio.
  const teeth: AxisField[] =
    (motorTeeth === undefined) === (drivenTeeth === undefined)
      ? []
      : [motorTeeth === undefined ? 'motorTeeth' : 'drivenTeeth']
  const missing = [
    ...lacking(axis, 'moves'),
    ...(moves === undefined ? [] : moves === 'table' ? lacking(axis, 'tableRatio') : lacking(axis, 'travelMm', 'unit')),
    ...teeth,
  ]
  if (missing.length > 0) return { missing }
  if (moves === 'table') return { value: (gearOf(axis) * (tableRatio ?? 1)) / DEGREES }
  return { value: (gearOf(axis) * (unit === 'inch' ? MM_PER_INCH : 1)) / (travelMm ?? 1) }
}

/** What the controller counts: mm, inch or degrees. */
export const unitOf = ({ moves, unit }: Axis): AxisNumbers['unit'] => (moves === 'table' ? 'degrees' : (unit ?? 'mm'))

/** The rule of an axis. Pulses for a unit need no highest pulse rate; a feed is asked for only where that is known. */
function run(
  axis: Axis,
): AxisValue<{ pulsesPerUnit: number; maxFeedPerMin: number; limitedBy: 'pulses' | 'motor'; turnsPerUnit: number }> {
  const turns = turnsPerUnit(axis)
  const { pulsesPerTurn, maxPulseHz, torqueRpm } = axis
  if (!isHad(turns) || pulsesPerTurn === undefined)
    return { missing: [...(isHad(turns) ? [] : turns.missing), ...lacking(axis, 'pulsesPerTurn')] }
  const made = pulsesAndFeed.run({
    pulsesPerTurn,
    turnsPerUnit: turns.value,
    maxPulseHz: maxPulseHz ?? 1,
    ...(torqueRpm === undefined ? {} : { motorMaximumRpm: torqueRpm }),
  })
  return made.ok
    ? { value: { ...made.value, turnsPerUnit: turns.value } }
    : { missing: [], because: made.faults.map((f) => `${f.field} ${f.message}`).join('; ') }
}

export function pulsesOf(axis: Axis): AxisNumbers['pulses'] {
  const made = run(axis)
  if (!isHad(made)) return made
  const { pulsesPerUnit, turnsPerUnit: turns } = made.value
  return { value: { pulsesPerUnit, turnsPerUnit: turns } }
}

/** A motor whose torque ends nobody knows where is not promised a feed. */
export function feedOf(axis: Axis): AxisNumbers['feed'] {
  const made = run(axis)
  const missing = [...(isHad(made) ? [] : made.missing), ...lacking(axis, 'maxPulseHz', 'torqueRpm')]
  if (!isHad(made)) return { ...made, missing }
  if (missing.length > 0) return { missing }
  const { maxFeedPerMin, limitedBy } = made.value
  return { value: { maxFeedPerMin, limitedBy } }
}

/**
 * Pulses, feed, force and series resistor of one axis.
 *
 * @example axisNumbers({ id: 'x' }).pulses // { missing: ['moves', 'pulsesPerTurn'] }
 */
export const axisNumbers = (axis: Axis): AxisNumbers => ({
  unit: unitOf(axis),
  pulses: pulsesOf(axis),
  feed: feedOf(axis),
  forceN: force(axis),
  resistor: resistorOf(axis),
})

function force(axis: Axis): AxisValue<number> {
  const { moves, travelMm, torqueNm } = axis
  if (moves === 'table') return { missing: [], because: 'A table turns; it pushes nothing' }
  if (moves === undefined || travelMm === undefined || torqueNm === undefined)
    return { missing: lacking(axis, 'moves', 'travelMm', 'torqueNm') }
  const made = axisForce.run({ torqueNm: torqueNm * gearOf(axis), leadMm: travelMm, efficiency: EFFICIENCY[moves] })
  return made.ok ? { value: made.value.forceN } : { missing: [], because: made.faults[0]?.message ?? 'No force' }
}

/** Within so much a controller's volts are the input's. */
const SAME_VOLTS = 0.15

export function resistorOf(axis: Axis): AxisNumbers['resistor'] {
  const { signalV, inputV, inputA } = axis
  if (signalV === undefined || inputV === undefined) return { missing: lacking(axis, 'signalV', 'inputV') }
  if (signalV <= inputV * (1 + SAME_VOLTS)) return { value: undefined }
  if (inputA === undefined) return { missing: ['inputA'] }
  const made = seriesResistor.run({ supplyV: signalV, inputV, currentA: inputA })
  return made.ok
    ? { value: { suggestedOhm: made.value.suggestedOhm, plateW: made.value.plateW } }
    : { missing: [], because: made.faults[0]?.message ?? 'No resistor' }
}
