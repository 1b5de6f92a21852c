import { set, type Patch, type Plan, type Position } from '../plan'
import type { Combination } from './combination'
import { variantPatch } from './variant'

/** What taking a found combination over does to the plan: parts, hertz, and pulleys where they are new. */
export function takeCombination(plan: Plan, { motor, drive, train, topHz, bottomHz, belts }: Combination): Patch {
  const positions = train.positions.map(({ position }) => withBelts(position, belts))
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

/** New pulleys are cut for as many belts as the motor wants, where nobody counted them. */
const withBelts = (position: Position, belts: number | undefined): Position =>
  belts === undefined
    ? position
    : {
        ...position,
        transmission: position.transmission.map((stage) =>
          (stage.kind === undefined || stage.kind === 'v-belt') && stage.belts === undefined
            ? { ...stage, belts }
            : stage,
        ),
      }
