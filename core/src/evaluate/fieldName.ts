import { holderName } from '../facts/spindle/spindleLimits'
import { fieldAt, positionName, type Plan, type PlanPath } from '../plan'

/** `survey.holders.1.widthMm`: which list, which of it, and within it. */
const OF_LIST = /^survey\.(positions|holders|jobs)\.(\d+)\.(?:transmission\.(\d+)\.)?/

/** What a field is called where it is asked for by itself: its label, and what it is of where there are several. */
export function fieldName({ survey }: Plan, path: PlanPath): string {
  const label = fieldAt(path).label.toLowerCase()
  const [, list, at, stage] = OF_LIST.exec(path) ?? []
  const index = Number(at)
  if (list === 'positions') {
    const position = survey.positions[index]
    if (!position) return label
    const owner = positionName(position, index)
    const several = position.transmission.length > 1 && stage !== undefined
    return several ? `${label} of stage ${Number(stage) + 1} on ${owner}` : `${label} of ${owner}`
  }
  const holder = list === 'holders' ? survey.holders[index] : undefined
  if (holder) return `${label} of ${holderName(holder)}`
  const job = list === 'jobs' ? survey.jobs[index] : undefined
  return job ? `${label} of ${job.name?.trim() || `job ${index + 1}`}` : label
}
