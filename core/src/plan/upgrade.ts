import type { Fault, Outcome } from '../rules/rule'
import { faultsOf } from '../rules/rule'
import { danglingReferences } from './danglingReferences'
import { PLAN_VERSION, planSchema, type Plan } from './plan'
import { toVersion3 } from './toVersion3'
import { toVersion6 } from './toVersion6'

/** A stored document brought from the version it is filed under to the next. */
export type UpgradeStep = (document: Record<string, unknown>) => Record<string, unknown>

/** Steps by the version they start from. */
const steps: Readonly<Record<number, UpgradeStep>> = {
  // Version 2 adds the route, the motor that was there, its bench checks, where the drive hangs, and
  // candidates; the connections of twelve leads say whether they are star or delta.
  1: (document) => ({
    route: { machines: [] },
    oldMotor: {},
    checks: {},
    installation: {},
    candidates: { motors: [], drives: [] },
    ...document,
    ...twelveLeads(document['motor']),
  }),
  2: toVersion3,
  // Version 4 adds the wiring.
  3: (document) => ({ wiring: {}, ...document }),
  // Version 5 adds how it is mounted and run in, and its dial.
  4: (document) => ({ mount: {}, runIn: {}, dial: {}, ...document }),
  5: toVersion6,
}

const twelve: Readonly<Record<string, string>> = {
  low: 'low-delta',
  high: 'high-delta',
  delta: 'low-delta',
  star: 'low-star',
}

function twelveLeads(motor: unknown): Record<string, unknown> {
  if (typeof motor !== 'object' || motor === null || Reflect.get(motor, 'leads') !== '12') return {}
  const was: unknown = Reflect.get(motor, 'connection')
  return typeof was === 'string' && twelve[was] ? { motor: { ...motor, connection: twelve[was] } } : {}
}

const failed = (field: string, message: string): { ok: false; faults: Fault[] } => ({
  ok: false,
  faults: [{ field, message }],
})

/** Brings a document up to `current`, one version at a time; says so when it is newer or has no version. */
export function upgrade(
  document: unknown,
  by: Readonly<Record<number, UpgradeStep>> = steps,
  current = PLAN_VERSION,
): Outcome<Record<string, unknown>> {
  if (typeof document !== 'object' || document === null || Array.isArray(document))
    return failed('', 'a plan must be an object')
  let at = document as Record<string, unknown>
  const version = at['schemaVersion']
  if (typeof version !== 'number' || !Number.isInteger(version) || version < 1)
    return failed('schemaVersion', `is missing or not a version; this release writes ${current}`)
  if (version > current)
    return failed('schemaVersion', `is ${version}, made by a newer release; this one reads up to ${current}`)
  for (let v = version; v < current; v += 1) {
    const step = by[v]
    if (!step) return failed('schemaVersion', `${v} can no longer be read`)
    at = { ...step(at), schemaVersion: v + 1 }
  }
  return { ok: true, value: at }
}

/**
 * Reads any stored or imported plan: upgraded, validated whole, every fault named.
 *
 * @example readPlan(emptyPlan('Lathe')).ok // true
 */
export function readPlan(document: unknown): Outcome<Plan> {
  const upgraded = upgrade(document)
  if (!upgraded.ok) return upgraded
  const parsed = planSchema.safeParse(upgraded.value)
  if (!parsed.success) return { ok: false, faults: faultsOf(parsed.error, upgraded.value) }
  const faults = danglingReferences(parsed.data)
  return faults.length > 0 ? { ok: false, faults } : { ok: true, value: parsed.data }
}
