import type { Library } from '../data/planningValues'
import { earthLeakage, reflectedWave } from '../drive'
import type { Plan } from '../plan'
import type { DriveFacts } from './driveFacts'
import { isKnown, type Reading } from './figure'
import type { Ledger } from './ledger'
import type { MotorFacts } from './motorFacts'
import type { SupplyFacts } from './supplyFacts'

export interface MotorCableFacts {
  /** Peak at the motor's terminals. */
  peakV: Reading
  /** Cable from which on the peak is twice the bus. */
  criticalM: Reading
  /** Peak that the winding stands. */
  standsV: Reading
  leakageA: Reading
}

/** The leads from drive to motor and the filter's path to earth. */
export function motorCableFacts(
  plan: Plan,
  ledger: Ledger,
  library: Library,
  supply: SupplyFacts,
  motor: MotorFacts,
  drive: DriveFacts,
): MotorCableFacts {
  const { planning } = library
  const own = ledger.given('drive.riseS')
  const { peakV, criticalM } = ledger.compute(
    reflectedWave,
    {
      peakV: { id: 'motor.peakV', label: 'Peak at the motor’s terminals', dimension: 'voltage' },
      criticalM: { id: 'motor.criticalM', label: 'Motor cable from which it doubles', dimension: 'distance' },
    },
    {
      cableM: ledger.given('mount.motorCableM'),
      busV: drive.busV,
      riseTimeS: isKnown(own)
        ? own
        : ledger.typical(
            { id: 'drive.typicalRiseS', label: 'Rise time of its fronts', dimension: 'time' },
            planning.riseS.value,
            planning.riseS.source,
          ),
    },
  )
  const naming = { id: 'motor.standsV', label: 'Peak the winding stands', dimension: 'voltage' as const }
  const { value, source } = planning.oldWindingPeakV
  const standsV =
    plan.motor.winding !== 'inverter-duty'
      ? ledger.typical(naming, value, source)
      : isKnown(motor.plateVoltageV)
        ? ledger.stated(
            naming,
            planning.inverterDutyPeak.value * motor.plateVoltageV.value,
            'computed',
            [motor.plateVoltageV],
            planning.inverterDutyPeak.source,
          )
        : ledger.block(naming, [motor.plateVoltageV])
  // Between two lives of a split supply each stands at half the volts to earth.
  const toEarth =
    plan.supply.topology === 'line-line' ? 1 / 2 : plan.supply.topology === 'three-phase' ? 1 / Math.sqrt(3) : 1
  const earthV = isKnown(supply.voltageV)
    ? ledger.stated(
        { id: 'supply.earthV', label: 'Live to earth', dimension: 'voltage' },
        supply.voltageV.value * toEarth,
        'computed',
        [supply.voltageV],
        'Whole of it on live and neutral, half on two lives, by root three on three phases',
      )
    : supply.voltageV
  const { currentA: leakageA } = ledger.compute(
    earthLeakage,
    { currentA: { id: 'drive.leakageA', label: 'Leaks to earth through the filter', dimension: 'current' } },
    {
      capacitanceF: ledger.given('drive.filterFarad'),
      voltageV: earthV,
      frequencyHz: supply.frequencyHz,
    },
  )
  return { peakV, criticalM, standsV, leakageA }
}
