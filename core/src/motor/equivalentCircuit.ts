import { z } from 'zod'
import { typicalMotorEfficiency } from '../data/motorEfficiency'
import { ampsInput, evenPolesInput, hertzInput, rpmInput, shareInput, voltsInput, wattsInput } from '../rules/inputs'
import { Refusal, refuse, rule } from '../rules/rule'
import { circuitSchema, fieldSpeed, solveCircuit } from './circuit'
import { rpmAtHertz } from './synchronousSpeed'
import { fitCircuit, ratedTorqueNm, type Aim, type PlateLoad } from './fitCircuit'

/** Pull-out of a common motor, aimed at where the plate says nothing. */
const TYPICAL_BREAKDOWN = 2.5
/** Most a power factor is taken to be where the plate prints none. */
const BEST_POWER_FACTOR = 0.93
/** Of what the slip allows, the most an efficiency is taken to be where the plate prints none. */
const BEST_OF_SLIP = 0.975
const SAME = 0.03
const SAME_BREAKDOWN = 0.05

const ratio = z.number().gt(1).max(12)

const input = z.strictObject({
  powerW: wattsInput,
  voltageV: voltsInput,
  ratedFrequencyHz: hertzInput,
  poles: evenPolesInput,
  ratedSpeedRpm: rpmInput,
  currentA: ampsInput,
  powerFactor: shareInput.optional(),
  efficiency: shareInput.optional(),
  breakdownRatio: ratio.optional(),
  lockedRotorCurrentRatio: ratio.optional(),
})

type Plate = z.output<typeof input>

/** Settles efficiency and power factor, which together the amps fix: as printed, else typical within what the slip allows. */
function powerFactorOf(plate: Plate, slip: number): number | Refusal {
  const { powerW, voltageV, currentA, powerFactor, efficiency } = plate
  const product = powerW / (Math.sqrt(3) * voltageV * currentA)
  const print = (n: number) => n.toFixed(3)
  if (product > 0.95 || product < 0.3)
    return refuse(
      'currentA',
      `contradicts powerW and voltageV: efficiency times cos phi would be ${print(product)}, and a motor has 0.3 to 0.95`,
    )
  if (
    powerFactor !== undefined &&
    efficiency !== undefined &&
    Math.abs(powerFactor * efficiency - product) > SAME * product
  )
    return refuse(
      'currentA',
      `contradicts powerFactor and efficiency: the amps give a product of ${print(product)}, those two ${print(powerFactor * efficiency)}`,
    )
  const most = 1 - slip
  if (powerFactor !== undefined) {
    if (product / powerFactor >= most)
      return refuse(
        'powerFactor',
        `contradicts currentA and ratedSpeedRpm: it would mean an efficiency of ${print(product / powerFactor)}, and the slip alone allows ${print(most)}`,
      )
    return powerFactor
  }
  if (efficiency !== undefined) {
    if (efficiency >= most)
      return refuse('efficiency', `contradicts ratedSpeedRpm: the slip alone allows ${print(most)}`)
    if (product / efficiency > 0.98)
      return refuse('efficiency', `contradicts currentA: it would mean a cos phi of ${print(product / efficiency)}`)
    return product / efficiency
  }
  const least = product / BEST_POWER_FACTOR
  if (least >= most)
    return refuse(
      'ratedSpeedRpm',
      `contradicts currentA: the amps need an efficiency of at least ${print(least)}, and the slip alone allows ${print(most)}`,
    )
  return product / Math.min(Math.max(typicalMotorEfficiency(powerW), least), Math.max(least, most * BEST_OF_SLIP))
}

/** A circuit that behaves as the plate says; the plate does not say all, so the rest is typical. */
export const equivalentCircuit = rule({
  id: 'motor.equivalent-circuit',
  input,
  output: z.object({
    circuit: circuitSchema,
    rotationalLossW: z.number(),
    breakdownRatio: z.number(),
    residuals: z.object({
      torque: z.number(),
      current: z.number(),
      breakdown: z.number().optional(),
      lockedRotorCurrent: z.number().optional(),
    }),
  }),
  compute: (plate) => {
    const synchronousRpm = rpmAtHertz(plate.ratedFrequencyHz, plate.poles)
    const slip = 1 - plate.ratedSpeedRpm / synchronousRpm
    if (slip <= 0)
      return refuse(
        'ratedSpeedRpm',
        `must be under the synchronous ${synchronousRpm} rpm of ${plate.poles} poles at ${plate.ratedFrequencyHz} Hz; at it the slip is not known`,
      )
    if (slip > 0.25)
      return refuse(
        'ratedSpeedRpm',
        `implies a slip of ${(100 * slip).toFixed(1)} % with ${plate.poles} poles; at most 25 % is a running motor`,
      )
    const powerFactor = powerFactorOf(plate, slip)
    if (powerFactor instanceof Refusal) return powerFactor
    const { powerW, voltageV, ratedFrequencyHz, poles, currentA, breakdownRatio, lockedRotorCurrentRatio } = plate
    const load: PlateLoad = { powerW, voltageV, ratedFrequencyHz, poles, slip, currentA, powerFactor }
    const aim: Aim =
      breakdownRatio === undefined && lockedRotorCurrentRatio !== undefined
        ? { lockedRotorCurrentRatio }
        : { breakdownRatio: breakdownRatio ?? TYPICAL_BREAKDOWN }
    const fit = fitCircuit(load, aim)
    if (!fit)
      return refuse(
        'ratedSpeedRpm',
        `contradicts currentA and powerFactor: no circuit draws ${currentA} A at cos phi ${powerFactor.toFixed(3)} and turns at ${plate.ratedSpeedRpm} rpm`,
      )
    const point = solveCircuit(fit.circuit, voltageV, ratedFrequencyHz, slip)
    const shaftNm = point.torqueNm - fit.rotationalLossW / (fieldSpeed(ratedFrequencyHz, poles) * (1 - slip))
    const breakdown = breakdownRatio === undefined ? undefined : fit.breakdownRatio / breakdownRatio - 1
    if (breakdown !== undefined && Math.abs(breakdown) > SAME_BREAKDOWN)
      return refuse(
        'breakdownRatio',
        `contradicts currentA, powerFactor and ratedSpeedRpm: they allow ${fit.breakdownRatio.toFixed(2)} at the nearest`,
      )
    const starting =
      lockedRotorCurrentRatio === undefined
        ? undefined
        : solveCircuit(fit.circuit, voltageV, ratedFrequencyHz, 1).currentA / currentA / lockedRotorCurrentRatio - 1
    return {
      circuit: fit.circuit,
      rotationalLossW: fit.rotationalLossW,
      breakdownRatio: fit.breakdownRatio,
      residuals: {
        torque: shaftNm / ratedTorqueNm(load) - 1,
        current: point.currentA / currentA - 1,
        ...(breakdown === undefined ? {} : { breakdown }),
        ...(starting === undefined ? {} : { lockedRotorCurrent: starting }),
      },
    }
  },
})
