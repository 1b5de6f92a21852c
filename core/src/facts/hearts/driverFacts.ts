import { brushlessBus, brushlessFrequency, brushlessPoint, brushlessSpeed, stallHeat } from '../../dc'
import { busVoltage } from '../../drive'
import type { Knowing } from '../context'
import { isKnown, type FigureState } from '../figure'
import { choice, named, unknownField } from '../ledger'
import type { MotorFacts } from '../motor/motorKnown'
import type { SupplyFacts } from '../supply/supplyFacts'

/** A motor with a driver of its own: what feeds it, and what it does on that. */
export interface DriverFacts {
  /** Direct volts before the driver: loaded at low mains, and unloaded at high mains. */
  lowV: FigureState
  highV: FigureState
  /** Fastest under load on the low volts. */
  reachesRpm: FigureState
  /** Torque at the current limit, and where it begins to fall. */
  limitNm: FigureState
  kneeRpm: FigureState
  /** Copper's heat at the current limit, of that at the plate's amps. */
  stallHeat: FigureState
}

type Before = Knowing<{ motor: MotorFacts; supply: SupplyFacts }>

/** What a motor on its own driver comes to. */
export function driverFacts(context: Before): DriverFacts {
  const { ledger, plan, motor } = context
  const { lowV, highV } = busOf(context)
  const rpmPerVolt = ledger.given('motor.rpmPerVolt')
  const limitA = ledger.given('driver.limitA')
  const { torqueNm: limitNm, kneeRpm } = ledger.compute(
    brushlessPoint,
    {
      torqueNm: named('driver.limitNm', 'Torque at the current limit, standing', 'torque'),
      kneeRpm: named('driver.kneeRpm', 'Speed from which it falls', 'speed'),
    },
    {
      busV: lowV,
      rpmPerVolt,
      resistanceOhm: ledger.given('motor.windingOhm'),
      limitA,
      speedRpm: choice(0, 'Speed, rpm'),
    },
  )
  return {
    lowV,
    highV,
    reachesRpm: isKnown(rpmPerVolt)
      ? ledger.derive(brushlessSpeed, 'speedRpm', named('driver.reachesRpm', 'Reaches under load', 'speed'), {
          busV: lowV,
          rpmPerVolt,
        })
      : ledger.block(named('driver.reachesRpm', 'Reaches under load', 'speed'), [rpmPerVolt]),
    limitNm,
    kneeRpm,
    stallHeat: ledger.derive(
      stallHeat,
      'times',
      named('driver.stallHeat', 'Copper’s heat at the limit, of that of the plate', 'number'),
      { limitA, ratedA: motor.plateCurrentA },
    ),
  }

  function busOf({ supply }: Before): { lowV: FigureState; highV: FigureState } {
    const low = named('driver.lowV', 'Bus at low mains, loaded', 'voltage')
    const high = named('driver.highV', 'Bus at high mains, no load', 'voltage')
    switch (plan.driver.supply) {
      case undefined: {
        const waits = [unknownField('driver.supply', 'It is fed from')]
        return { lowV: ledger.block(low, waits), highV: ledger.block(high, waits) }
      }
      case 'transformer': {
        const made = ledger.compute(
          brushlessBus,
          { lowV: low, highV: high },
          {
            secondaryV: ledger.given('driver.secondaryV'),
          },
          { planning: true },
        )
        return { lowV: made.lowV, highV: made.highV }
      }
      case 'mains': {
        const busV = ledger.derive(busVoltage, 'busV', named('driver.mainsBusV', 'Bus on these mains', 'voltage'), {
          supplyV: supply.feedV,
          doubler: choice(false, 'Doubles the voltage'),
        })
        return isKnown(busV)
          ? {
              lowV: ledger.stated(
                low,
                busV.value * LOADED,
                'typical',
                [busV],
                'A rectifier under load at mains a tenth low',
              ),
              highV: ledger.stated(high, busV.value * HIGH, 'typical', [busV], 'Mains a tenth high'),
            }
          : { lowV: ledger.block(low, [busV]), highV: ledger.block(high, [busV]) }
      }
      default: {
        const own = ledger.given('driver.supplyV')
        return isKnown(own)
          ? {
              lowV: ledger.stated(low, own.value, 'given', [own]),
              highV: ledger.stated(high, own.value, 'given', [own]),
            }
          : { lowV: ledger.block(low, [own]), highV: ledger.block(high, [own]) }
      }
    }
  }
}

const LOADED = 0.81
const HIGH = 1.1

/** Hertz in the motor's windings at a speed; undefined where its poles are not known. */
export const windingHertz = (platePoles: number | undefined, rpm: number | undefined): number | undefined => {
  if (platePoles === undefined || rpm === undefined || rpm <= 0) return undefined
  const made = brushlessFrequency.run({ speedRpm: rpm, polePairs: Math.round(platePoles / 2) })
  return made.ok ? made.value.frequencyHz : undefined
}
