import { earthLeakage, reflectedWave } from '../../drive'
import { windingPeak } from '../../motor'
import { voltageToEarth } from '../../supply'
import type { Knowing } from '../context'
import { isKnown, type FigureState } from '../figure'
import { choice, named } from '../ledger'
import type { DriveFacts } from '../drive/driveFacts'
import type { MotorFacts } from './motorKnown'
import type { SupplyFacts } from '../supply/supplyFacts'

export interface MotorCableFacts {
  /** Peak at the motor's terminals. */
  peakV: FigureState
  /** Cable from which on the peak is twice the bus. */
  criticalM: FigureState
  /** Peak that the winding stands. */
  standsV: FigureState
  leakageA: FigureState
}

/** The leads from drive to motor and the filter's path to earth. */
export function motorCableFacts({
  plan,
  ledger,
  tables,
  supply,
  motor,
  drive,
}: Knowing<{ supply: SupplyFacts; motor: MotorFacts; drive: DriveFacts }>): MotorCableFacts {
  const { riseS, oldWindingPeakV, inverterDutyPeak } = tables.planning
  const { peakV, criticalM } = ledger.compute(
    reflectedWave,
    {
      peakV: named('motor.peakV', 'Peak at the motor’s terminals', 'voltage'),
      criticalM: named('motor.criticalM', 'Motor cable from which it doubles', 'distance'),
    },
    {
      cableM: ledger.given('installation.motorCableM'),
      busV: drive.busV,
      riseTimeS: ledger.givenOr('drive.riseS', () =>
        ledger.typical(named('drive.typicalRiseS', 'Rise time of its fronts', 'time'), riseS.value, riseS.citation),
      ),
    },
  )
  const naming = named('motor.standsV', 'Peak the winding stands', 'voltage')
  const standsV =
    plan.motor.winding === 'inverter-duty'
      ? ledger.derive(windingPeak, 'peakV', naming, {
          // The winding is the one whatever its links: its highest volts count.
          ratedVoltageV:
            plan.motor.highVoltageV === undefined ? motor.plateVoltageV : ledger.given('motor.highVoltageV'),
          timesRated: choice(inverterDutyPeak.value, 'Peak over rated volts'),
        })
      : ledger.typical(naming, oldWindingPeakV.value, oldWindingPeakV.citation)
  // Where nobody said which conductors are live, the volts to earth are taken as the whole of them.
  const earthV = isKnown(supply.voltageV)
    ? ledger.derive(voltageToEarth, 'voltageV', named('supply.earthV', 'Live to earth', 'voltage'), {
        voltageV: supply.voltageV,
        topology: plan.supply.topology === undefined ? undefined : choice(plan.supply.topology, 'Live conductors'),
      })
    : supply.voltageV
  const leakageA = ledger.derive(
    earthLeakage,
    'currentA',
    named('drive.leakageA', 'Leaks to earth through the filter', 'current'),
    { capacitanceF: ledger.given('drive.filterFarad'), voltageV: earthV, frequencyHz: supply.frequencyHz },
  )
  return { peakV, criticalM, standsV, leakageA }
}
