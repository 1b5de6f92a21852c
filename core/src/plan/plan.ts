import { z } from 'zod'
import { candidatesSchema } from './candidates'
import { checksSchema } from './checks'
import { controlsSchema } from './controls'
import { driveSchema } from './drivePlate'
import { motorSchema, oldMotorSchema } from './motorPlate'
import { mountSchema } from './mount'
import { routeSchema } from './route'
import { settingsSchema } from './settingFields'
import { supplySchema } from './supply'
import { surveySchema } from './survey'
import { quantity } from './field'

/** Rises by one whenever a stored plan would no longer validate; each rise has a step in `upgrade.ts`. */
export const PLAN_VERSION = 2

/** Planning values that a person may replace by their own, each in place of a typical one. */
export const overridesSchema = z.strictObject({
  motorEfficiency: quantity('fraction', 'Motor efficiency', 0.2, 0.99),
  driveEfficiency: quantity('fraction', 'Drive efficiency', 0.5, 0.999),
  truePowerFactor: quantity('fraction', 'True power factor at the wall', 0.3, 1),
  sourceEfficiency: quantity('fraction', 'Efficiency of converter or transformer', 0.3, 0.999),
})

/**
 * One machine's change to variable speed: everything that was given, measured or decided, and
 * nothing that can be computed. Every field may be unknown. Quantities are in the unit their key names.
 */
export const planSchema = z.strictObject({
  schemaVersion: z.literal(PLAN_VERSION),
  name: z.string().trim().min(1).max(80).meta({ label: 'Machine' }),
  survey: surveySchema,
  supply: supplySchema,
  route: routeSchema,
  oldMotor: oldMotorSchema,
  motor: motorSchema,
  checks: checksSchema,
  drive: driveSchema,
  mount: mountSchema,
  candidates: candidatesSchema,
  controls: controlsSchema,
  settings: settingsSchema,
  overrides: overridesSchema,
})

export type Plan = z.output<typeof planSchema>
export type Position = Plan['survey']['positions'][number]
export type Stage = Position['stages'][number]
export type Job = Plan['survey']['jobs'][number]
export type MotorPlate = Plan['motor']
export type DrivePlate = Plan['drive']
export type OldMotor = Plan['oldMotor']
export type RouteMachine = Plan['route']['machines'][number]
export type Holder = Plan['survey']['holders'][number]

/** A plan in which nothing is known but the machine's name. */
export const emptyPlan = (name: string): Plan => ({
  schemaVersion: PLAN_VERSION,
  name,
  survey: { positions: [], jobs: [], holders: [], hazards: [] },
  supply: {},
  route: { machines: [] },
  oldMotor: {},
  motor: {},
  checks: {},
  drive: {},
  mount: {},
  candidates: { motors: [], drives: [] },
  controls: {},
  settings: { chosen: {}, inDrive: {} },
  overrides: {},
})
