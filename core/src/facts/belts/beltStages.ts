import { isBelt } from '../../drivetrain'
import type { Plan, TransmissionStage, TransmissionStagePath } from '../../plan'
import type { BeltFacts } from './beltFacts'

export interface BeltStage {
  stage: TransmissionStage
  /** Its place in its train. */
  index: number
  path: TransmissionStagePath
  about: string
  /** Where more than its pulleys is known. */
  known: BeltFacts | undefined
}

/** Every belt of every position, and every stage that does not say yet what it is. */
export function beltStages({ plan, belts }: { plan: Plan; belts: readonly BeltFacts[] }): BeltStage[] {
  const known = new Map(belts.map((belt): [string, BeltFacts] => [belt.id, belt]))
  return plan.survey.positions.flatMap(({ id, transmission }, p) =>
    transmission.flatMap((stage, index): BeltStage[] => {
      if (stage.kind !== undefined && !isBelt(stage.kind)) return []
      return [
        {
          stage,
          index,
          path: `survey.positions.${p}.transmission.${index}`,
          about: `position-${id}-belt${index + 1}`,
          known: known.get(`position.${id}.belt${index + 1}`),
        },
      ]
    }),
  )
}
