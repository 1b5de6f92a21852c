import { equivalentCircuit, type Circuit } from '../motor'
import type { Plan } from '../plan'

export type PlateCircuit = { circuit: Circuit } | { contradiction: string }

/** Figures that the fit is made from, by the rule's key. */
export const plateFigures = {
  powerW: 'motor.powerW',
  voltageV: 'motor.plateVoltageV',
  ratedFrequencyHz: 'motor.ratedFrequencyHz',
  poles: 'motor.poles',
  ratedSpeedRpm: 'motor.ratedSpeedRpm',
  currentA: 'motor.plateCurrentA',
} as const

/** The last plate fitted: while other fields are edited, the fit stays as it is. */
const last: { key: string; made: PlateCircuit } = { key: '', made: { contradiction: '' } }

/** The circuit fitted to the plate, or what in the plate contradicts itself; undefined while the plate is not complete. */
export function plateCircuit(
  { motor }: Plan,
  valueOf: (figureId: string) => number | undefined,
): PlateCircuit | undefined {
  const input: Record<string, number | undefined> = {}
  for (const [key, id] of Object.entries(plateFigures)) {
    const value = valueOf(id)
    if (value === undefined) return undefined
    input[key] = value
  }
  // Amps and cos phi fix the efficiency; printed too, it is rounded and would only quarrel with them.
  const { powerFactor, breakdownRatio } = motor
  const efficiency = powerFactor === undefined ? motor.efficiency : undefined
  const key = JSON.stringify([input, powerFactor, efficiency, breakdownRatio])
  if (key === last.key) return last.made
  const result = equivalentCircuit.run({ ...input, powerFactor, efficiency, breakdownRatio })
  const fault = result.ok ? undefined : result.faults[0]
  last.made = result.ok
    ? { circuit: result.value.circuit }
    : { contradiction: `${fault?.field ?? ''} ${fault?.message ?? ''}`.trim() }
  last.key = key
  return last.made
}
