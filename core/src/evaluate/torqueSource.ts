import { shippedLibrary, type Library } from '../data/planningValues'
import { pullOut, torqueCapability, type Circuit } from '../motor'
import type { Plan } from '../plan'
import { Refusal } from '../rules/rule'
import type { Figure } from './figure'
import { plateCircuit } from './plateCircuit'

/** Torque at the motor shaft at one frequency, N m; what is not known is left out. */
export interface TorquePoint {
  frequencyHz: number
  /** Unloaded motor speed. */
  motorRpm: number
  /** All day with the cooling the motor has. */
  continuousNm?: number
  /** All day with a blower of its own. */
  blowerNm: number
  /** For moments, as far as this drive's amps let it, under sensorless vector control. */
  vectorNm: number
  /** The same under plain V/f without boost; left out where the plate gives no circuit. */
  vfNm?: number
  /** For moments, by the way of control that the drive has. */
  peakNm: number
}

/** Pull-out kept in hand over the load where the field is weak. */
const MARGIN = 1.3

/** What the curves are made from, and the torque at any frequency. */
export interface TorqueSource {
  baseHz: number
  fieldWeakeningHz: number
  mechanicalHz: number | undefined
  lowestHz: number
  highestHz: number
  slipNm: number
  slipRpm: number
  at: (frequencyHz: number) => TorquePoint
}

/** Torque at any frequency for a plan; undefined while the plate, the drive's amps or the hertz are unknown. */
export function torqueSource(
  plan: Plan,
  { figures }: { figures: Readonly<Record<string, Figure>> },
  library: Library = shippedLibrary,
): TorqueSource | undefined {
  const value = (id: string): number | undefined => figures[id]?.value
  const [torque, plateHz, baseHz, poles, lowestHz, highestHz] = [
    'motor.torque',
    'motor.ratedFrequencyHz',
    'settings.baseFrequencyHz',
    'motor.poles',
    'settings.minimumHz',
    'settings.maximumHz',
  ].map(value)
  if (
    torque === undefined ||
    plateHz === undefined ||
    baseHz === undefined ||
    poles === undefined ||
    lowestHz === undefined ||
    highestHz === undefined
  )
    return undefined
  const breakdownRatio = value('motor.breakdownRatio') ?? library.planning.breakdownRatio.value
  const safeRpm = value('motor.safeRpm')
  const { cooling, inverterDutyRatio } = plan.motor
  const [driveA, plateA] = [value('drive.outputA'), value('motor.plateCurrentA')]
  const overload = plan.drive.overloadClass ? overloads[plan.drive.overloadClass] : library.planning.driveOverload.value
  const driveNm = driveA === undefined || plateA === undefined ? Infinity : (torque * overload * driveA) / plateA
  const circuit = circuitOf(plan, value)
  const isVf = plan.drive.control === 'vf'
  // Too little flux costs its square; too much gives no more torque, only heat.
  const weak = Math.min(1, value('motor.fluxFraction') ?? 1) ** 2
  const capability = (frequencyHz: number, ratedFrequencyHz: number, how: 'shaft-fan' | 'blower') => {
    // Its inputs are figures already, so they are not validated again for every point of a curve.
    const made = torqueCapability.compute({
      frequencyHz,
      ratedFrequencyHz,
      ratedTorqueNm: torque,
      breakdownRatio,
      cooling: how,
      inverterDutyRatio,
    })
    return made instanceof Refusal ? { peakNm: 0 } : made
  }
  return {
    baseHz,
    fieldWeakeningHz: (baseHz * breakdownRatio) / MARGIN,
    mechanicalHz: safeRpm === undefined ? undefined : (safeRpm * poles) / 120,
    lowestHz,
    highestHz,
    slipNm: torque * weak,
    slipRpm: isVf ? slipAtBase(value, plateHz, poles) : 0,
    at: (frequencyHz) => {
      // The fan turns with the plate's hertz; the field weakens from the base that is set.
      const cooled = capability(frequencyHz, plateHz, cooling === 'blower' ? 'blower' : 'shaft-fan')
      const blown = capability(frequencyHz, baseHz, 'blower')
      const blowerNm = weak * (blown.continuousNm ?? 0)
      // Above base the drive's amps make torque in proportion to the weakened field.
      const driven = driveNm * Math.min(1, baseHz / frequencyHz)
      const vectorNm = Math.min(weak * blown.peakNm, driven)
      const vfNm =
        circuit && frequencyHz > 0
          ? Math.min(vectorNm, pullOut(circuit.circuit, circuit.voltsAt(frequencyHz), frequencyHz).torqueNm)
          : undefined
      return {
        frequencyHz,
        motorRpm: (120 * frequencyHz) / poles,
        ...(cooled.continuousNm === undefined ? {} : { continuousNm: Math.min(weak * cooled.continuousNm, blowerNm) }),
        blowerNm,
        vectorNm,
        ...(vfNm === undefined ? {} : { vfNm }),
        peakNm: isVf ? (vfNm ?? vectorNm) : vectorNm,
      }
    },
  }
}

/** Slip in rpm is the same at any hertz up to base, under the same torque. */
const slipAtBase = (value: (id: string) => number | undefined, plateHz: number, poles: number): number =>
  ((value('motor.slip') ?? 0) * 120 * plateHz) / poles

/** Amps over the rating that a drive gives for moments, by its class. */
const overloads = { light: 1.1, normal: 1.5, heavy: 2 } as const

/** The circuit and the plain V/f line it is fed by, without boost. */
function circuitOf(
  plan: Plan,
  value: (id: string) => number | undefined,
): { circuit: Circuit; voltsAt: (hz: number) => number } | undefined {
  const fitted = plateCircuit(plan, value)
  const [setV, baseHz] = [value('drive.setVoltageV'), value('settings.baseFrequencyHz')]
  if (!fitted || !('circuit' in fitted) || setV === undefined || baseHz === undefined) return undefined
  return { circuit: fitted.circuit, voltsAt: (hz) => setV * Math.min(1, hz / baseHz) }
}
