import type { Plan, Position } from './plan'

/** What a position is called: its name, or a letter by its place. */
export const positionName = (position: Position, index: number): string =>
  position.name?.trim() || String.fromCharCode(65 + (index % 26))

/** The positions of a plan by the names that the person reads. */
export const namedPositions = ({ survey }: Plan): { id: string; name: string }[] =>
  survey.positions.map((position, i) => ({ id: position.id, name: positionName(position, i) }))
