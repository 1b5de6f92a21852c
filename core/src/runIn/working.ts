import { isKnown, type Figure, type FigureInput, type FigureState } from '../facts/figure'
import { inputLine } from '../facts/ledger'
import type { Dimension } from '../quantities'
import type { RuleId } from '../rulebook/registry'

/** How a value was had: by a rule, or as the citation says, and what went into it. */
export interface Working {
  ruleId?: RuleId
  citation?: string
  from: readonly FigureInput[]
}

/** A number with its working, to be opened as any figure is. */
export type ShownFigure = Omit<Figure, 'id'>

/** Lines of a working by the rule's keys: figures of the plan, or values with their own words; what is not known is left out. */
export function lines(of: Readonly<Record<string, FigureState | FigureInput | undefined>>): FigureInput[] {
  return Object.entries(of).flatMap(([key, input]) => {
    if (input === undefined) return []
    if ('key' in input) return [{ ...input, key }]
    return isKnown(input) ? [inputLine(key, input)] : []
  })
}

/** A value that is no figure of the plan: read, set at this stage, or a planning value. */
export const line = (
  label: string,
  value: number | string,
  dimension?: Dimension,
  basis?: FigureInput['basis'],
): FigureInput => ({ key: '', label, value, dimension, basis, figureId: undefined })
