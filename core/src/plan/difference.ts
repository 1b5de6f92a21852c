import { printQuantity, type UnitSystem } from '../quantities'
import { fieldAt, isPlanPath, type PlanField } from './fieldAt'
import type { Plan } from './plan'

/** One thing that differs between two plans, in words. */
export interface Difference {
  path: string
  label: string
  before: string
  after: string
}

const NOTHING = 'not known'

/**
 * Everything that differs from `before` to `after`, readable, in the plan's order.
 *
 * @example planDifference(emptyPlan('Lathe'), emptyPlan('Lathe')) // []
 */
export const planDifference = (before: Plan, after: Plan, system: UnitSystem = 'metric'): Difference[] =>
  compare(before, after, '', [], system)

function compare(
  before: unknown,
  after: unknown,
  path: string,
  trail: readonly string[],
  system: UnitSystem,
): Difference[] {
  if (Object.is(before, after)) return []
  if (path !== '' && fieldOf(path)?.whole === true) return wholeDifference(before, after, path, trail)
  if (!isBranch(before) && !isBranch(after)) {
    const shown = [printValue(path, before, system), printValue(path, after, system)]
    return shown[0] === shown[1] && before !== undefined && after !== undefined && typeof before !== 'number'
      ? []
      : [{ path, label: trail.join(', '), before: shown[0] ?? '', after: shown[1] ?? '' }]
  }
  const keys = new Set([...Object.keys(isBranch(before) ? before : {}), ...Object.keys(isBranch(after) ? after : {})])
  return [...keys].flatMap((key) => {
    const inner = path === '' ? key : `${path}.${key}`
    const left = isBranch(before) ? (Reflect.get(before, key) as unknown) : undefined
    const right = isBranch(after) ? (Reflect.get(after, key) as unknown) : undefined
    // How it was typed is no difference of what it is.
    if (inner === 'asTyped' || (key === 'id' && trail.length > 0)) return []
    return compare(left, right, inner, [...trail, labelOf(inner, key, left, right)], system)
  })
}

/** What is changed as a whole is told by its names. */
function wholeDifference(before: unknown, after: unknown, path: string, trail: readonly string[]): Difference[] {
  if (JSON.stringify(before) === JSON.stringify(after)) return []
  const name = (value: unknown): string => (isBranch(value) ? String(Reflect.get(value, 'name') ?? '') : NOTHING)
  const [was, is] = [name(before), name(after)]
  return [{ path, label: trail.join(', '), before: was, after: was === is ? `${is}, changed` : is }]
}

/** What the schema says of a path; items of a list have paths of their own. */
const fieldOf = (path: string): PlanField | undefined => (isPlanPath(path) ? fieldAt(path) : undefined)

const isBranch = (value: unknown): value is object => typeof value === 'object' && value !== null

const sections: Record<string, string> = {
  survey: 'Survey',
  supply: 'Wall',
  route: 'Route',
  oldMotor: 'Old motor',
  motor: 'Motor',
  checks: 'Bench checks',
  drive: 'Drive',
  installation: 'Where the drive hangs',
  candidates: 'Thought of',
  plate: 'plate',
  controls: 'Controls',
  wiring: 'Wiring',
  settings: 'Settings',
  overrides: 'Planning values',
  chosen: 'chosen',
  inDrive: 'in the drive',
}

/** A list item is called by its name; a section by its stage; a field by its label. */
function labelOf(path: string, key: string, left: unknown, right: unknown): string {
  if (/^\d+$/.test(key)) {
    const item = isBranch(right) ? right : left
    const name: unknown = isBranch(item) ? Reflect.get(item, 'name') : undefined
    return typeof name === 'string' && name !== '' ? name : String(Number(key) + 1)
  }
  return sections[key] ?? fieldOf(path)?.label ?? key
}

/**
 * What a field of the plan holds, as a reader of these units would have it printed.
 *
 * @example printValue('settings.inDrive.maximumHz', 60) // '60\u00a0Hz'
 */
export function printValue(path: string, value: unknown, system: UnitSystem = 'metric'): string {
  const field = fieldOf(path)
  if (value === undefined) return NOTHING
  if (typeof value === 'boolean') return value ? 'yes' : 'no'
  if (typeof value === 'number')
    return field?.dimension ? printQuantity({ value, dimension: field.dimension }, system) : String(value)
  if (typeof value === 'string') return field?.options?.[value] ?? value
  return JSON.stringify(value)
}
