import type { Facts } from '../facts/facts'
import { holderName } from '../facts/spindle/spindleLimits'
import { workedPositions } from './beltStages'
import { tuneRamp, type RampTuning } from './rampTuning'
import type { JudgedStage } from './runInSheet'
import { stopMap, type StopMap } from './stopMap'
import { BARE } from './isOfStop'
import type { StopPlan } from './stopSteps'

/** Everything the run-in screen shows. */
export interface RunIn {
  stages: readonly JudgedStage[]
  ramps: RampTuning[]
  stop: StopPlan
  /** What a stop map can be asked of. */
  maps: { positionId: string; positionName: string; holder?: number; of: string }[]
}

/**
 * The run-in sheet of a machine, computed for it: what to read at each stage, what it should be, and how it went.
 *
 * @example conversion(emptyPlan('Lathe')).of(runIn).stop.steps // []
 */
export function runInOf(facts: Facts, stages: readonly JudgedStage[], stop: StopPlan): RunIn {
  return {
    stages,
    ramps: (['up', 'down'] as const).map((ramp) => tuneRamp(facts, ramp)),
    stop,
    maps:
      facts.plan.survey.spindleNose === 'none'
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
export function stopMapOf(facts: Facts, positionId: string, holder: number | undefined): StopMap | undefined {
  const position = facts.speeds.positions.find((p) => p.position.id === positionId)
  return position && stopMap(facts, position, holder)
}
