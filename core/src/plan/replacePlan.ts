import type { Patch } from './patch'
import { planSchema, type Plan } from './plan'

type Section = Exclude<keyof Plan, 'schemaVersion'>

const sections = Object.keys(planSchema.shape).filter((key): key is Section => key !== 'schemaVersion')

/** Makes whatever plan it is applied to into this one, whole, in one step that can be taken back. */
export const replacePlan = (by: Plan): Patch => sections.map((path) => ({ path, value: by[path] }))
