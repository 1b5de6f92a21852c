import { fieldAt, positionName, type Plan } from '../plan'
import type { FieldFigureId } from './figureId'

/** Where a field's own label is too short among the figures of other things. */
const names: Partial<Record<FieldFigureId, string>> = {
  'motor.powerW': 'Motor power',
  'motor.ratedFrequencyHz': 'Plate hertz',
  'motor.ratedSpeedRpm': 'Plate speed',
  'drive.ratedInputA': 'Drive input amps on its plate',
  'drive.ratedOutputA': 'Drive output amps',
}

const pulley = /^survey\.positions\.(\d+)\.transmission\.(\d+)\.(driver|driven)(?:Mm|Teeth)$/

/** What something typed is called wherever a figure is made from it. */
export function givenName(plan: Plan, path: FieldFigureId): string {
  const known = names[path]
  if (known !== undefined) return known
  const found = path.startsWith('survey.positions.') ? pulley.exec(path) : null
  if (!found) return fieldAt(path).label
  const [, at, stage, end] = found
  const position = plan.survey.positions[Number(at)]
  return `${position ? `${positionName(position, Number(at))}: ` : ''}${end === 'driver' ? 'driving' : 'driven'} pulley ${Number(stage) + 1}`
}
