import { fieldSpeed, pullOut, solveCircuit, type EquivalentCircuit } from './circuit'

/** What a plate says once efficiency and power factor are settled. */
export interface PlateLoad {
  powerW: number
  voltageV: number
  ratedFrequencyHz: number
  poles: number
  slip: number
  currentA: number
  powerFactor: number
}

/** Share of what stator copper and friction lose together that goes to friction, windage and stray. Planning value. */
const ROTATIONAL_SHARE = 0.4
/** Leakage reactances tried, as shares of the reactance seen at the terminals. */
const STEPS = 400

export interface Fit {
  circuit: EquivalentCircuit
  rotationalLossW: number
  breakdownRatio: number
}

/** The losses at full load, split; undefined where the plate leaves none for the stator. */
function splitLosses({
  powerW,
  voltageV,
  currentA,
  powerFactor,
  slip,
}: PlateLoad): { r1Ohm: number; rotationalLossW: number } | undefined {
  const inputW = Math.sqrt(3) * voltageV * currentA * powerFactor
  // Stator copper and friction together, once the rotor has had its share: 3 I^2 R1 + P_rot/(1 - s).
  const rest = inputW - powerW / (1 - slip)
  if (rest <= 0) return undefined
  return {
    r1Ohm: ((1 - ROTATIONAL_SHARE) * rest) / (3 * currentA ** 2),
    rotationalLossW: ROTATIONAL_SHARE * rest * (1 - slip),
  }
}

/**
 * With both leakages at `x`, the one circuit that draws the plate's amps at the plate's power factor
 * and slip: the rotor branch takes the real part of what is left behind the stator, the magnetising
 * reactance the rest. Undefined where none does.
 */
function circuitWith(x: number, plate: PlateLoad, r1Ohm: number): EquivalentCircuit | undefined {
  const { voltageV, currentA, powerFactor, slip, ratedFrequencyHz, poles } = plate
  const impedance = voltageV / (Math.sqrt(3) * currentA)
  const re = impedance * powerFactor - r1Ohm
  const im = impedance * Math.sqrt(1 - powerFactor ** 2) - x
  if (re <= 0 || im <= 0) return undefined
  const square = re ** 2 + im ** 2
  const [conductance, susceptance] = [re / square, im / square]
  const inside = 1 - 4 * conductance ** 2 * x ** 2
  if (inside < 0) return undefined
  const rotor = (1 + Math.sqrt(inside)) / (2 * conductance)
  const left = susceptance - x / (rotor ** 2 + x ** 2)
  if (left <= 0) return undefined
  return { r1Ohm, x1Ohm: x, r2Ohm: rotor * slip, x2Ohm: x, xmOhm: 1 / left, ratedFrequencyHz, poles }
}

export const ratedTorqueNm = ({ powerW, ratedFrequencyHz, poles, slip }: PlateLoad): number =>
  powerW / (fieldSpeed(ratedFrequencyHz, poles) * (1 - slip))

/** What is aimed at with the one freedom the plate leaves, the leakage. */
export type Aim = { breakdownRatio: number } | { lockedRotorCurrentRatio: number }

interface Candidate {
  circuit: EquivalentCircuit
  /** How far from the aim. */
  off: number
  share: number
}

/** Steps are halved until they move nothing that could be measured. */
const FINEST = 1e-13

/**
 * The circuit that meets a plate's power, amps, power factor and speed exactly, and comes as near as
 * it can to the aim. Undefined where no circuit meets the plate at all.
 */
export function fitCircuit(plate: PlateLoad, aim: Aim): Fit | undefined {
  const losses = splitLosses(plate)
  if (!losses) return undefined
  const { r1Ohm, rotationalLossW } = losses
  const torque = ratedTorqueNm(plate)
  const breakdown = (c: EquivalentCircuit) => pullOut(c, plate.voltageV, plate.ratedFrequencyHz).torqueNm / torque
  const miss = (c: EquivalentCircuit): number =>
    'breakdownRatio' in aim
      ? breakdown(c) - aim.breakdownRatio
      : solveCircuit(c, plate.voltageV, plate.ratedFrequencyHz, 1).currentA / plate.currentA -
        aim.lockedRotorCurrentRatio
  const most = (plate.voltageV / (Math.sqrt(3) * plate.currentA)) * Math.sqrt(1 - plate.powerFactor ** 2)
  const at = (share: number) => circuitWith(share * most, plate, r1Ohm)
  const nearest = (shares: readonly number[], to: Candidate | undefined): Candidate | undefined =>
    shares.reduce<Candidate | undefined>((best, share) => {
      const circuit = share > 0 && share < 1 ? at(share) : undefined
      if (!circuit) return best
      const off = Math.abs(miss(circuit))
      return best && best.off <= off ? best : { circuit, off, share }
    }, to)
  let best = nearest(
    Array.from({ length: STEPS }, (_, i) => i / STEPS),
    undefined,
  )
  // From the nearest step, ever smaller steps to either side while they come nearer.
  for (let step = 1 / STEPS; best && step > FINEST; step /= 2)
    best = nearest([best.share - step, best.share + step], best)
  if (!best) return undefined
  return { circuit: best.circuit, rotationalLossW, breakdownRatio: breakdown(best.circuit) }
}
