import { frameHeightMm, hertzAtRpm, highestFrequency } from '../../motor'
import { amount, hertz, message, rpm, type Message } from '../../quantities'
import type { TrainFacts } from '../belts/trainFacts'
import type { Knowing } from '../context'
import { isKnown, numberOf, type FigureState } from '../figure'
import type { FluxFacts } from '../motor/fluxFacts'
import { choice, type Raw } from '../ledger'
import { loadedSlip } from '../motor/motorFacts'
import { lowestSpindleLimit } from '../spindle/spindleLimits'
import type { Derived } from './settingLine'
import type { MotorFacts } from '../motor/motorKnown'

/** Why the highest hertz end where they do, and whether that rests on a planning value. */
interface Ending {
  reason: Message
  typical: boolean
  from: readonly FigureState[]
}

/**
 * The lowest of what torque, bearings, drive and spindle allow. A two-pole motor is not planned
 * above its plate; four poles and up are, to the first of these limits.
 */
export function deriveHighestHertz({
  plan,
  tables,
  ledger,
  motor,
  main,
  baseFrequencyHz,
  flux,
}: Knowing<{ motor: MotorFacts; baseFrequencyHz: FigureState; flux: FluxFacts }> & {
  main: TrainFacts | undefined
}): Derived {
  const { frequencyHz, poles, safeRpm } = motor
  if (!isKnown(frequencyHz) || !isKnown(poles))
    return { basis: 'typical', reason: message`Needs the plate’s hertz and speed.`, from: [frequencyHz, poles] }
  const timesBase = tables.planning.topHertzRatio.value
  const limit = lowestSpindleLimit(plan)
  const perMotor = numberOf(main?.speedRatio)
  const spindleHz: Raw | undefined =
    limit && main && perMotor
      ? {
          raw: hertzAtRpm(limit.rpm / perMotor, poles.value) / (limit.marked ? 1 : 1 - loadedSlip(plan, motor)),
          shown: `${limit.what} on ${main.name}`,
          label: 'Spindle at its limit',
          from: [main.speedRatio],
        }
      : undefined
  const { breakdownRatio: pullOut } = tables.planning
  const breakdownRatio = plan.motor.breakdownRatio ?? pullOut.value
  const fluxFraction = numberOf(flux.fluxFraction) ?? 1
  const frameRead = plan.motor.frame !== undefined && frameHeightMm(plan.motor.frame) !== undefined
  // Nothing says that it may turn faster than its plate.
  const keptAtPlate = !frameRead && plan.motor.maximumRpm === undefined
  const inputs = {
    plateFrequencyHz: frequencyHz,
    baseFrequencyHz: isKnown(baseFrequencyHz) ? baseFrequencyHz : undefined,
    fluxFraction: isKnown(flux.fluxFraction) ? flux.fluxFraction : undefined,
    breakdownRatio: choice(breakdownRatio, 'Pull-out over rated torque'),
    keptAtPlate: choice(keptAtPlate, 'Neither frame nor highest speed is known'),
    poles,
    timesBase: choice(timesBase, 'Times base'),
    // Only what ends it makes it rest on a planning value; that another limit is typical and lies higher does not.
    safeRpm: isKnown(safeRpm) ? choice(safeRpm.value, safeRpm.label) : undefined,
    driveHz: ledger.givenIfKnown('drive.maximumHz'),
    spindleHz,
  }
  const found = highestFrequency.run({
    plateFrequencyHz: frequencyHz.value,
    baseFrequencyHz: numberOf(baseFrequencyHz),
    fluxFraction,
    breakdownRatio,
    keptAtPlate,
    poles: poles.value,
    timesBase,
    safeRpm: numberOf(safeRpm),
    driveHz: plan.drive.maximumHz,
    spindleHz: spindleHz?.raw,
  })
  if (!found.ok)
    return { basis: 'typical', reason: message`Cannot be told from this plate.`, from: [frequencyHz, poles] }
  const endings: Record<typeof found.value.limit, Ending> = {
    plate: {
      reason: keptAtPlate
        ? message`Neither its frame nor its highest speed is known: it is kept at its plate.`
        : message`A ${poles.value}-pole motor for ${hertz(frequencyHz.value)} is kept at its plate.`,
      typical: false,
      from: [frequencyHz, poles],
    },
    'pull-out': {
      reason: message`Pull-out torque lasts to about ${amount('number', found.value.frequencyHz / (numberOf(baseFrequencyHz) ?? frequencyHz.value))} times base at constant power.`,
      typical: true,
      from: [frequencyHz],
    },
    'safe-speed': {
      reason: message`The motor is safe to ${rpm(numberOf(safeRpm) ?? 0)}.`,
      typical: isKnown(safeRpm) && safeRpm.restsOnTypical,
      from: [safeRpm],
    },
    drive: { reason: message`The drive ends at ${hertz(plan.drive.maximumHz ?? 0)}.`, typical: false, from: [] },
    spindle: {
      reason: message`On ${main?.name ?? ''}, ${limit?.what ?? ''} allows ${rpm(limit?.rpm ?? 0)}.`,
      typical: false,
      from: main ? [main.speedRatio] : [],
    },
  }
  const { reason, typical, from } = endings[found.value.limit]
  return {
    value: found.value.frequencyHz,
    basis: typical ? 'typical' : 'computed',
    reason,
    from,
    book: (naming) =>
      ledger.derive(
        highestFrequency,
        'frequencyHz',
        naming,
        found.value.limit === 'safe-speed' ? { ...inputs, safeRpm } : inputs,
        { basis: () => (typical ? 'typical' : 'computed') },
      ),
  }
}

/** Most hertz that motor and drive stand, whatever spins: where the knob of a combination may end. */
export function motorCeilingHz(
  {
    poles,
    plateHz,
    safeRpm,
    driveHz,
  }: { poles: number; plateHz: number; safeRpm?: number | undefined; driveHz?: number | undefined },
  timesBase: number,
): number {
  const found = highestFrequency.run({ plateFrequencyHz: plateHz, poles, timesBase, safeRpm, driveHz })
  return found.ok ? found.value.frequencyHz : plateHz
}
