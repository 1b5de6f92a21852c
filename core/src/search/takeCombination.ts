import { set, type Patch, type Plan } from '../plan'
import type { Combination } from './combination'
import { variantPatch } from './variant'

/** What taking a found combination over does to the plan: parts, hertz, and pulleys where they are new. */
export function takeCombination(plan: Plan, { motor, drive, train, topHz, bottomHz }: Combination): Patch {
  const positions = train.positions.map((p) => p.position)
  const [first] = positions
  return [
    ...variantPatch(motor, drive),
    set('settings.chosen.minimumHz', bottomHz),
    set('settings.chosen.maximumHz', topHz),
    ...(train.own
      ? []
      : [
          set('survey.positions', positions),
          set('survey.mainPositionId', first?.id),
          ...plan.survey.jobs.map((_, i) => set(`survey.jobs.${i}.positionId`, undefined)),
        ]),
  ]
}
