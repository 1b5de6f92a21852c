import { z } from 'zod'
import { evenPolesInput, hertzInput } from '../rules/inputs'
import { rpmAtHertz } from './synchronousSpeed'

const ohms = z.number().gt(0).max(1e5)

/** The T-circuit of an induction motor, per phase of the star equivalent, reactances at rated frequency (IEEE Std 112). */
export const circuitSchema = z.strictObject({
  r1Ohm: ohms,
  x1Ohm: ohms,
  r2Ohm: ohms,
  x2Ohm: ohms,
  xmOhm: ohms,
  ratedFrequencyHz: hertzInput,
  poles: evenPolesInput,
})

export type EquivalentCircuit = z.output<typeof circuitSchema>

/** A complex number; only what a circuit with five elements needs. */
interface Complex {
  re: number
  im: number
}

const add = (a: Complex, b: Complex): Complex => ({ re: a.re + b.re, im: a.im + b.im })
const times = (a: Complex, b: Complex): Complex => ({ re: a.re * b.re - a.im * b.im, im: a.re * b.im + a.im * b.re })
function over(a: Complex, b: Complex): Complex {
  const square = b.re * b.re + b.im * b.im
  return { re: (a.re * b.re + a.im * b.im) / square, im: (a.im * b.re - a.re * b.im) / square }
}
const size = (a: Complex): number => Math.hypot(a.re, a.im)

/** Air-gap power and torque, line current and input at one slip. Powers in W, torque in N m, all three phases together. */
export interface OperatingPoint {
  currentA: number
  powerFactor: number
  inputW: number
  airGapW: number
  torqueNm: number
  speedRpm: number
}

/** Speed of the field in rad/s. */
export const fieldSpeed = (frequencyHz: number, poles: number): number => (4 * Math.PI * frequencyHz) / poles

/** Solves the circuit exactly at a line voltage, frequency and slip; slip 0 is an open rotor. */
export function solveCircuit(
  c: EquivalentCircuit,
  voltageV: number,
  frequencyHz: number,
  slip: number,
): OperatingPoint {
  const rise = frequencyHz / c.ratedFrequencyHz
  const phaseV = voltageV / Math.sqrt(3)
  const stator: Complex = { re: c.r1Ohm, im: c.x1Ohm * rise }
  const magnetising: Complex = { re: 0, im: c.xmOhm * rise }
  // Numerator and denominator carry the slip, so that standing still in the field needs no case of its own.
  const rotor: Complex = { re: c.r2Ohm, im: slip * c.x2Ohm * rise }
  const loop: Complex = { re: c.r2Ohm, im: slip * (c.x2Ohm + c.xmOhm) * rise }
  const total = add(stator, over(times(magnetising, rotor), loop))
  const current = over({ re: phaseV, im: 0 }, total)
  const currentA = size(current)
  const airGapW = 3 * slip * c.r2Ohm * ((currentA * size(magnetising)) / size(loop)) ** 2
  return {
    currentA,
    powerFactor: total.re / size(total),
    inputW: 3 * phaseV * current.re,
    airGapW,
    torqueNm: airGapW / fieldSpeed(frequencyHz, c.poles),
    speedRpm: rpmAtHertz(frequencyHz, c.poles) * (1 - slip),
  }
}

/** The most air-gap torque the circuit gives while motoring, and the slip at which it does (Thevenin's theorem, exact). */
export function pullOut(
  c: EquivalentCircuit,
  voltageV: number,
  frequencyHz: number,
): { torqueNm: number; slip: number } {
  const rise = frequencyHz / c.ratedFrequencyHz
  const stator: Complex = { re: c.r1Ohm, im: c.x1Ohm * rise }
  const magnetising: Complex = { re: 0, im: c.xmOhm * rise }
  const sum = add(stator, magnetising)
  const source = over(times(stator, magnetising), sum)
  const sourceV = (voltageV / Math.sqrt(3)) * (size(magnetising) / size(sum))
  const reach = Math.hypot(source.re, source.im + c.x2Ohm * rise)
  return {
    torqueNm: (3 * sourceV ** 2) / (2 * fieldSpeed(frequencyHz, c.poles) * (source.re + reach)),
    slip: c.r2Ohm / reach,
  }
}
