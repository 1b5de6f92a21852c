import type { Facts } from '../facts/facts'
import { numberOf } from '../facts/figure'
import type { PositionFacts } from '../facts/spindle/speedFacts'
import { hertzAtRpm } from '../motor'

/** Hertz at which an unloaded spindle reaches a speed on a position. */
export function hertzAt({ motor }: Facts, position: PositionFacts, spindleRpm: number): number | undefined {
  const [poles, ratio] = [numberOf(motor.poles), numberOf(position.speedRatio)]
  return poles === undefined || ratio === undefined || ratio === 0 ? undefined : hertzAtRpm(spindleRpm / ratio, poles)
}

/** Positions the plan uses: the main one, those of jobs, or all while none is chosen. */
export const isUsed = ({ speeds }: Facts, position: PositionFacts): boolean =>
  position.index === speeds.main?.index ||
  speeds.jobs.some((j) => j.on?.index === position.index) ||
  (speeds.main === undefined && speeds.jobs.every((j) => j.on === undefined))
