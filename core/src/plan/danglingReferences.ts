import type { Fault } from '../rules/rule'
import type { Plan } from './plan'

/** Ids must be unique in their list, and what names a position must name one that exists. */
export function danglingReferences(plan: Plan): Fault[] {
  const { positions, jobs, holders, mainPositionId } = plan.survey
  const faults: Fault[] = []
  const lists = {
    'survey.positions': positions,
    'survey.jobs': jobs,
    'survey.holders': holders,
    'route.machines': plan.route.machines,
    'candidates.motors': plan.candidates.motors,
    'candidates.drives': plan.candidates.drives,
    'wiring.changes': plan.wiring.changes ?? [],
    'wiring.asFound': plan.wiring.asFound ?? [],
    'wiring.looseEnds': plan.wiring.looseEnds ?? [],
    'dial.rings': plan.dial.rings ?? [],
    axes: plan.axes ?? [],
    'commanded.readings': plan.commanded.readings ?? [],
  }
  for (const [list, items] of Object.entries(lists)) {
    const seen = new Set<string>()
    items.forEach((item, i) => {
      if (seen.has(item.id)) faults.push({ field: `${list}[${i}].id`, message: `"${item.id}" stands twice` })
      seen.add(item.id)
    })
  }
  const known = new Set(positions.map((p) => p.id))
  if (mainPositionId !== undefined && !known.has(mainPositionId))
    faults.push({ field: 'survey.mainPositionId', message: `"${mainPositionId}" is not one of the positions` })
  jobs.forEach((job, i) => {
    if (job.positionId !== undefined && !known.has(job.positionId))
      faults.push({ field: `survey.jobs[${i}].positionId`, message: `"${job.positionId}" is not one of the positions` })
  })
  return faults
}
