import type { Plan, Position } from './plan'

/** The position used most: as chosen, or the only one there is. */
export function mainPosition(plan: Plan): Position | undefined {
  const { positions, mainPositionId } = plan.survey
  return positions.find((p) => p.id === mainPositionId) ?? (positions.length === 1 ? positions[0] : undefined)
}
