import { controlReference } from '../controls/controlReference'
import { cuttingSpeed } from '../cutting/cuttingSpeed'
import { beltSpeed, drivetrainSpeed, isPlainBelt, spindleTorque, type StageKind } from '../drivetrain'
import { flux, fanCooling, synchronousSpeed } from '../motor'
import type { Job, Plan } from '../plan'
import { sameNominal } from '../quantities'
import type { DriveFacts } from './driveFacts'
import { isKnown, numberOf, onPlanning, type Reading } from './figure'
import { jobCut, jobSurfaceSpeed, speedWindow } from './jobCut'
import type { Ledger } from './ledger'
import type { MotorFacts } from './motorFacts'
import type { SettingsFacts } from './settingsFacts'
import { mainPosition, type TrainFacts } from './trainFacts'

export interface PositionFacts extends TrainFacts {
  /** Unloaded, at the lowest hertz: slower than this the knob does not go. */
  bottomRpm: Reading
  /** At base hertz under full load. */
  baseRpm: Reading
  /** At the highest hertz under full load. */
  topRpm: Reading
  /** Unloaded at the highest hertz: what chucks and belts must stand. */
  unloadedTopRpm: Reading
  torqueNm: Reading
  /** Fastest belt of the position, with its stage. */
  belts: { stageIndex: number; kind: StageKind; speedMPerS: Reading }[]
}

export interface JobFacts {
  job: Job
  index: number
  name: string
  wantedRpm: Reading
  /** Shares of the wanted speed between which it is still good. */
  window: { slower: number; faster: number }
  /** Asked of the spindle; undefined where nothing tells them. */
  torqueNm: Reading | undefined
  powerW: Reading | undefined
  /** The position it is done on: its own, or the one used most. */
  on: PositionFacts | undefined
  /** Whether the knob reaches it there. */
  reach: 'reached' | 'below' | 'above' | 'unknown'
  reachedOn: PositionFacts[]
}

export interface SpeedFacts {
  fluxFraction: Reading
  setVoltageV: Reading
  topMotorRpm: Reading
  lowTorqueFraction: Reading
  knobTopHz: Reading
  positions: PositionFacts[]
  main: PositionFacts | undefined
  jobs: JobFacts[]
}

interface Sources {
  plan: Plan
  ledger: Ledger
  motor: MotorFacts
  drive: DriveFacts
  settings: SettingsFacts
  trains: TrainFacts[]
}

/** What the drive does to the motor, and what the spindle does on each belt position for each job. */
export function speedFacts(sources: Sources): SpeedFacts {
  const { plan, ledger, motor, settings, trains } = sources
  const setVoltageV = setVoltage(sources)
  const { fluxFraction } = ledger.compute(
    flux,
    { fluxFraction: { id: 'motor.fluxFraction', label: 'Flux against the plate', dimension: 'fraction' } },
    {
      setVoltageV,
      baseFrequencyHz: settings.baseFrequencyHz,
      plateVoltageV: motor.plateVoltageV,
      plateFrequencyHz: motor.frequencyHz,
    },
  )
  const { synchronousRpm: topMotorRpm } = ledger.compute(
    synchronousSpeed,
    { synchronousRpm: { id: 'motor.topRpm', label: 'Motor speed at the highest hertz', dimension: 'speed' } },
    { frequencyHz: settings.maximumHz, poles: motor.poles },
  )
  const knobTopHz = knobTop(sources)
  const positions = trains.map((train) => positionFacts(sources, train, knobTopHz))
  const main = positions.find((p) => p.position.id === mainPosition(plan)?.id)
  return {
    fluxFraction,
    setVoltageV,
    topMotorRpm,
    lowTorqueFraction: lowTorque(sources),
    knobTopHz,
    positions,
    main,
    jobs: plan.survey.jobs.map((job, i) => jobFacts(ledger, job, i, positions, main)),
  }
}

/**
 * Volts given at base hertz. Where the drive could give more than the motor's links may have and
 * nothing was chosen or read back, it is taken to give all it has, as it does when it arrives.
 */
function setVoltage({ plan, ledger, motor, drive, settings }: Sources): Reading {
  const naming = { id: 'drive.setVoltageV', label: 'Volts at base hertz', dimension: 'voltage' as const }
  const explicit = plan.settings.inDrive.ratedVoltageV ?? plan.settings.chosen.ratedVoltageV
  if (explicit !== undefined) return ledger.stated(naming, explicit, 'given', [], 'As set in the drive')
  const [plateV, ceilingV] = [numberOf(motor.plateVoltageV), numberOf(drive.ceilingV)]
  if (plateV === undefined || ceilingV === undefined) return ledger.block(naming, [motor.plateVoltageV, drive.ceilingV])
  if (plateV < ceilingV && !sameNominal(plateV, ceilingV))
    return ledger.stated(naming, ceilingV, 'computed', [drive.ceilingV], 'As the drive arrives, until it is set lower')
  const line = settings.lines.find((l) => l.id === 'ratedVoltageV')
  return ledger.stated(
    naming,
    typeof line?.value === 'number' ? line.value : ceilingV,
    'computed',
    [motor.plateVoltageV, drive.ceilingV],
    'The plate’s volts, or all the drive has where that is less',
  )
}

function knobTop({ plan, ledger, settings }: Sources): Reading {
  const naming = { id: 'controls.topHz', label: 'Hertz at the top of the knob', dimension: 'frequency' as const }
  const measured = plan.controls.knobTopHz
  if (measured !== undefined) return ledger.stated(naming, measured, 'measured', [], 'Measured at the top of the knob')
  const mode = plan.controls.knobMode ?? 'scaled'
  return ledger.compute(
    controlReference,
    { frequencyHz: naming },
    {
      dial: { raw: 1, shown: 1, label: 'Knob position, 0 to 1' },
      minHz: settings.minimumHz,
      maxHz: settings.maximumHz,
      mode: { raw: mode, shown: mode, label: 'Knob reads as' },
    },
  ).frequencyHz
}

/** Share of rated torque held all day at the lowest hertz on the motor's own fan. */
function lowTorque({ plan, ledger, motor, settings }: Sources): Reading {
  const naming = {
    id: 'motor.lowTorqueFraction',
    label: 'Continuous torque at the lowest hertz',
    dimension: 'fraction' as const,
  }
  const [low, base] = [numberOf(settings.minimumHz), numberOf(motor.frequencyHz)]
  if (low === undefined || base === undefined) return ledger.block(naming, [settings.minimumHz, motor.frequencyHz])
  const { cooling, inverterDutyRatio } = plan.motor
  if (cooling === undefined)
    return ledger.block(naming, [{ id: 'motor.cooling', label: 'Cooling', missing: ['motor.cooling'] }])
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
  const share = ledger.stated(
    { id: 'motor.lowHzFraction', label: 'Lowest hertz over base', dimension: 'number' },
    Math.min(1, low / base),
    'computed',
    [settings.minimumHz, motor.frequencyHz],
  )
  const figure = ledger.compute(fanCooling, { torqueFraction: naming }, { frequencyFraction: share }).torqueFraction
  return onPlanning(figure)
}

function positionFacts(
  { ledger, motor, settings, plan }: Sources,
  train: TrainFacts,
  knobTopHz: Reading,
): PositionFacts {
  const id = `position.${train.position.id}`
  const { name, stages } = train
  const slip = plan.drive.control !== 'vector' && isKnown(motor.slip) ? motor.slip : undefined
  const speed = (key: string, label: string, frequencyHz: Reading, atSlip: Reading | undefined) =>
    ledger.compute(
      drivetrainSpeed,
      { spindleRpm: { id: `${id}.${key}`, label: `${name}: ${label}`, dimension: 'speed' } },
      { frequencyHz, poles: motor.poles, slip: atSlip, stages },
    ).spindleRpm
  const { torqueNm } = ledger.compute(
    spindleTorque,
    { torqueNm: { id: `${id}.torque`, label: `${name}: spindle torque up to base hertz`, dimension: 'torque' } },
    { torqueNm: motor.torqueNm, speedRatio: train.speedRatio, efficiency: train.efficiency },
  )
  return {
    ...train,
    bottomRpm: speed('bottomRpm', 'slowest, no load', settings.minimumHz, undefined),
    baseRpm: speed(
      'baseRpm',
      'at base hertz, full load',
      motor.frequencyHz,
      isKnown(motor.slip) ? motor.slip : undefined,
    ),
    topRpm: speed('topRpm', 'fastest, full load', knobTopHz, slip),
    unloadedTopRpm: speed('unloadedTopRpm', 'fastest, no load', settings.maximumHz, undefined),
    torqueNm,
    belts: beltSpeeds(ledger, motor, settings, train),
  }
}

const onIronPulleys = (kind: StageKind): boolean => isPlainBelt(kind) || kind === 'variable-sheave'

/** Speed of each belt with the spindle unloaded at the highest hertz. */
function beltSpeeds(
  ledger: Ledger,
  motor: MotorFacts,
  settings: SettingsFacts,
  train: TrainFacts,
): PositionFacts['belts'] {
  let motorToShaft = 1
  return train.position.stages.flatMap((stage, stageIndex) => {
    const toShaft = motorToShaft
    motorToShaft *= ((stage.driverMm ?? 1) / (stage.drivenMm ?? 1)) * (1 - (stage.slip ?? 0))
    if (stage.kind === undefined || !onIronPulleys(stage.kind)) return []
    const id = `position.${train.position.id}.belt${stageIndex + 1}`
    const topHz = numberOf(settings.maximumHz)
    const poles = numberOf(motor.poles)
    const diameterMm = ledger.given(`survey.positions.${train.index}.stages.${stageIndex}.driverMm`)
    const naming = {
      id: `${id}.pulleyRpm`,
      label: `${train.name}: driving pulley ${stageIndex + 1} at the highest hertz`,
      dimension: 'speed' as const,
    }
    const speedRpm =
      topHz === undefined || poles === undefined
        ? ledger.block(naming, [settings.maximumHz, motor.poles])
        : ledger.stated(
            naming,
            ((120 * topHz) / poles) * toShaft,
            'computed',
            [settings.maximumHz, motor.poles],
            'Synchronous speed through the stages before it',
          )
    const { speedMPerS } = ledger.compute(
      beltSpeed,
      {
        speedMPerS: {
          id: `${id}.speed`,
          label: `${train.name}: speed of belt ${stageIndex + 1}`,
          dimension: 'beltSpeed',
        },
      },
      { diameterMm, speedRpm },
    )
    return [{ stageIndex, kind: stage.kind, speedMPerS }]
  })
}

export const covers = (position: PositionFacts, rpm: number): JobFacts['reach'] => {
  const [bottom, top] = [numberOf(position.bottomRpm), numberOf(position.topRpm)]
  if (bottom === undefined || top === undefined) return 'unknown'
  return rpm < bottom ? 'below' : rpm > top ? 'above' : 'reached'
}

function jobFacts(
  ledger: Ledger,
  job: Job,
  index: number,
  positions: PositionFacts[],
  main: PositionFacts | undefined,
): JobFacts {
  const name = job.name?.trim() || `Job ${index + 1}`
  const path = `survey.jobs.${index}`
  const wantedRpm =
    job.speedRpm !== undefined
      ? ledger.given(`${path}.speedRpm`, `${name}: wanted spindle speed`)
      : ledger.compute(
          cuttingSpeed,
          { speedRpm: { id: `job.${job.id}.wantedRpm`, label: `${name}: wanted spindle speed`, dimension: 'speed' } },
          {
            surfaceSpeedMPerMin:
              jobSurfaceSpeed(ledger, job, path, name) ??
              ledger.given(`${path}.surfaceSpeedMPerMin`, `${name}: surface speed`),
            diameterMm: ledger.given(`${path}.diameterMm`, `${name}: diameter`),
          },
        ).speedRpm
  const rpm = numberOf(wantedRpm)
  const on = positions.find((p) => p.position.id === job.positionId) ?? main
  return {
    job,
    index,
    name,
    wantedRpm,
    window: speedWindow(job),
    ...jobCut(ledger, job, path, name, wantedRpm),
    on,
    reach: rpm === undefined || on === undefined ? 'unknown' : covers(on, rpm),
    reachedOn: rpm === undefined ? [] : positions.filter((p) => covers(p, rpm) === 'reached'),
  }
}
