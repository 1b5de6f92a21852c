import { factsFor } from '../facts/factsFor'
import type { Measured } from '../measurements/measured'
import type { Plan } from '../plan'
import { holderName } from '../facts/spindle/spindleLimits'
import { workedPositions } from './beltStages'
import { tuneRamp, type RampTuning } from './rampTuning'
import { runInSheet, type JudgedStage } from './runInSheet'
import { stopMap, type StopMap } from './stopMap'
import { BARE, stopPlan, type StopPlan } from './stopSteps'

/** Everything the run-in screen shows. */
export interface RunIn {
  stages: JudgedStage[]
  ramps: RampTuning[]
  stop: StopPlan
  /** What a stop map can be asked of. */
  maps: { positionId: string; positionName: string; holder?: number; of: string }[]
}

/**
 * The run-in sheet of a machine, computed for it: what to read at each stage, what it should be, and how it went.
 *
 * @example runInOf(emptyPlan('Lathe')).stop.steps // []
 */
export function runInOf(plan: Plan, measured?: Measured): RunIn {
  const { facts } = factsFor(plan, measured)
  return {
    stages: runInSheet(facts),
    ramps: (['up', 'down'] as const).map((ramp) => tuneRamp(facts, ramp)),
    stop: stopPlan(facts),
    maps:
      plan.survey.spindleNose === 'none'
        ? []
        : workedPositions(facts).flatMap((position) => [
            { positionId: position.position.id, positionName: position.name, of: BARE },
            ...facts.plan.survey.holders.map((holder, index) => ({
              positionId: position.position.id,
              positionName: position.name,
              holder: index,
              of: holderName(holder),
            })),
          ]),
  }
}

/** Seconds to standstill over speed, on a position with one thing on the spindle or none. */
export function stopMapOf(
  plan: Plan,
  measured: Measured,
  positionId: string,
  holder: number | undefined,
): StopMap | undefined {
  const { facts } = factsFor(plan, measured)
  const position = facts.speeds.positions.find((p) => p.position.id === positionId)
  return position && stopMap(facts, position, holder)
}
