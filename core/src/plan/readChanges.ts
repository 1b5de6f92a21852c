import { z } from 'zod'
import { faultsOf, type Fault, type Outcome } from '../rules/rule'
import { danglingReferences } from './danglingReferences'
import { applyPatch, type Patch } from './patch'
import { planSchema, type Plan } from './plan'

type Section = Exclude<keyof Plan, 'schemaVersion'>

const sections = new Set(Object.keys(planSchema.shape).filter((key) => key !== 'schemaVersion'))

/** A section of the plan, or what stands directly in one. */
const changedPath = z.string().refine((path) => {
  const [section = '', key, ...rest] = path.split('.')
  return sections.has(section) && key !== '' && rest.length === 0
}, 'must be a section of the plan or what stands directly in one')

/** What is sent of a plan that was changed: each thing that is another, with its value; without one where it went. */
export const changesSchema = z
  .array(z.strictObject({ path: changedPath, value: z.unknown().optional() }))
  .min(1)
  .max(400)

/**
 * A plan that was read, with changes from outside: the sections that they touch are held against their schemas, and the
 * whole against the rules that bind its parts. Every fault is named.
 */
export function readChanges(plan: Plan, changes: z.output<typeof changesSchema>): Outcome<Plan> {
  const touched = new Set(changes.map(({ path }) => path.split('.')[0] as Section))
  const next: Record<string, unknown> = { ...applyPatch(plan, changes as Patch) }
  const faults: Fault[] = []
  for (const section of touched) {
    const parsed = planSchema.shape[section].safeParse(next[section])
    if (!parsed.success)
      faults.push(
        ...faultsOf(parsed.error, next[section]).map((fault) => ({ ...fault, field: within(section, fault.field) })),
      )
    else if (parsed.data === undefined) Reflect.deleteProperty(next, section)
    else next[section] = parsed.data
  }
  if (faults.length > 0) return { ok: false, faults }
  const dangling = danglingReferences(next as unknown as Plan)
  return dangling.length > 0 ? { ok: false, faults: dangling } : { ok: true, value: next as unknown as Plan }
}

const within = (section: string, field: string): string =>
  field === '' ? section : field.startsWith('[') ? `${section}${field}` : `${section}.${field}`
