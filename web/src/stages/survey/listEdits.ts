import { set, type Change, type Patch, type Plan, type Position } from '@zesty/core'

type ListName = 'positions' | 'jobs' | 'holders'

/** The list with one item more. */
export const withItem = <L extends ListName>({ survey }: Plan, list: L, item: Plan['survey'][L][number]): Patch => [
  { path: `survey.${list}`, value: [...survey[list], item] },
]

/** Other positions in place of all there are; what named one of those no longer does. */
export const withPositions = ({ survey }: Plan, positions: readonly Position[]): Patch => [
  set('survey.positions', [...positions]),
  set('survey.mainPositionId', undefined),
  ...survey.jobs.flatMap((job, i) => (job.positionId ? [set(`survey.jobs.${i}.positionId`, undefined)] : [])),
]

/** The list without one item; what named a position that goes away no longer does. */
export function withoutItem({ survey }: Plan, list: ListName, id: string): Patch {
  const rest = survey[list].filter((item) => item.id !== id)
  const patch: Change[] = [{ path: `survey.${list}`, value: rest }]
  if (list !== 'positions') return patch
  if (survey.mainPositionId === id) patch.push(set('survey.mainPositionId', undefined))
  survey.jobs.forEach((job, i) => {
    if (job.positionId === id) patch.push(set(`survey.jobs.${i}.positionId`, undefined))
  })
  return patch
}
