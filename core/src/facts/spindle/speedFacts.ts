import { controlReference } from '../../controls/controlReference'
import { cuttingSpeed } from '../../cutting/cuttingSpeed'
import {
  beltSpeed,
  drivetrainSpeed,
  isRimBelt,
  isSealed,
  shaftSpeed,
  spindleTorque,
  type TransmissionKind,
} from '../../drivetrain'
import { fanCooling, frequencyFraction, synchronousSpeed, torqueCapability } from '../../motor'
import { heartOf, mainPosition, type Job, type JobPath, type TransmissionStage } from '../../plan'
import { ofPosition, stageSizes, type TrainFacts } from '../belts/trainFacts'
import type { Knowing } from '../context'
import { isKnown, numberOf, type FigureState } from '../figure'
import { choice, named, unknownField, type Ledger, type Raw } from '../ledger'
import { jobCut, jobSurfaceSpeed, speedWindow } from './jobCut'
import type { DriveFacts } from '../drive/driveFacts'
import type { DcFacts } from '../hearts/dcFacts'
import { NO_HERTZ } from '../hearts/motorWithoutHertz'
import type { MotorFacts } from '../motor/motorKnown'
import type { SettingsFacts } from '../settings/settingsFacts'

export interface PositionFacts extends TrainFacts {
  /** Unloaded, at the lowest hertz: slower than this the knob does not go. */
  bottomRpm: FigureState
  /** At base hertz under full load. */
  baseRpm: FigureState
  /** At the highest hertz under full load. */
  topRpm: FigureState
  /** Unloaded at the highest hertz: what chucks and belts must stand. */
  unloadedTopRpm: FigureState
  torqueNm: FigureState
  /** Fastest belt of the position, with its stage. */
  belts: { stageIndex: number; kind: TransmissionKind; speedMPerS: FigureState }[]
}

export interface JobFacts {
  job: Job
  index: number
  name: string
  wantedRpm: FigureState
  /** Shares of the wanted speed between which it is still good. */
  window: { slower: number; faster: number }
  /** Asked of the spindle; undefined where nothing tells them. */
  torqueNm: FigureState | undefined
  powerW: FigureState | undefined
  /** The position it is done on: its own, or the one used most. */
  on: PositionFacts | undefined
}

export interface SpeedFacts {
  fluxFraction: FigureState
  /** All day up to the base that is set: what flux and pull-out leave of rated torque. */
  usableNm: FigureState
  setVoltageV: FigureState
  topMotorRpm: FigureState
  lowTorqueFraction: FigureState
  knobTopHz: FigureState
  positions: PositionFacts[]
  main: PositionFacts | undefined
  jobs: JobFacts[]
}

type Before = Knowing<{ motor: MotorFacts; drive: DriveFacts; settings: SettingsFacts; dc?: DcFacts | undefined }>

/** What the drive does to the motor, and what the spindle does on each belt position for each job. */
export function speedFacts(context: Before & { trains: readonly TrainFacts[] }): SpeedFacts {
  const { plan, ledger, motor, settings, trains } = context
  if (heartOf(plan) !== 'inverter') return speedsByRpm(context)
  const knobTopHz = knobTop(context)
  const topMotorRpm = ledger.derive(
    synchronousSpeed,
    'synchronousRpm',
    named('motor.topRpm', 'Motor speed at the highest hertz', 'speed'),
    { frequencyHz: settings.maximumHz, poles: motor.poles },
  )
  const { setVoltageV, fluxFraction } = settings.flux
  const usableNm = usable(context, fluxFraction)
  const positions = trains.map((train) => positionFacts(context, train, knobTopHz, topMotorRpm, usableNm))
  const main = positions.find((p) => p.position.id === mainPosition(plan)?.id)
  return {
    fluxFraction,
    usableNm,
    setVoltageV,
    topMotorRpm,
    lowTorqueFraction: lowTorque(context),
    knobTopHz,
    positions,
    main,
    jobs: plan.survey.jobs.map((job, i) => jobFacts(ledger, job, i, positions, main)),
  }
}

/** The same of a motor that is run by its rpm: from the least that is set to the most. */
function speedsByRpm(context: Before & { trains: readonly TrainFacts[] }): SpeedFacts {
  const { plan, ledger, motor, settings, dc, trains } = context
  const none = (id: 'motor.lowTorqueFraction' | 'controls.topHz', label: string): FigureState =>
    ledger.block({ id, label }, [], NO_HERTZ)
  const unset = unknownField('motor.ratedSpeedRpm', 'Speed')
  const [least, most] = [settings.leastSpeedRpm ?? unset, settings.mostSpeedRpm ?? unset]
  const usableNm = dc ? dc.continuousNm : motor.torqueNm
  const positions = trains.map((train): PositionFacts => {
    const { name, position, speedRatio } = train
    const speed = (key: 'bottomRpm' | 'baseRpm' | 'topRpm' | 'unloadedTopRpm', label: string, speedRpm: FigureState) =>
      ledger.derive(shaftSpeed, 'speedRpm', named(ofPosition(position, key), `${name}: ${label}`, 'speed'), {
        speedRpm,
        speedRatio,
      })
    return {
      ...train,
      bottomRpm: speed('bottomRpm', 'slowest', least),
      baseRpm: speed('baseRpm', 'at the plate’s speed', motor.ratedSpeedRpm),
      topRpm: speed('topRpm', 'fastest', most),
      unloadedTopRpm: speed('unloadedTopRpm', 'fastest, no load', most),
      torqueNm: ledger.derive(
        spindleTorque,
        'torqueNm',
        named(ofPosition(position, 'torque'), `${name}: spindle torque up to the plate’s speed`, 'torque'),
        { torqueNm: usableNm, speedRatio, efficiency: train.efficiency },
      ),
      belts: beltSpeeds(ledger, train, most),
    }
  })
  const main = positions.find((p) => p.position.id === mainPosition(plan)?.id)
  return {
    fluxFraction: settings.flux.fluxFraction,
    usableNm,
    setVoltageV: settings.flux.setVoltageV,
    topMotorRpm: most,
    lowTorqueFraction: none('motor.lowTorqueFraction', 'Continuous torque at the lowest hertz'),
    knobTopHz: none('controls.topHz', 'Hertz at the top of the knob'),
    positions,
    main,
    jobs: plan.survey.jobs.map((job, i) => jobFacts(ledger, job, i, positions, main)),
  }
}

function knobTop({ plan, ledger, settings }: Before): FigureState {
  const naming = named('controls.topHz', 'Hertz at the top of the knob', 'frequency')
  const measured = plan.controls.knobTopHz
  if (measured !== undefined) return ledger.stated(naming, measured, 'measured', [], 'Measured at the top of the knob')
  const mode = plan.controls.knobMode ?? 'scaled'
  return ledger.derive(controlReference, 'frequencyHz', naming, {
    dial: choice(1, 'Knob position, 0 to 1'),
    minHz: settings.minimumHz,
    maxHz: settings.maximumHz,
    mode: choice(mode, 'Knob reads as'),
  })
}

/** Rated torque where the field is whole or not known; what flux and pull-out leave of it where it is weak. */
function usable({ plan, ledger, tables, motor }: Before, fluxFraction: FigureState): FigureState {
  const k = numberOf(fluxFraction)
  if (k === undefined || k >= 1) return motor.torqueNm
  const { value, citation } = tables.planning.breakdownRatio
  return ledger.derive(
    torqueCapability,
    'continuousNm',
    named('motor.usableNm', 'Torque that the flux leaves, all day', 'torque'),
    {
      frequencyHz: motor.frequencyHz,
      ratedFrequencyHz: motor.frequencyHz,
      ratedTorqueNm: motor.torqueNm,
      breakdownRatio: ledger.givenOr('motor.breakdownRatio', () =>
        ledger.typical(named('motor.pullOut', 'Pull-out over rated torque', 'number'), value, citation),
      ),
      cooling: choice(plan.motor.cooling === 'blower' ? 'blower' : 'shaft-fan', 'Cooling'),
      fluxFraction,
    },
  )
}

/** Share of rated torque held all day at the lowest hertz on the motor's own fan. */
function lowTorque({ plan, ledger, motor, settings }: Before): FigureState {
  const naming = named('motor.lowTorqueFraction', 'Continuous torque at the lowest hertz', 'fraction')
  const [low, base] = [numberOf(settings.minimumHz), numberOf(motor.frequencyHz)]
  if (low === undefined || base === undefined) return ledger.block(naming, [settings.minimumHz, motor.frequencyHz])
  const { cooling, inverterDutyRatio } = plan.motor
  if (cooling === undefined) return ledger.block(naming, [unknownField('motor.cooling', 'Cooling')])
  if (cooling !== 'shaft-fan')
    return ledger.block(naming, [], 'A motor without a shaft fan is judged by its maker’s own figures')
  if (inverterDutyRatio !== undefined && low >= base / inverterDutyRatio)
    return ledger.stated(
      naming,
      1,
      'given',
      [ledger.given('motor.inverterDutyRatio')],
      'Inside the constant-torque range on the plate',
    )
  const share = ledger.derive(
    frequencyFraction,
    'fraction',
    named('motor.lowHzFraction', 'Lowest hertz over base', 'number'),
    { frequencyHz: settings.minimumHz, baseFrequencyHz: motor.frequencyHz },
  )
  return ledger.derive(fanCooling, 'torqueFraction', naming, { frequencyFraction: share }, { planning: true })
}

function positionFacts(
  { ledger, motor, settings, plan }: Before,
  train: TrainFacts,
  knobTopHz: FigureState,
  topMotorRpm: FigureState,
  usableNm: FigureState,
): PositionFacts {
  const { name, stages, position } = train
  const slip = isKnown(motor.slip) ? motor.slip : undefined
  const loaded = plan.drive.control === 'vector' ? undefined : slip
  const speed = (
    key: 'bottomRpm' | 'baseRpm' | 'topRpm' | 'unloadedTopRpm',
    label: string,
    frequencyHz: FigureState,
    atSlip: FigureState | undefined,
  ) =>
    ledger.derive(drivetrainSpeed, 'spindleRpm', named(ofPosition(position, key), `${name}: ${label}`, 'speed'), {
      frequencyHz,
      poles: motor.poles,
      slip: atSlip,
      stages,
    })
  return {
    ...train,
    bottomRpm: speed('bottomRpm', 'slowest, no load', settings.minimumHz, undefined),
    baseRpm: speed('baseRpm', 'at base hertz, full load', motor.frequencyHz, slip),
    topRpm: speed('topRpm', 'fastest, full load', knobTopHz, loaded),
    unloadedTopRpm: speed('unloadedTopRpm', 'fastest, no load', settings.maximumHz, undefined),
    torqueNm: ledger.derive(
      spindleTorque,
      'torqueNm',
      named(ofPosition(position, 'torque'), `${name}: spindle torque up to base hertz`, 'torque'),
      { torqueNm: usableNm, speedRatio: train.speedRatio, efficiency: train.efficiency },
    ),
    belts: beltSpeeds(ledger, train, topMotorRpm),
  }
}

/** Speed of each belt with the spindle unloaded at the highest hertz. */
const beltSpeeds = (ledger: Ledger, train: TrainFacts, topMotorRpm: FigureState): PositionFacts['belts'] =>
  train.position.transmission.flatMap((stage, stageIndex) => {
    if (stage.kind === undefined || !isRimBelt(stage.kind)) return []
    const id = `position.${train.position.id}.belt${stageIndex + 1}` as const
    const before = train.position.transmission.slice(0, stageIndex)
    const speedRpm =
      before.length === 0
        ? topMotorRpm
        : ledger.derive(
            shaftSpeed,
            'speedRpm',
            named(`${id}.pulleyRpm`, `${train.name}: driving pulley ${stageIndex + 1} at the highest hertz`, 'speed'),
            { speedRpm: topMotorRpm, speedRatio: ratioBefore(ledger, train, before) },
          )
    const speedMPerS = ledger.derive(
      beltSpeed,
      'speedMPerS',
      named(`${id}.speed`, `${train.name}: speed of belt ${stageIndex + 1}`, 'beltSpeed'),
      {
        diameterMm: ledger.given(`survey.positions.${train.index}.transmission.${stageIndex}.driverMm`),
        speedRpm,
      },
    )
    return [{ stageIndex, kind: stage.kind, speedMPerS }]
  })

/** Ratio of the stages before a belt, by sizes typed or worked out; it waits for those that are not known. */
function ratioBefore(ledger: Ledger, { index, name }: TrainFacts, before: readonly TransmissionStage[]): Raw {
  const sizes = before.map((stage, i) =>
    stageSizes(ledger, stage, `survey.positions.${index}.transmission.${i}`, `${name}: `, i + 1),
  )
  const raw = before.reduce((ratio, { kind, slip = 0 }, i) => {
    const [first = 1, second = 1] = (sizes[i] ?? []).map(numberOf)
    return ratio * (isSealed(kind) ? 1 / first : first / second) * (1 - slip)
  }, 1)
  return { raw, shown: raw, label: 'Ratio of the stages before it', from: sizes.flat() }
}

function jobFacts(
  ledger: Ledger,
  job: Job,
  index: number,
  positions: PositionFacts[],
  main: PositionFacts | undefined,
): JobFacts {
  const name = job.name?.trim() || `Job ${index + 1}`
  const path: JobPath = `survey.jobs.${index}`
  const wantedRpm =
    job.speedRpm !== undefined
      ? ledger.given(`${path}.speedRpm`, `${name}: wanted spindle speed`)
      : ledger.compute(
          cuttingSpeed,
          { speedRpm: named(`job.${job.id}.wantedRpm`, `${name}: wanted spindle speed`, 'speed') },
          {
            surfaceSpeedMPerMin:
              jobSurfaceSpeed(ledger, job, path, name) ??
              ledger.given(`${path}.surfaceSpeedMPerMin`, `${name}: surface speed`),
            diameterMm: ledger.given(`${path}.diameterMm`, `${name}: diameter`),
          },
        ).speedRpm
  const on = positions.find((p) => p.position.id === job.positionId) ?? main
  return {
    job,
    index,
    name,
    wantedRpm,
    window: speedWindow(job),
    ...jobCut(ledger, job, path, name, wantedRpm),
    on,
  }
}
