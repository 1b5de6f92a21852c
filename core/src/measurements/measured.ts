import { z } from 'zod'
import { MOST_COMMAND_READINGS } from '../plan/commanded'
import { MOST_TOLD, sampleSchema, seriesSchema } from '../readings/series'

/** Two readings of one thing that do not agree, each by what it comes to. */
const disagreementSchema = z.strictObject({
  /** Speeds are for one turn or hertz of the motor, of a blade for one hertz. */
  of: z.enum(['per-turn', 'per-hertz', 'surface', 'coast', 'seat-torque', 'insulation']),
  positionId: z.string().optional(),
  /** The one that the others speak for, or the earlier of two. */
  kept: sampleSchema,
  odd: sampleSchema,
})

/** Coasts to rest: from the highest speed they were timed at, and from a lower one too where there is one. */
const coastSchema = z.strictObject({
  /** Nothing where it was not said from which speed. */
  fromRpm: z.number().optional(),
  seconds: seriesSchema,
  slower: z.strictObject({ fromRpm: z.number(), seconds: z.number() }).optional(),
})

/** What the marks of the speed dial come to on one position. */
const dialSchema = z.strictObject({
  count: z.number().int().min(1),
  straight: z.boolean(),
  slope: z.number(),
  intercept: z.number(),
  maxErrorRpm: z.number(),
  outliers: z.array(z.strictObject({ dial: z.number(), rpm: z.number(), id: z.string() })).max(200),
  table: z.array(z.strictObject({ dial: z.number(), rpm: z.number() })).max(200),
})

/** One timed stop by the mushroom: the newest from about that speed, of that thing, on that position. */
const stopSchema = z.strictObject({
  of: z.string(),
  positionId: z.string().optional(),
  fromRpm: z.number(),
  seconds: z.number(),
  turns: z.number().optional(),
  id: z.string(),
})

/** What the spindle turned at one command of a controller. */
const commandSchema = z.strictObject({
  id: z.string(),
  positionId: z.string().optional(),
  commandedRpm: z.number(),
  rpm: z.number(),
})

/** Things of which the newest reading of the run-in is kept, and stops that are: more than any machine has. */
export const MOST_TAKEN = 400

/** What is read of one position. */
const positionSchema = z.strictObject({
  /** Spindle turns for one of the motor, where the motor's rpm were read too. */
  perTurn: seriesSchema.optional(),
  /** Spindle rpm for one hertz. */
  perHertz: seriesSchema.optional(),
  /** Metres a minute of the blade or belt for one hertz. */
  surfacePerHertz: seriesSchema.optional(),
  coast: coastSchema.optional(),
  dial: dialSchema.optional(),
})

const amps = z.number().optional()

/** What all readings of one conversion come to. Small, whatever their number. */
export const measuredSchema = z.strictObject({
  count: z.number().int().min(0),
  positions: z.record(z.string(), positionSchema),
  /** Said of no position. */
  anywhere: positionSchema,
  seatTorqueNm: seriesSchema.optional(),
  /** Megohm. */
  insulation: seriesSchema.optional(),
  runUpS: seriesSchema.optional(),
  /** Median amps of each lead that was read. */
  amps: z.strictObject({ u: amps, v: amps, w: amps }),
  disagreements: z.array(disagreementSchema).max(MOST_TOLD),
  /** The newest of each thing that was read while it was run in, by `takenKey`. */
  taken: z
    .record(z.string(), z.strictObject({ value: z.number(), id: z.string() }))
    .refine((all) => Object.keys(all).length <= MOST_TAKEN, `at most ${MOST_TAKEN}`)
    .optional(),
  stops: z.array(stopSchema).max(MOST_TAKEN).optional(),
  /** The newest of each command on each position, as many as a plan holds. */
  commands: z.array(commandSchema).max(MOST_COMMAND_READINGS).optional(),
  /** Hours that the spindle has run: the most that was read. */
  spindleHours: z.number().optional(),
})

export type Disagreement = z.output<typeof disagreementSchema>
export type MeasuredCoast = z.output<typeof coastSchema>
export type MeasuredPosition = z.output<typeof positionSchema>
export type MeasuredDial = z.output<typeof dialSchema>
export type MeasuredCommand = z.output<typeof commandSchema>
export type MeasuredStop = z.output<typeof stopSchema>
export type Measured = z.output<typeof measuredSchema>

export const nothingMeasured: Measured = { count: 0, positions: {}, anywhere: {}, amps: {}, disagreements: [] }
