import type { Library, PlanningValue } from '../data/planningValues'
import type { DriveFacts } from '../evaluate/driveFacts'
import { isKnown, numberOf, type Reading } from '../evaluate/figure'
import type { MotorFacts } from '../evaluate/motorFacts'
import type { TrainFacts } from '../evaluate/trainFacts'
import type { Plan, SettingId } from '../plan'
import { sameNominal, say, volts } from '../quantities'
import { deriveHighestHertz } from './highestHertz'
import type { Derived } from './settingLine'

export interface SettingSources {
  plan: Plan
  library: Library
  motor: MotorFacts
  drive: DriveFacts
  main: TrainFacts | undefined
}

const decided = (value: string, reason: string): Derived => ({ value, basis: 'computed', reason: [reason], from: [] })
const planned = ({ value, source }: PlanningValue, reason = source): Derived => ({
  value,
  basis: 'typical',
  reason: [reason],
  from: [],
})
const copied = (reading: Reading, reason: string): Derived =>
  isKnown(reading)
    ? { value: reading.value, basis: reading.basis, reason: [reason], from: [reading] }
    : { basis: 'given', reason: [`Needs: ${reading.label.toLowerCase()}.`], from: [reading] }

/** What each of the fourteen settings should be for this plan, and why, in the order they are entered. */
export const derivations: Record<SettingId, (s: SettingSources) => Derived> = {
  ratedVoltageV: ({ motor, drive }) => ratedVoltage(motor.plateVoltageV, drive.ceilingV),
  ratedCurrentA: ({ motor }) => copied(motor.plateCurrentA, 'The plate’s amps for the links used.'),
  baseFrequencyHz: ({ motor }) => copied(motor.frequencyHz, 'The plate’s hertz: where full volts are reached.'),
  ratedSpeedRpm: ({ motor }) =>
    copied(motor.ratedSpeedRpm, 'The plate’s full-load speed; the drive takes slip and poles from it.'),
  minimumHz: (s) => lowestHertz(s),
  maximumHz: ({ plan, library, motor, main }) => deriveHighestHertz(plan, library, motor, main),
  accelerationS: ({ plan, library }) =>
    isHeavy(plan)
      ? planned(library.planning.heavyWheelRampS, 'Heavy rotor: a slow start spares belt and drive. Time it at run-in.')
      : planned(library.planning.rampS, 'For a first spin; time it at run-in.'),
  decelerationS: ({ plan, library }) => {
    if (plan.survey.spindleNose === 'threaded')
      return planned(
        library.planning.threadedRampS,
        'Threaded nose: slow enough that the chuck stays on, until the seating torque is measured.',
      )
    return isHeavy(plan)
      ? planned(library.planning.heavyWheelRampS, 'Heavy rotor: stopped faster it pumps the bus and trips the drive.')
      : planned(library.planning.rampS, 'For a first spin; longer if the drive trips on over-voltage.')
  },
  stopMode: ({ plan }) =>
    isHeavy(plan)
      ? decided('coast', 'A heavy wheel coasts unless there is a brake resistor.')
      : decided('ramp', 'A ramp stops the same way every time.'),
  commandSource: ({ plan }) => commandSource(plan),
  referenceSource: ({ plan }) => referenceSource(plan),
  overloadA: ({ motor }) => copied(motor.plateCurrentA, 'Nameplate amps: the service factor counts as 1.0 on a drive.'),
  restart: () => decided('wait-for-run', 'A machine must never start by itself when the power comes back.'),
  startSpeed: () => decided('lowest', 'The spindle starts slow whatever was left in the chuck.'),
}

const isHeavy = ({ survey }: Plan): boolean =>
  survey.machineKind === 'surface-grinder' || survey.machineKind === 'tool-grinder' || survey.machineKind === 'bandsaw'

function ratedVoltage(plate: Reading, ceiling: Reading): Derived {
  if (!isKnown(plate) || !isKnown(ceiling))
    return {
      basis: 'given',
      reason: ['Needs the plate’s volts for the links used, and the wall.'],
      from: [plate, ceiling],
    }
  if (plate.value <= ceiling.value || sameNominal(plate.value, ceiling.value))
    return copied(plate, 'The plate’s volts for the links used.')
  return {
    value: ceiling.value,
    basis: 'computed',
    reason: say`The plate asks for ${volts(plate.value)}; the drive has ${volts(ceiling.value)} to give.`,
    from: [plate, ceiling],
  }
}

function lowestHertz({ plan, library, motor }: SettingSources): Derived {
  const base = numberOf(motor.frequencyHz)
  if (base === undefined) return { basis: 'typical', reason: ['Needs the plate’s hertz.'], from: [motor.frequencyHz] }
  const { cooling, inverterDutyRatio, kind } = plan.motor
  if (kind === 'high-frequency')
    return planned({
      ...library.planning.lowestHertzHighFrequency,
      value: Math.ceil(base * library.planning.lowestHertzHighFrequency.value),
    })
  if (inverterDutyRatio !== undefined)
    return {
      value: Math.max(1, Math.round((base / inverterDutyRatio) * 10) / 10),
      basis: 'given',
      reason: say`The plate gives full torque down to a ${inverterDutyRatio}th of base.`,
      from: [motor.frequencyHz],
    }
  const share = cooling === 'blower' ? library.planning.lowestHertzBlower : library.planning.lowestHertzShaftFan
  return planned({ ...share, value: Math.round(base * share.value) })
}

function commandSource({ controls }: Plan): Derived {
  if (controls.runBy === undefined)
    return {
      basis: 'computed',
      reason: ['Needs: how it is run.'],
      from: [{ id: 'controls.runBy', label: 'Run by', missing: ['controls.runBy'] }],
    }
  if (controls.runBy === 'keypad') return decided('keypad', 'It is run from the drive’s keypad.')
  if (controls.runBy === 'cnc' && controls.reference === 'serial')
    return decided('serial', 'The controller runs it over the serial bus.')
  return decided('terminals', 'Buttons and switches are wired to the drive’s terminals.')
}

function referenceSource({ controls }: Plan): Derived {
  switch (controls.reference) {
    case undefined:
      return {
        basis: 'computed',
        reason: ['Needs: what gives the speed.'],
        from: [{ id: 'controls.reference', label: 'Speed from', missing: ['controls.reference'] }],
      }
    case 'knob':
    case 'analogue':
      return decided(
        'analogue-input',
        controls.reference === 'knob' ? 'The knob is read at the analogue input.' : 'The controller gives 0-10 V.',
      )
    default:
      return decided(controls.reference, 'As chosen under controls.')
  }
}
