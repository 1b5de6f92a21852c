import { motorEfficiency, typicalMotorEfficiency } from '../../data/motorEfficiency'
import * as rules from '../../motor'
import { hasField, heartOf, type Connection, type Plan } from '../../plan'
import type { Context } from '../context'
import { isKnown, numberOf, type FigureState } from '../figure'
import { motorWithoutHertz } from '../hearts/motorWithoutHertz'
import { named } from '../ledger'
import type { MotorFacts } from './motorKnown'

/** Whether a drive can run a motor as it is; undefined while its kind is not known. */
export function runsOnDrive({ kind, oneWinding }: Plan['motor']): boolean | undefined {
  if (kind === undefined) return undefined
  return kind === 'induction' || kind === 'high-frequency' || (kind === 'pole-changing' && oneWinding === true)
}

/**
 * The connection in use: as typed, or `fixed` where the plate and leads leave no choice: three leads, or one voltage and
 * nothing said of more leads.
 */
export function connectionOf({ motor }: Plan): Connection | undefined {
  if (motor.connection !== undefined) return motor.connection
  if (motor.leads === '3') return 'fixed'
  const oneVoltage = motor.lowVoltageV !== undefined && motor.highVoltageV === undefined
  return oneVoltage && (motor.leads === undefined || motor.kind === 'high-frequency') ? 'fixed' : undefined
}

/** Slip that remains under load: vector control makes up for it, plain V/f does not. */
export const loadedSlip = ({ drive }: Plan, motor: Pick<MotorFacts, 'slip'>): number =>
  drive.control === 'vector' ? 0 : (numberOf(motor.slip) ?? 0)

/** What the nameplate says, and what follows from it. */
export function motorFacts(context: Context): MotorFacts {
  const { plan, ledger } = context
  if (heartOf(plan) !== 'inverter') return motorWithoutHertz(context)
  const connection = connectionOf(plan)
  const powerW = ledger.given('motor.powerW')
  const frequencyHz = ledger.given('motor.ratedFrequencyHz')
  const ratedSpeedRpm = ledger.given('motor.ratedSpeedRpm')
  const plateVoltageV = plateVoltage(context, connection)
  const plateCurrentA = plateCurrent(context, connection)
  const { poles, synchronousRpm, slip } = ledger.compute(
    rules.polesFromNameplate,
    {
      poles: named('motor.poles', 'Poles', 'number'),
      synchronousRpm: named('motor.synchronousRpm', 'Synchronous speed', 'speed'),
      slip: named('motor.slip', 'Slip at full load', 'fraction'),
    },
    { ratedSpeedRpm, ratedFrequencyHz: frequencyHz },
  )
  const impliedProduct = ledger.derive(
    rules.impliedEfficiencyPowerFactor,
    'product',
    named('motor.impliedProduct', 'Efficiency times cos phi, from the amps', 'number'),
    { powerW, voltageV: plateVoltageV, currentA: plateCurrentA },
  )
  return {
    connection,
    suitable: runsOnDrive(plan.motor),
    plateVoltageV,
    plateCurrentA,
    frequencyHz,
    ratedSpeedRpm,
    poles,
    synchronousRpm,
    slip,
    torqueNm: ledger.derive(rules.ratedTorque, 'torqueNm', named('motor.torque', 'Rated torque', 'torque'), {
      powerW,
      speedRpm: ratedSpeedRpm,
    }),
    impliedProduct,
    efficiency: efficiency(context, powerW, impliedProduct, poles),
    serviceFactorA: ledger.derive(
      rules.serviceFactorCurrent,
      'currentA',
      named('motor.serviceFactorA', 'Never-exceed amps', 'current'),
      { currentA: plateCurrentA, serviceFactor: ledger.given('motor.serviceFactor') },
    ),
    safeRpm: safeSpeed(context, poles, ratedSpeedRpm),
  }
}

/** Which of the plate's two values the links use; undefined while that is not known. A motor without links uses the first. */
function plateSide(plan: Plan, connection: Connection | undefined): { high: boolean; starOver: boolean } | undefined {
  const dual = plan.motor.highVoltageV !== undefined && hasField(plan, 'motor.connection')
  if (dual && connection === undefined) return undefined
  const { plate, starOver } = connection === undefined ? { plate: 'low', starOver: false } : rules.plateOf(connection)
  return { high: dual && plate === 'high', starOver }
}

/** Plate volts for the connection in use. A star made of what the plate prints for delta takes root three times those. */
function plateVoltage({ plan, ledger }: Context, connection: Connection | undefined): FigureState {
  const naming = named('motor.plateVoltageV', 'Plate volts for these links', 'voltage')
  const side = plateSide(plan, connection)
  if (!side) return ledger.block(naming, [ledger.given('motor.connection', 'Links as they are')])
  const own = ledger.given(side.high ? 'motor.highVoltageV' : 'motor.lowVoltageV')
  if (!isKnown(own)) return ledger.block(naming, [own])
  return side.starOver
    ? ledger.derive(rules.starVoltage, 'starV', naming, { deltaV: own })
    : ledger.stated(naming, own.value, 'given', [own])
}

/** Plate amps for the connection in use; those not printed follow from the volts, the power being the same. */
function plateCurrent({ plan, ledger }: Context, connection: Connection | undefined): FigureState {
  const naming = named('motor.plateCurrentA', 'Plate amps for these links', 'current')
  const side = plateSide(plan, connection)
  if (!side) return ledger.block(naming, [ledger.given('motor.connection', 'Links as they are')])
  const [ownV, otherV] = side.high
    ? (['motor.highVoltageV', 'motor.lowVoltageV'] as const)
    : (['motor.lowVoltageV', 'motor.highVoltageV'] as const)
  const printed = ledger.given(side.high ? 'motor.highVoltageA' : 'motor.lowVoltageA')
  if (isKnown(printed) && !side.starOver) return ledger.stated(naming, printed.value, 'given', [printed])
  if (!isKnown(printed) && plan.motor.highVoltageV === undefined) return ledger.block(naming, [printed])
  const other = ledger.given(side.high ? 'motor.lowVoltageA' : 'motor.highVoltageA')
  if (!isKnown(printed) && (!isKnown(other) || !isKnown(ledger.given(ownV)) || !isKnown(ledger.given(otherV))))
    return ledger.block(naming, [printed])
  const beside = side.starOver ? named('motor.deltaA', 'Plate amps in delta', 'current') : naming
  const ofPlate = isKnown(printed)
    ? printed
    : ledger.derive(rules.otherVoltageCurrent, 'currentA', beside, {
        currentA: other,
        voltageV: ledger.given(otherV),
        otherVoltageV: ledger.given(ownV),
      })
  return side.starOver ? ledger.derive(rules.starCurrent, 'starA', naming, { deltaA: ofPlate }) : ofPlate
}

/** Between these an efficiency that follows from the plate is believed. */
const BELIEVABLE = { least: 0.2, most: 0.99 }

function efficiency(
  { plan, ledger }: Context,
  powerW: FigureState,
  impliedProduct: FigureState,
  poles: FigureState,
): FigureState {
  const naming = named('motor.efficiency', 'Motor efficiency', 'fraction')
  const { motorEfficiency: own } = plan.overrides
  if (own === undefined && plan.motor.efficiency !== undefined)
    return ledger.given('motor.efficiency', 'Motor efficiency')
  const cosPhi = ledger.given('motor.powerFactor')
  if (own === undefined && isKnown(impliedProduct) && isKnown(cosPhi)) {
    const implied = impliedProduct.value / cosPhi.value
    if (implied > BELIEVABLE.least && implied < BELIEVABLE.most)
      return ledger.derive(rules.efficiencyFromPowerFactor, 'efficiency', naming, {
        product: impliedProduct,
        powerFactor: cosPhi,
      })
  }
  const power = numberOf(powerW)
  return power === undefined && own === undefined
    ? ledger.block(naming, [powerW])
    : ledger.typical(
        naming,
        typicalMotorEfficiency(power ?? 0, numberOf(poles)),
        motorEfficiency.citation,
        'overrides.motorEfficiency',
      )
}

function safeSpeed({ plan, ledger }: Context, poles: FigureState, ratedSpeedRpm: FigureState): FigureState {
  const naming = named('motor.safeRpm', 'Fastest safe motor speed', 'speed')
  const plateMaximumRpm = ledger.given('motor.maximumRpm')
  if (isKnown(plateMaximumRpm)) return ledger.stated(naming, plateMaximumRpm.value, 'given', [plateMaximumRpm])
  const { frame } = plan.motor
  const height = frame === undefined ? undefined : rules.frameHeightMm(frame)
  const frameMm =
    height === undefined
      ? undefined
      : ledger.stated(
          named('motor.frameMm', 'Frame height', 'length'),
          height,
          'given',
          [],
          `Read from the frame name ${frame ?? ''} (IEC 60072-1, NEMA MG 1)`,
        )
  return ledger.derive(
    rules.safeSpeed,
    'maximumRpm',
    naming,
    // Where the frame was not read, the lowest of its power's sizes counts.
    { poles, ratedSpeedRpm, ...(frameMm ? { frameMm } : { powerW: ledger.given('motor.powerW') }) },
    {
      basis: (made) => (made.basis === 'typical' ? 'typical' : 'computed'),
    },
  )
}
