import { evaluate } from '../conversion/evaluate'
import type { Evaluation } from '../evaluate/evaluation'
import type { Ledger } from '../facts/ledger'
import { applyPatch, heartOf, set, takeMotor, type MotorPlate, type Plan } from '../plan'
import { continued } from './slowestJob'

/** The machine with a three-phase motor on a drive, and the ledger that a comparison goes on from. */
export interface ThreePhaseSide {
  plan: Plan
  evaluation: Evaluation
  ledger: Ledger
}

/** Where the numbers of a motor that would take the place of another are typed. */
const TYPED = [
  { id: 'motor.powerW', typed: 'route.acPowerW' },
  { id: 'motor.ratedSpeedRpm', typed: 'route.acRpm' },
] as const

/**
 * The plan itself where its motor is a three-phase one. A machine with another heart is judged with the AC motor that
 * would take its motor's place, as typed with the routes, on the same pulleys; what is not typed is asked for there.
 */
export function threePhaseSide(plan: Plan, evaluation: Evaluation): ThreePhaseSide {
  if (heartOf(plan) === 'inverter') return { plan, evaluation, ledger: continued(plan, evaluation) }
  const there = applyPatch(plan, [...takeMotor(plateOf(plan)), set('drive', {}), set('settings.chosen', {})])
  const judged = evaluate(there)
  const ledger = continued(there, judged)
  for (const { id, typed } of TYPED) {
    const figure = ledger.figures[id]
    if (figure) ledger.figures[id] = { ...figure, path: typed }
  }
  for (const one of Object.values(ledger.blocked))
    if (one)
      ledger.blocked[one.id] = {
        ...one,
        missing: one.missing.map((path) => TYPED.find(({ id }) => id === path)?.typed ?? path),
      }
  return { plan: there, evaluation: judged, ledger }
}

/** An ordinary motor for the wall's hertz, of the power and speed typed. */
function plateOf({ route, supply }: Plan): MotorPlate {
  const { acPowerW, acRpm } = route
  const { voltageV, frequencyHz } = supply
  return {
    kind: 'induction',
    cooling: 'shaft-fan',
    ...(acPowerW === undefined ? {} : { powerW: acPowerW }),
    ...(acRpm === undefined ? {} : { ratedSpeedRpm: acRpm }),
    ...(voltageV === undefined ? {} : { lowVoltageV: voltageV }),
    ...(frequencyHz === undefined ? {} : { ratedFrequencyHz: frequencyHz }),
  }
}
