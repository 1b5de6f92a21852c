import { voltageToEarth } from '../../supply'
import type { Context } from '../context'
import { isKnown, type FigureState } from '../figure'
import { choice, named } from '../ledger'

export interface SupplyFacts {
  voltageV: FigureState
  phases: FigureState
  frequencyHz: FigureState
  breakerA: FigureState
  /** What the drive stands on: the wall's volts, or those between a line and neutral of a three-phase wall. */
  feedV: FigureState
  /** Phases that the drive draws from: its own, not the wall's. */
  feedPhases: FigureState
  betweenLineAndNeutral: boolean
}

/** Volts this near are those that the drive's input is made for. */
const NEAR = 0.1

/** What the wall gives, and what of it the drive stands on. */
export function supplyFacts({ plan, ledger }: Context): SupplyFacts {
  const voltageV = ledger.given('supply.voltageV', 'Supply volts')
  const phases = ledger.given('supply.phases', 'Supply phases')
  const onePhaseOfThree = plan.supply.phases === 3 && plan.drive.input === '1'
  const fromNeutral = onePhaseOfThree && isKnown(voltageV) && fits(voltageV.value / Math.sqrt(3), plan.drive)
  return {
    voltageV,
    phases,
    frequencyHz: ledger.given('supply.frequencyHz', 'Mains hertz'),
    breakerA: ledger.given('supply.breakerA', 'Breaker'),
    feedV: fromNeutral
      ? ledger.derive(voltageToEarth, 'voltageV', named('drive.feedV', 'Volts the drive stands on', 'voltage'), {
          voltageV,
          topology: choice('three-phase', 'Live conductors'),
        })
      : voltageV,
    feedPhases: onePhaseOfThree
      ? ledger.stated(named('drive.feedPhases', 'Phases the drive draws from', 'number'), 1, 'given', [phases])
      : phases,
    betweenLineAndNeutral: fromNeutral,
  }
}

/** Whether a drive's printed input takes these volts. */
const fits = (
  volts: number,
  {
    inputVoltageV: low,
    inputVoltageTopV: top,
  }: { inputVoltageV?: number | undefined; inputVoltageTopV?: number | undefined },
): boolean => low !== undefined && volts >= low * (1 - NEAR) && volts <= (top ?? low) * (1 + NEAR)
