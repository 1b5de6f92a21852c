import { equivalentCircuit, type EquivalentCircuit } from '../../motor'
import type { Knowing } from '../context'
import { numberOf } from '../figure'
import type { MotorFacts } from './motorKnown'

export type PlateCircuit = { circuit: EquivalentCircuit; rotationalLossW: number } | { contradiction: string }

/** The circuit fitted to the plate, or what in the plate contradicts itself; undefined while the plate is not complete. */
export function plateCircuit({ plan, ledger, motor }: Knowing<{ motor: MotorFacts }>): PlateCircuit | undefined {
  const slip = numberOf(motor.slip)
  if (motor.suitable !== true || slip === undefined || slip <= 0) return undefined
  const input = {
    powerW: numberOf(ledger.given('motor.powerW')),
    voltageV: numberOf(motor.plateVoltageV),
    ratedFrequencyHz: numberOf(motor.frequencyHz),
    poles: numberOf(motor.poles),
    ratedSpeedRpm: numberOf(motor.ratedSpeedRpm),
    currentA: numberOf(motor.plateCurrentA),
  }
  if (Object.values(input).some((value) => value === undefined)) return undefined
  // Amps and cos phi fix the efficiency; printed too, it is rounded and would only quarrel with them.
  const { powerFactor, breakdownRatio } = plan.motor
  const efficiency = powerFactor === undefined ? plan.motor.efficiency : undefined
  const result = equivalentCircuit.run({ ...input, powerFactor, efficiency, breakdownRatio })
  const fault = result.ok ? undefined : result.faults[0]
  return result.ok
    ? { circuit: result.value.circuit, rotationalLossW: result.value.rotationalLossW }
    : { contradiction: inPlateWords(`${fault?.field ?? ''} ${fault?.message ?? ''}`.trim()) }
}

/** What the rule's inputs are called by whoever reads a plate. */
const plateWords: Readonly<Record<string, string>> = {
  powerW: 'the power',
  voltageV: 'the volts',
  currentA: 'the amps',
  ratedSpeedRpm: 'the speed',
  powerFactor: 'cos phi',
  efficiency: 'the efficiency',
}

const inPlateWords = (fault: string): string =>
  fault.replace(/\b[a-z]+[A-Z]\w*|^efficiency\b/g, (key) => plateWords[key] ?? key)
