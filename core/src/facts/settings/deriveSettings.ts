import type { PlanningValue } from '../../data/planningValues'
import { frequencyAtSpeed, hertzAtRpm, lowestFrequency, speedAtBase } from '../../motor'
import type { Plan, SettingId } from '../../plan'
import { message, sameNominal, volts } from '../../quantities'
import type { TrainFacts } from '../belts/trainFacts'
import type { Knowing } from '../context'
import { wantsGentleRamps } from '../drive/heavyRotor'
import { isKnown, numberOf, type FigureState } from '../figure'
import type { FluxFacts } from '../motor/fluxFacts'
import { choice, named, unknownField } from '../ledger'
import { deriveHighestHertz } from './highestHertz'
import { copied, decided } from './derived'
import type { Derived } from './settingLine'
import type { DriveFacts } from '../drive/driveFacts'
import type { MotorFacts } from '../motor/motorKnown'

/** What the settings follow from. */
export type SettingInputs = Knowing<{
  motor: MotorFacts
  drive: DriveFacts
  /** As it will act. */
  baseFrequencyHz: FigureState
  flux: FluxFacts
}> & { main: TrainFacts | undefined }

/** What the base itself follows from. */
type BeforeBase = Omit<SettingInputs, 'baseFrequencyHz' | 'flux'>

const planned = ({ value, citation }: PlanningValue, reason = citation): Derived => ({
  value,
  basis: 'typical',
  reason: [reason],
  from: [],
})
/** Bases this near are the plate's own. */
const SAME_BASE_HZ = 0.5

/** Settings that figures rest on: they are derived before anything else is computed. */
export const actingSettings = [
  'ratedVoltageV',
  'ratedCurrentA',
  'baseFrequencyHz',
  'ratedSpeedRpm',
  'minimumHz',
  'maximumHz',
  'accelerationS',
  'decelerationS',
  'stopMode',
  'commandSource',
  'referenceSource',
  'overloadA',
  'restart',
  'startSpeed',
] as const satisfies readonly SettingId[]
export type ActingSetting = (typeof actingSettings)[number]

/** What each of them should be for this plan, and why. */
export const derivations: Record<Exclude<ActingSetting, 'baseFrequencyHz'>, (s: SettingInputs) => Derived> & {
  baseFrequencyHz: (s: BeforeBase) => Derived
} = {
  ratedVoltageV: ({ motor, drive }) => ratedVoltage(motor.plateVoltageV, drive.ceilingV),
  ratedCurrentA: ({ motor }) => copied(motor.plateCurrentA, 'The plate’s amps for the links used.'),
  baseFrequencyHz: ({ motor }) => copied(motor.frequencyHz, 'The plate’s hertz: where full volts are reached.'),
  ratedSpeedRpm: (s) => ratedSpeed(s),
  minimumHz: (s) => lowestHertz(s),
  maximumHz: (inputs) => deriveHighestHertz(inputs),
  accelerationS: ({ plan, tables }) =>
    wantsGentleRamps(plan)
      ? planned(tables.planning.heavyWheelRampS, 'Heavy rotor: a slow start spares belt and drive. Time it at run-in.')
      : planned(tables.planning.rampS, 'For a first spin; time it at run-in.'),
  decelerationS: ({ plan, tables }) => {
    if (plan.survey.spindleNose === 'threaded')
      return planned(
        tables.planning.threadedRampS,
        'Threaded nose: slow enough that the chuck stays on, until the seating torque is measured.',
      )
    return wantsGentleRamps(plan)
      ? planned(tables.planning.heavyWheelRampS, 'Heavy rotor: stopped faster it pumps the bus and trips the drive.')
      : planned(tables.planning.rampS, 'For a first spin; longer if the drive trips on over-voltage.')
  },
  stopMode: ({ plan }) =>
    wantsGentleRamps(plan)
      ? decided('coast', 'A heavy wheel coasts unless there is a brake resistor.')
      : decided('ramp', 'A ramp stops the same way every time.'),
  commandSource: ({ plan }) => commandSource(plan),
  referenceSource: ({ plan }) => referenceSource(plan),
  overloadA: ({ motor }) => copied(motor.plateCurrentA, 'Nameplate amps: the service factor counts as 1.0 on a drive.'),
  restart: () => decided('wait-for-run', 'A machine must never start by itself when the power comes back.'),
  startSpeed: () => decided('lowest', 'The spindle starts slow whatever was left in the chuck.'),
}

function ratedVoltage(plate: FigureState, ceiling: FigureState): Derived {
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
    reason: message`The plate asks for ${volts(plate.value)}; the drive has ${volts(ceiling.value)} to give.`,
    from: [plate, ceiling],
  }
}

function lowestHertz({ plan, tables, ledger, motor }: SettingInputs): Derived {
  const { frequencyHz } = motor
  if (!isKnown(frequencyHz)) return { basis: 'typical', reason: ['Needs the plate’s hertz.'], from: [frequencyHz] }
  const { cooling, inverterDutyRatio, kind } = plan.motor
  const { leastRpm } = plan.highFrequency
  if (kind === 'high-frequency' && leastRpm !== undefined && isKnown(motor.poles)) {
    const inputs = { speedRpm: ledger.given('highFrequency.leastRpm'), poles: motor.poles }
    return {
      value: hertzAtRpm(leastRpm, motor.poles.value),
      basis: 'given',
      reason: ['The slowest that its bearings and cooling may turn, by its maker.'],
      from: [motor.poles],
      book: (naming) => ledger.derive(frequencyAtSpeed, 'frequencyHz', naming, inputs),
    }
  }
  const highFrequency = kind === 'high-frequency'
  const { lowestHertzHighFrequency, lowestHertzBlower, lowestHertzShaftFan } = tables.planning
  const share = highFrequency
    ? lowestHertzHighFrequency
    : cooling === 'blower'
      ? lowestHertzBlower
      : lowestHertzShaftFan
  const byPlate = !highFrequency && inverterDutyRatio !== undefined
  const inputs = {
    baseFrequencyHz: frequencyHz,
    share: choice(share.value, 'Share of base'),
    highFrequency: choice(highFrequency, 'Spindle motor for hundreds of hertz'),
    inverterDutyRatio: byPlate ? ledger.given('motor.inverterDutyRatio') : undefined,
  }
  const found = lowestFrequency.run({
    baseFrequencyHz: frequencyHz.value,
    share: share.value,
    highFrequency,
    inverterDutyRatio: byPlate ? inverterDutyRatio : undefined,
  })
  return {
    ...(found.ok ? { value: found.value.frequencyHz } : {}),
    basis: byPlate ? 'given' : 'typical',
    reason: byPlate ? message`The plate gives full torque down to a ${inverterDutyRatio}th of base.` : [share.citation],
    from: [frequencyHz],
    book: (naming) =>
      ledger.derive(lowestFrequency, 'frequencyHz', naming, inputs, {
        basis: () => (byPlate ? 'given' : 'typical'),
      }),
  }
}

/** The plate's speed; where base is not the plate's hertz, the synchronous speed there less the plate's slip. */
function ratedSpeed({ motor, ledger, baseFrequencyHz }: SettingInputs): Derived {
  const [baseHz, plateHz] = [baseFrequencyHz, motor.frequencyHz].map(numberOf)
  if (baseHz === undefined || plateHz === undefined || Math.abs(baseHz - plateHz) < SAME_BASE_HZ)
    return copied(motor.ratedSpeedRpm, 'The plate’s full-load speed; the drive takes slip and poles from it.')
  const inputs = {
    ratedSpeedRpm: motor.ratedSpeedRpm,
    poles: motor.poles,
    plateFrequencyHz: motor.frequencyHz,
    baseFrequencyHz,
  }
  const naming = named('motor.speedAtBase', 'Full-load speed at the base that is set', 'speed')
  const speed = ledger.derive(speedAtBase, 'speedRpm', naming, inputs)
  return copied(
    speed,
    'Synchronous speed at the base that is set, less the plate’s slip; the drive takes slip and poles from it.',
  )
}

function commandSource({ controls }: Plan): Derived {
  if (controls.runBy === undefined)
    return {
      basis: 'computed',
      reason: ['Needs: how it is run.'],
      from: [unknownField('controls.runBy', 'Run by')],
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
        from: [unknownField('controls.reference', 'Speed from')],
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
