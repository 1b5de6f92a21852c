import { z } from 'zod'
import { dimensions, type Dimension } from '../quantities'
import { circuitSchema } from '../motor'
import { connections, type Connection } from '../plan'
import { chainLinkIds, type ChainLinkId } from '../stages/chainLinks'
import { milestoneIds } from '../stages/milestones'
import { verdictOrder } from '../facts/spindle/jobOn'
import { answers } from '../findings/finding'
import { stageIds, type StageId } from '../stages/stages'
import type { Blocked, Figure } from '../facts/figure'
import type { Evaluation } from './evaluation'

const oneOf = <K extends string>(keys: readonly K[]) => z.enum(keys as [K, ...K[]])

const dimension = oneOf(Object.keys(dimensions) as Dimension[])
const basis = z.enum(['given', 'measured', 'computed', 'typical'])
const stage = oneOf(stageIds satisfies readonly StageId[])
const connection = oneOf(Object.keys(connections) as Connection[])
const milestone = oneOf(milestoneIds)
const severity = z.enum(['stop', 'watch', 'note'])
const count = z.number().int().min(0)

/** Prose with its amounts unprinted: text, and values in base units. */
const message = z.array(z.union([z.string(), z.strictObject({ dimension, value: z.number() })]))

const figureInput = z.strictObject({
  key: z.string(),
  label: z.string(),
  value: z.union([z.number(), z.string(), z.boolean()]),
  dimension: dimension.optional(),
  basis: basis.optional(),
  figureId: z.string().optional(),
})

const figure = z.strictObject({
  id: z.string(),
  label: z.string(),
  value: z.number(),
  dimension,
  basis,
  restsOnTypical: z.boolean(),
  ruleId: z.string().optional(),
  path: z.string().optional(),
  citation: z.string().optional(),
  from: z.array(figureInput),
})

const blocked = z.strictObject({
  id: z.string(),
  label: z.string(),
  missing: z.array(z.string()),
  refusal: z.string().optional(),
})

export const chainLinkSchema = z.strictObject({
  id: oneOf(chainLinkIds satisfies readonly ChainLinkId[]),
  name: z.string(),
  state: z.enum(['stop', 'watch', 'note', 'ok', 'open']),
  headline: message,
  detail: message,
})

export const stageLineSchema = z.strictObject({
  id: stage,
  name: z.string(),
  state: z.enum(['open', 'attention', 'done']),
  missing: count,
  stops: count,
  watches: count,
})

export const nextStepSchema = z.strictObject({
  kind: z.enum(['ask', 'stop', 'watch', 'do']),
  stage,
  text: z.string(),
  paths: z.array(z.string()).optional(),
  findingId: z.string().optional(),
})

/** A change of the plan: what stands at the path becomes the value; without one it goes. */
const change = z.strictObject({ path: z.string(), value: z.unknown().optional() })

const finding = z.strictObject({
  id: z.string(),
  stage,
  chainLink: oneOf(chainLinkIds),
  by: milestone,
  due: z.boolean(),
  severity,
  title: message,
  says: message,
  why: z.string(),
  path: z.string().optional(),
  remedies: z.array(
    z.strictObject({
      label: message,
      patch: z.array(change),
      step: z.boolean().optional(),
      mains: z.boolean().optional(),
    }),
  ),
  figures: z.array(z.string()),
  follows: z.string().optional(),
})

const judgedLine = z.strictObject({
  id: z.string(),
  asks: z.string(),
  stage,
  chainLink: oneOf(chainLinkIds),
  by: milestone,
  due: z.boolean(),
  danger: z.boolean(),
  answer: oneOf(Object.keys(answers) as (keyof typeof answers)[]),
  severity: severity.optional(),
  says: message,
  missing: z.array(z.string()),
  figures: z.array(z.string()),
})

const position = z.strictObject({
  id: z.string(),
  name: z.string(),
  main: z.boolean(),
  speedRatio: z.string(),
  bottomRpm: z.string(),
  baseRpm: z.string(),
  topRpm: z.string(),
  unloadedTopRpm: z.string(),
  torqueNm: z.string(),
  reversed: z.boolean().optional(),
  ladder: z.array(z.strictObject({ frequencyHz: z.number(), spindleRpm: z.number() })),
  jobsReached: count,
})

const jobVerdict = oneOf(verdictOrder)

const job = z.strictObject({
  id: z.string(),
  name: z.string(),
  wantedRpm: z.string(),
  window: z.strictObject({ slower: z.number(), faster: z.number() }),
  torqueNm: z.string().optional(),
  powerW: z.string().optional(),
  positionId: z.string().optional(),
  verdict: jobVerdict.optional(),
  on: z.array(
    z.strictObject({
      positionId: z.string(),
      verdict: jobVerdict,
      rpm: z.number().optional(),
      marginContinuous: z.number().optional(),
      marginPeak: z.number().optional(),
    }),
  ),
  doneOn: z.array(z.string()),
})

const settingValue = z.union([z.number(), z.string()])

const setting = z.strictObject({
  id: z.string(),
  label: z.string(),
  value: settingValue.optional(),
  basis,
  reason: message,
  inDrive: settingValue.optional(),
  missing: z.array(z.string()),
  leave: z.literal(true).optional(),
})

const terminalLinks = z.strictObject({
  connection,
  links: z.array(z.array(z.string())),
  lines: z.strictObject({ L1: z.string(), L2: z.string(), L3: z.string() }),
})

const relinking = z.strictObject({
  leads: z.string(),
  choices: z.array(connection),
  asFound: terminalLinks.optional(),
  toBe: terminalLinks.optional(),
  part: z.array(z.array(z.string())),
  join: z.array(z.array(z.string())),
})

const inductionTorque = z.strictObject({
  of: z.literal('induction'),
  ratedTorqueNm: z.number(),
  plateHz: z.number(),
  baseHz: z.number(),
  poles: z.number(),
  lowestHz: z.number(),
  highestHz: z.number(),
  breakdownRatio: z.number(),
  safeRpm: z.number().optional(),
  cooling: z.enum(['shaft-fan', 'blower']),
  inverterDutyRatio: z.number().optional(),
  plateA: z.number().optional(),
  noLoadA: z.number().optional(),
  driveA: z.number().optional(),
  overload: z.number(),
  isVf: z.boolean(),
  slip: z.number(),
  flux: z.number(),
  circuit: circuitSchema.optional(),
  setVoltageV: z.number().optional(),
})

const dcTorque = z.strictObject({
  of: z.literal('dc'),
  ratedTorqueNm: z.number(),
  baseRpm: z.number(),
  topRpm: z.number(),
  lowestRpm: z.number(),
  highestRpm: z.number(),
  armatureV: z.number(),
  ratedA: z.number(),
  armatureOhm: z.number(),
  continuousA: z.number(),
  driveA: z.number().optional(),
  overload: z.number(),
  shaftFan: z.boolean(),
})

const magnetTorque = z.strictObject({
  of: z.literal('driver'),
  ratedTorqueNm: z.number(),
  ratedRpm: z.number(),
  lowestRpm: z.number(),
  highestRpm: z.number(),
  plateA: z.number().optional(),
  shaftFan: z.boolean(),
  onVolts: z
    .strictObject({ busV: z.number(), rpmPerVolt: z.number(), resistanceOhm: z.number(), limitA: z.number() })
    .optional(),
})

const torque = z.discriminatedUnion('of', [inductionTorque, dcTorque, magnetTorque])

/** Everything the product says about a plan, as it leaves the program: values in base units, prose with amounts unprinted. */
export const evaluationSchema = z
  .strictObject({
    figures: z.record(z.string(), figure),
    blocked: z.record(z.string(), blocked),
    missing: z.array(z.strictObject({ path: z.string(), label: z.string(), stage, blocks: z.array(z.string()) })),
    chain: z.array(chainLinkSchema),
    stages: z.array(stageLineSchema),
    agenda: z.array(nextStepSchema).min(1),
    firstSteps: z.array(
      z.strictObject({ label: z.string(), text: z.string(), stage, paths: z.array(z.string()), done: z.boolean() }),
    ),
    findings: z.array(finding),
    comesNext: milestone,
    judged: z.array(judgedLine),
    positions: z.array(position),
    jobs: z.array(job),
    earthLeakageType: z.enum(['F', 'B']).optional(),
    sizeUpReasons: z.array(z.string()),
    checks: z.strictObject({
      insulation: z.enum(['pass', 'dry-out', 'reject']).optional(),
      alike: z.boolean().optional(),
    }),
    delta87Hz: z.strictObject({ connection, permitted: z.boolean() }).optional(),
    limits: z.array(z.strictObject({ rpm: z.number(), what: z.string(), marked: z.boolean() })),
    settings: z.array(setting),
    relinking: relinking.optional(),
    torque: torque.optional(),
  })
  .meta({
    title: 'Zesty Lathe evaluation',
    description: 'What the product says about a conversion: figures with their working, findings, settings.',
  })

/** An answer that holds an evaluation: `evaluationFits`, below, shows that its shape is the schema's. */
export const evaluationAnswer = evaluationSchema as z.ZodType as z.ZodType<Evaluation, Evaluation>

/** Types with every text taken as any text: what is held against the schema is the shape. */
type Loose<T> = T extends string
  ? string
  : T extends readonly (infer Item)[]
    ? readonly Loose<Item>[]
    : T extends object
      ? { readonly [K in keyof T]: Loose<T[K]> }
      : T

type Parsed = z.input<typeof evaluationSchema>
type Fits<A, B> = Loose<A> extends Loose<B> ? true : never

/** Do not compile where an evaluation has what the schema does not say. */
export const evaluationFits: Fits<Omit<Evaluation, 'figures' | 'blocked'>, Omit<Parsed, 'figures' | 'blocked'>> = true
export const figureFits: Fits<Figure, z.input<typeof figure>> = true
export const blockedFits: Fits<Blocked, z.input<typeof blocked>> = true
