import { fieldAt, hasField, planPaths, valueAt, type Plan, type PlanPath } from '../plan'
import { stages, type StageId } from '../stages/stages'
import { fieldName } from './fieldName'

/** A field of the plan as it is found by its words. */
export interface FoundField {
  path: PlanPath
  /** Its label, and what it is of where there are several. */
  name: string
  /** The part of its stage that it stands in. */
  within: string
  stage: StageId
}

/** What a part of the plan is called beside its fields; one without a name here is its stage. */
const parts: readonly (readonly [prefix: string, words: string])[] = [
  ['supply.', 'wall'],
  ['oldMotor.', 'old motor'],
  ['checks.', 'bench checks'],
  ['installation.', 'where the drive hangs'],
  ['controls.', 'how it is run and stopped'],
  ['settings.chosen.', 'chosen by you'],
  ['settings.inDrive.', 'read in the drive'],
  ['overrides.', 'planning values'],
]

/** What is not typed into a field of its own, or stands on a sheet that is opened for one thing at a time. */
const apart = /^(asTyped|candidates|planned)(\.|$)|(^|\.)(id|schemaVersion)$/

/** Every path that holds a value and not more fields; found at the first question, and then known. */
const leaves = (): readonly PlanPath[] => {
  const all = planPaths()
  const branches = new Set(all.map((path) => path.slice(0, path.lastIndexOf('.'))))
  known ??= all.filter((path) => !apart.test(path) && !branches.has(path) && !branches.has(`${path}.0`))
  return known
}
let known: readonly PlanPath[] | undefined

/**
 * The fields of a plan whose words hold every word of a question, nearest first: label, then what it is of, then its
 * help; of those the shortest label.
 *
 * @example findFields(emptyPlan('Lathe'), 'breaker')[0]?.path // 'supply.breakerA'
 */
export function findFields(plan: Plan, question: string, most = 30): FoundField[] {
  const words = question.toLowerCase().split(/\s+/).filter(Boolean)
  if (words.length === 0) return []
  return leaves()
    .flatMap((path) => inLists(plan, path))
    .filter((path) => hasField(plan, path))
    .flatMap((path): { found: FoundField; rank: number; length: number }[] => {
      const { label, help, stage } = fieldAt(path)
      const name = fieldName(plan, path)
      const within = parts.find(([prefix]) => path.startsWith(prefix))?.[1] ?? stages[stage].name.toLowerCase()
      const texts = [label, name, `${name} ${within}`, `${name} ${within} ${help ?? ''}`].map((t) => t.toLowerCase())
      const rank = texts.findIndex((text) => words.every((word) => text.includes(word)))
      return rank === -1 ? [] : [{ found: { path, name, within, stage }, rank, length: label.length }]
    })
    .sort((a, b) => a.rank - b.rank || a.length - b.length)
    .slice(0, most)
    .map(({ found }) => found)
}

/** A path into the first item of each list, as the paths into all that the plan has. */
function inLists(plan: Plan, path: PlanPath): PlanPath[] {
  const [head = '', ...tails] = path.split('.0.')
  return tails
    .reduce<string[]>(
      (heads, tail) =>
        heads.flatMap((at) => {
          const list: unknown = valueAt(plan, at as PlanPath)
          return Array.isArray(list) ? list.map((_, i) => `${at}.${i}.${tail}`) : []
        }),
      [head],
    )
    .map((found) => found as PlanPath)
}
