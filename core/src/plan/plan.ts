import { z } from 'zod'
import { keptManualSchema, type Manual } from '../manual/manual'
import { nameText, text } from '../rules/text'
import { axesSchema } from './axes'
import { candidatesSchema } from './candidates'
import { checksSchema } from './checks'
import { commandedSchema } from './commanded'
import { controlsSchema } from './controls'
import { dcDriveSchema } from './dcDrive'
import { dialSchema } from './dial'
import { driveSchema } from './drivePlate'
import { driverSchema } from './driver'
import { highFrequencySchema } from './highFrequency'
import { motorSchema, oldMotorSchema, type MotorPlate } from './motorPlate'
import { installationSchema } from './installation'
import { mountSchema } from './mount'
import { MOST_PLANNED, plannedSchema } from './plannedSchema'
import { routeSchema } from './route'
import { runInSchema } from './runIn'
import { settingsSchema } from './settingFields'
import { supplySchema } from './supply'
import { surveySchema } from './survey'
import { wiringSchema } from './wiring'
import { on, quantity } from './field'
import type { TransmissionStage } from './transmissionStage'

/** Rises by one whenever a stored plan would no longer validate; each rise has a step in `upgrade.ts`. */
export const PLAN_VERSION = 6

/** Planning values that a person may replace by their own, each in place of a typical one. */
export const overridesSchema = z.strictObject({
  motorEfficiency: quantity('fraction', 'Motor efficiency', 0.2, 0.99),
  driveEfficiency: quantity('fraction', 'Drive efficiency', 0.5, 0.999),
  truePowerFactor: quantity('fraction', 'True power factor at the wall', 0.3, 1),
  supplyUnitEfficiency: quantity('fraction', 'Efficiency of converter or transformer', 0.3, 0.999),
})

/** Fields of which the text is kept beside the value. */
const MOST_TYPED = 500

/**
 * What was typed where it says more than the value does, by field: a fraction, another unit, a range. It holds as long as it
 * still reads as the value; nothing is computed from it.
 */
const asTypedSchema = z
  .record(text(100).regex(/^[a-z][\w.]*$/i, 'must name a field'), text(60))
  .refine((texts) => Object.keys(texts).length <= MOST_TYPED, `at most ${MOST_TYPED} fields`)

/**
 * One machine's change to variable speed: everything that was given, measured or decided, and
 * nothing that can be computed. Every field may be unknown. Quantities are in the unit their key names.
 */
export const planSchema = z.strictObject({
  schemaVersion: z.literal(PLAN_VERSION),
  name: on('survey', nameText(80).meta({ label: 'Machine' })),
  survey: on('survey', surveySchema),
  supply: on('survey', supplySchema),
  route: on('route', routeSchema),
  oldMotor: on('motor', oldMotorSchema),
  motor: on('motor', motorSchema),
  checks: on('motor', checksSchema),
  drive: on('drive', driveSchema),
  installation: on('drive', installationSchema),
  candidates: candidatesSchema,
  controls: on('wiring', controlsSchema),
  wiring: on('wiring', wiringSchema),
  /** The version of the drive's manual that this conversion goes by. */
  manual: on('wiring', keptManualSchema.optional().meta({ label: 'The drive’s manual', whole: true })),
  settings: on('settings', settingsSchema),
  mount: on('run-in', mountSchema),
  runIn: on('run-in', runInSchema),
  dial: on('dial', dialSchema),
  dcDrive: on('drive', dcDriveSchema),
  driver: on('drive', driverSchema),
  highFrequency: on('motor', highFrequencySchema),
  commanded: on('speeds', commandedSchema),
  axes: on('speeds', axesSchema),
  overrides: on('drive', overridesSchema),
  asTyped: asTypedSchema.optional().meta({ label: 'As it was typed' }),
  planned: on('settings', z.array(plannedSchema).max(MOST_PLANNED).optional().meta({ label: 'Planned work' })),
})

type Parsed = z.output<typeof planSchema>

export type Position = Omit<Parsed['survey']['positions'][number], 'transmission'> & {
  transmission: TransmissionStage[]
}
export type Job = Parsed['survey']['jobs'][number]
export type Holder = Parsed['survey']['holders'][number]
export type DrivePlate = Parsed['drive']
export type OldMotor = Parsed['oldMotor']
export type RouteMachine = Parsed['route']['machines'][number]
export type MotorCandidate = Omit<Parsed['candidates']['motors'][number], 'plate'> & { plate: MotorPlate }

/** What the schema accepts; motors and stages of a train may be asked for any key of any kind. */
export interface Plan extends Omit<Parsed, 'survey' | 'motor' | 'candidates' | 'manual'> {
  survey: Omit<Parsed['survey'], 'positions'> & { positions: Position[] }
  motor: MotorPlate
  candidates: Omit<Parsed['candidates'], 'motors'> & { motors: MotorCandidate[] }
  manual?: Manual | undefined
}

/**
 * A plan in which nothing is known but the machine's name.
 *
 * @example emptyPlan('Lathe').survey.positions // []
 */
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
  installation: {},
  candidates: { motors: [], drives: [] },
  controls: {},
  wiring: {},
  settings: { chosen: {}, inDrive: {} },
  mount: {},
  runIn: {},
  dial: {},
  dcDrive: {},
  driver: {},
  highFrequency: {},
  commanded: {},
  overrides: {},
})
