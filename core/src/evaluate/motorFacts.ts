import { typicalMotorEfficiency, motorEfficiency } from '../data/motorEfficiency'
import { plateOf } from '../data/leadConnections'
import * as rules from '../motor'
import type { Connection, Plan } from '../plan'
import { isKnown, numberOf, type Reading } from './figure'
import type { Ledger } from './ledger'

export interface MotorFacts {
  /** Links as they are, or the only way there is. */
  connection: Connection | undefined
  /** True for motors a drive can run as they are. */
  suitable: boolean | undefined
  plateVoltageV: Reading
  plateCurrentA: Reading
  frequencyHz: Reading
  ratedSpeedRpm: Reading
  poles: Reading
  synchronousRpm: Reading
  slip: Reading
  torqueNm: Reading
  impliedProduct: Reading
  efficiency: Reading
  serviceFactorA: Reading
  safeRpm: Reading
}

const runsOnDrive: ReadonlySet<string> = new Set(['three-phase', 'one-winding', 'high-frequency'])

/** The connection in use: as typed, or `fixed` where the plate and leads leave no choice. */
export function connectionOf({ motor }: Plan): Connection | undefined {
  if (motor.connection !== undefined) return motor.connection
  return motor.leads === '3' || (motor.kind === 'high-frequency' && motor.highVoltageV === undefined)
    ? 'fixed'
    : undefined
}

/** Slip that remains under load: vector control makes up for it, plain V/f does not. */
export const loadedSlip = ({ drive }: Plan, motor: Pick<MotorFacts, 'slip'>): number =>
  drive.control === 'vector' ? 0 : (numberOf(motor.slip) ?? 0)

/** What the nameplate says, and what follows from it. */
export function motorFacts(plan: Plan, ledger: Ledger): MotorFacts {
  const { motor } = plan
  const connection = connectionOf(plan)
  const powerW = ledger.given('motor.powerW', 'Motor power')
  const frequencyHz = ledger.given('motor.ratedFrequencyHz', 'Plate hertz')
  const ratedSpeedRpm = ledger.given('motor.ratedSpeedRpm', 'Plate speed')
  const plateVoltageV = plateValue(plan, ledger, 'V', connection)
  const plateCurrentA = plateValue(plan, ledger, 'A', connection)

  const plate = ledger.compute(
    rules.polesFromNameplate,
    {
      poles: { id: 'motor.poles', label: 'Poles', dimension: 'number' },
      synchronousRpm: { id: 'motor.synchronousRpm', label: 'Synchronous speed', dimension: 'speed' },
      slip: { id: 'motor.slip', label: 'Slip at full load', dimension: 'fraction' },
    },
    { ratedSpeedRpm, ratedFrequencyHz: frequencyHz },
  )
  const { torqueNm } = ledger.compute(
    rules.ratedTorque,
    { torqueNm: { id: 'motor.torque', label: 'Rated torque', dimension: 'torque' } },
    { powerW, speedRpm: ratedSpeedRpm },
  )
  const { product: impliedProduct } = ledger.compute(
    rules.impliedEfficiencyPowerFactor,
    { product: { id: 'motor.impliedProduct', label: 'Efficiency times cos phi, from the amps', dimension: 'number' } },
    { powerW, voltageV: plateVoltageV, currentA: plateCurrentA },
  )
  const { currentA: serviceFactorA } = ledger.compute(
    rules.serviceFactorCurrent,
    { currentA: { id: 'motor.serviceFactorA', label: 'Never-exceed amps', dimension: 'current' } },
    { currentA: plateCurrentA, serviceFactor: ledger.given('motor.serviceFactor') },
  )
  return {
    connection,
    suitable: motor.kind === undefined ? undefined : runsOnDrive.has(motor.kind),
    plateVoltageV,
    plateCurrentA,
    frequencyHz,
    ratedSpeedRpm,
    poles: plate.poles,
    synchronousRpm: plate.synchronousRpm,
    slip: plate.slip,
    torqueNm,
    impliedProduct,
    efficiency: efficiencyReading(plan, ledger, powerW, impliedProduct),
    serviceFactorA,
    safeRpm: safeSpeedReading(plan, ledger, plate.poles, ratedSpeedRpm),
  }
}

/** Plate volts or amps for the connection in use; amps not printed follow from the volts, power being the same. */
function plateValue({ motor }: Plan, ledger: Ledger, which: 'V' | 'A', connection: Connection | undefined): Reading {
  const naming =
    which === 'V'
      ? { id: 'motor.plateVoltageV', label: 'Plate volts for these links', dimension: 'voltage' as const }
      : { id: 'motor.plateCurrentA', label: 'Plate amps for these links', dimension: 'current' as const }
  const dual = motor.highVoltageV !== undefined
  if (dual && connection === undefined)
    return ledger.block(naming, [ledger.given('motor.connection', 'Links as they are')])
  const { plate, starOver } = connection === undefined ? { plate: 'low', starOver: false } : plateOf(connection)
  const high = dual && plate === 'high'
  // A star made of what the plate prints for delta takes root three times the volts, and as much less amps.
  const times = starOver ? (which === 'V' ? Math.sqrt(3) : 1 / Math.sqrt(3)) : 1
  const starNote = starOver ? 'The plate’s delta value, brought to star by root three' : undefined
  const own = ledger.given(
    which === 'V'
      ? high
        ? 'motor.highVoltageV'
        : 'motor.lowVoltageV'
      : high
        ? 'motor.highVoltageA'
        : 'motor.lowVoltageA',
  )
  if (isKnown(own)) return ledger.stated(naming, own.value * times, starOver ? 'computed' : 'given', [own], starNote)
  if (which === 'V' || !dual) return ledger.block(naming, [own])
  const other = ledger.given(high ? 'motor.lowVoltageA' : 'motor.highVoltageA')
  const lowV = ledger.given('motor.lowVoltageV')
  const highV = ledger.given('motor.highVoltageV')
  const [a, v1, v2] = [numberOf(other), numberOf(lowV), numberOf(highV)]
  if (a === undefined || v1 === undefined || v2 === undefined) return ledger.block(naming, [own])
  return ledger.stated(
    naming,
    times * (high ? (a * v1) / v2 : (a * v2) / v1),
    'computed',
    [other, lowV, highV],
    'The other amps of the plate, times the ratio of its volts: the power is the same',
  )
}

function efficiencyReading(plan: Plan, ledger: Ledger, powerW: Reading, impliedProduct: Reading): Reading {
  const naming = { id: 'motor.efficiency', label: 'Motor efficiency', dimension: 'fraction' as const }
  if (plan.overrides.motorEfficiency === undefined && plan.motor.efficiency !== undefined)
    return ledger.given('motor.efficiency', 'Motor efficiency')
  const cosPhi = ledger.given('motor.powerFactor')
  if (plan.overrides.motorEfficiency === undefined && isKnown(impliedProduct) && isKnown(cosPhi)) {
    const efficiency = impliedProduct.value / cosPhi.value
    if (efficiency > 0.2 && efficiency < 0.99)
      return ledger.stated(
        naming,
        efficiency,
        'computed',
        [impliedProduct, cosPhi],
        'From the plate: efficiency times cos phi, over the cos phi printed',
      )
  }
  const power = numberOf(powerW)
  return power === undefined && plan.overrides.motorEfficiency === undefined
    ? ledger.block(naming, [powerW])
    : ledger.typical(naming, typicalMotorEfficiency(power ?? 0), motorEfficiency.source, 'overrides.motorEfficiency')
}

function safeSpeedReading({ motor }: Plan, ledger: Ledger, poles: Reading, ratedSpeedRpm: Reading): Reading {
  const naming = { id: 'motor.safeRpm', label: 'Fastest safe motor speed', dimension: 'speed' as const }
  const plateMaximumRpm = ledger.given('motor.maximumRpm')
  const height = motor.frame === undefined ? undefined : rules.frameHeightMm(motor.frame)
  const frameMm =
    height === undefined
      ? isKnown(plateMaximumRpm)
        ? undefined
        : ledger.block({ id: 'motor.frameMm', label: 'Frame height' }, [
            { id: 'motor.frame', label: 'Frame', missing: ['motor.frame'] },
          ])
      : ledger.stated(
          { id: 'motor.frameMm', label: 'Frame height', dimension: 'length' },
          height,
          'given',
          [],
          `Read from the frame name ${motor.frame ?? ''} (IEC 60072-1, NEMA MG 1)`,
        )
  if (isKnown(plateMaximumRpm)) return ledger.stated(naming, plateMaximumRpm.value, 'given', [plateMaximumRpm])
  const result = ledger.compute(rules.safeSpeed, { maximumRpm: naming }, { poles, frameMm, ratedSpeedRpm })
  const figure = result.maximumRpm
  if (isKnown(figure) && result.output?.basis === 'typical') {
    figure.basis = 'typical'
    figure.restsOnTypical = true
  }
  return figure
}
