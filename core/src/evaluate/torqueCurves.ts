import { shippedLibrary, type Library } from '../data/planningValues'
import { pullOut, torqueCapability, type Circuit } from '../motor'
import type { Plan } from '../plan'
import type { Evaluation } from './evaluate'
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
  /** For moments, as far as this drive's amps and its way of control let it. */
  peakNm: number
}

export interface TorqueCurves {
  points: TorquePoint[]
  baseHz: number
  /** Up to here rated power is held; beyond, pull-out limits it. */
  fieldWeakeningHz: number
  /** Where the motor reaches its safe speed, if that is known. */
  mechanicalHz?: number
  /** Hertz the plan goes between. */
  lowestHz: number
  highestHz: number
  /** True where the pull-out is a typical value. */
  typical: boolean
}

const STEPS = 120
/** Drawn a little past the last limit, so that it is seen. */
const BEYOND = 1.08
const MARGIN = 1.3

/**
 * Torque against hertz for a plan, worked out when asked for. Undefined while the plate, the drive's
 * amps or the hertz are unknown.
 */
export function torqueCurves(
  plan: Plan,
  { figures }: Evaluation,
  library: Library = shippedLibrary,
): TorqueCurves | undefined {
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
  const mechanicalHz = safeRpm === undefined ? undefined : (safeRpm * poles) / 120
  const fieldWeakeningHz = (baseHz * breakdownRatio) / MARGIN
  const end = Math.max(highestHz, mechanicalHz ?? 0, fieldWeakeningHz) * BEYOND
  const { cooling, inverterDutyRatio } = plan.motor
  const [driveA, plateA] = [value('drive.outputA'), value('motor.plateCurrentA')]
  const driveNm =
    driveA === undefined || plateA === undefined
      ? Infinity
      : (torque * library.planning.driveOverload.value * driveA) / plateA
  const circuit = plan.drive.control === 'vf' ? circuitOf(plan, value) : undefined
  // Too little flux costs its square; too much gives no more torque, only heat.
  const weak = Math.min(1, value('motor.fluxFraction') ?? 1) ** 2
  const capability = (frequencyHz: number, ratedFrequencyHz: number, how: 'shaft-fan' | 'blower') => {
    const result = torqueCapability.run({
      frequencyHz,
      ratedFrequencyHz,
      ratedTorqueNm: torque,
      breakdownRatio,
      cooling: how,
      inverterDutyRatio,
    })
    return result.ok ? result.value : { peakNm: 0 }
  }
  const points = Array.from({ length: STEPS + 1 }, (_, i): TorquePoint => {
    const frequencyHz = Math.max(0.5, (end * i) / STEPS)
    // The fan turns with the plate's hertz; the field weakens from the base that is set.
    const cooled = capability(frequencyHz, plateHz, cooling === 'blower' ? 'blower' : 'shaft-fan')
    const blown = capability(frequencyHz, baseHz, 'blower')
    const blowerNm = weak * (blown.continuousNm ?? 0)
    const pull =
      circuit && frequencyHz > 0
        ? pullOut(circuit.circuit, circuit.voltsAt(frequencyHz), frequencyHz).torqueNm
        : Infinity
    // Above base the drive's amps make torque in proportion to the weakened field.
    const driven = driveNm * Math.min(1, baseHz / frequencyHz)
    return {
      frequencyHz,
      motorRpm: (120 * frequencyHz) / poles,
      ...(cooled.continuousNm === undefined ? {} : { continuousNm: Math.min(weak * cooled.continuousNm, blowerNm) }),
      blowerNm,
      peakNm: Math.min(weak * blown.peakNm, driven, pull),
    }
  })
  return {
    points,
    baseHz,
    fieldWeakeningHz,
    ...(mechanicalHz === undefined ? {} : { mechanicalHz }),
    lowestHz,
    highestHz,
    typical: plan.motor.breakdownRatio === undefined,
  }
}

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
