import { photoSubjects, rightsOfDevices } from '@zesty/core/http'
import { libraryKinds } from '@zesty/core/library'
import { logKinds, symptoms, upkeepTasks } from '@zesty/core/record'
import { measurementKinds, leads } from '@zesty/core/measurements'
import { sql } from 'drizzle-orm'
import {
  boolean,
  customType,
  doublePrecision,
  index,
  integer,
  jsonb,
  pgTable,
  primaryKey,
  text,
  timestamp,
  uniqueIndex,
  uuid,
} from 'drizzle-orm/pg-core'

/** A workshop: its supplies and machines, and how it likes to read numbers. */
export const shops = pgTable(
  'shops',
  {
    id: uuid().primaryKey().defaultRandom(),
    name: text().notNull(),
    units: text({ enum: ['metric', 'imperial'] })
      .notNull()
      .default('metric'),
    /** Made from the demo files; taken away again while untouched. */
    demo: boolean().notNull().default(false),
    createdAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
  },
  (t) => [index().on(t.createdAt, t.id)],
)

/** One machine's change to variable speed. `plan` is the newest revision's document. */
export const conversions = pgTable(
  'conversions',
  {
    id: uuid().primaryKey().defaultRandom(),
    shopId: uuid()
      .notNull()
      .references(() => shops.id, { onDelete: 'cascade' }),
    revision: integer().notNull().default(1),
    plan: jsonb().notNull(),
    /** How often its readings changed: verdicts rest on them too. */
    readingsRevision: integer().notNull().default(0),
    /** What the shop's page shows of it, and of which release and revision that was said. Made anew where it is of others. */
    line: jsonb(),
    lineOf: text(),
    createdAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
    savedAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
  },
  (t) => [index().on(t.shopId, t.createdAt, t.id), index().on(t.savedAt, t.id)],
)

/**
 * What was said of a machine as it was opened, to be said again at once while nothing that it rests on has changed. Made
 * anew at any time, so it is in no backup.
 */
export const verdicts = pgTable(
  'verdicts',
  {
    conversionId: uuid()
      .notNull()
      .references(() => conversions.id, { onDelete: 'cascade' }),
    /** The verdict, or what a stage shows beside it. */
    what: text().notNull(),
    /** A hash of release, plan and readings. */
    of: text().notNull(),
    answer: text().notNull(),
  },
  (t) => [primaryKey({ columns: [t.conversionId, t.what] })],
)

/**
 * Plans as they were kept: one for a burst of work, at most one a minute; after a day one an hour. One with a name stays,
 * and so does what began, came in or was restored.
 */
export const revisions = pgTable(
  'revisions',
  {
    conversionId: uuid()
      .notNull()
      .references(() => conversions.id, { onDelete: 'cascade' }),
    revision: integer().notNull(),
    plan: jsonb().notNull(),
    /** How it came about: begun, edited, imported, restored from 3. */
    origin: text().notNull(),
    /** Who saved it and on which device; nobody where it came with the product or from before this was kept. */
    by: text(),
    /** What somebody calls it; it is never thinned then. */
    name: text(),
    /** When the burst of work began that it ends. */
    begunAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
    savedAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
    /** What it changed, in words, since the revision of that number; told anew where another stands before it. */
    changed: jsonb().$type<{ count: number; first: string[] }>(),
    changedSince: integer(),
  },
  (t) => [
    primaryKey({ columns: [t.conversionId, t.revision] }),
    // What may be thinned, by when: the older it is, the more has been thinned of it.
    index()
      .on(t.savedAt)
      .where(sql`origin = 'edited' and name is null`),
  ],
)

/** What was ticked, and what the drive was read to hold: a row for each time it was changed, never thinned. */
export const entries = pgTable(
  'entries',
  {
    id: uuid().primaryKey().defaultRandom(),
    conversionId: uuid()
      .notNull()
      .references(() => conversions.id, { onDelete: 'cascade' }),
    /** The field of the plan. */
    path: text().notNull(),
    /** What it holds from then on; nothing where it was cleared. */
    value: jsonb().$type<string | number | boolean>(),
    /** Why, where somebody said so with the change. */
    reason: text(),
    by: text(),
    at: timestamp({ withTimezone: true }).notNull(),
  },
  (t) => [index().on(t.conversionId, t.at)],
)

/** What was read off a machine. A row each, beside the plan; never thinned. Numbers are in base units, speeds in rpm. */
export const measurements = pgTable(
  'measurements',
  {
    id: uuid().primaryKey().defaultRandom(),
    conversionId: uuid()
      .notNull()
      .references(() => conversions.id, { onDelete: 'cascade' }),
    kind: text({ enum: Object.keys(measurementKinds) as [keyof typeof measurementKinds] }).notNull(),
    value: doublePrecision().notNull(),
    lead: text({ enum: Object.keys(leads) as [keyof typeof leads] }),
    of: text(),
    /** An id within the plan; the position may have been taken out of it since. */
    positionId: text(),
    hz: doublePrecision(),
    motorRpm: doublePrecision(),
    dial: doublePrecision(),
    commandedRpm: doublePrecision(),
    fromRpm: doublePrecision(),
    toRpm: doublePrecision(),
    instrument: text(),
    by: text(),
    note: text(),
    takenAt: timestamp({ withTimezone: true }).notNull(),
  },
  (t) => [index().on(t.conversionId, t.takenAt, t.id)],
)

const bytes = customType<{ data: Buffer }>({ dataType: () => 'bytea' })

/** What was photographed, shrunk by the browser to a JPEG. Pages of a manual are the shop's; all others a machine's. */
export const photos = pgTable(
  'photos',
  {
    id: uuid().primaryKey().defaultRandom(),
    shopId: uuid()
      .notNull()
      .references(() => shops.id, { onDelete: 'cascade' }),
    /** Nothing of a manual's page. */
    conversionId: uuid().references(() => conversions.id, { onDelete: 'cascade' }),
    of: text({ enum: Object.keys(photoSubjects) as [keyof typeof photoSubjects] }).notNull(),
    subject: text(),
    note: text(),
    widthPx: integer().notNull(),
    heightPx: integer().notNull(),
    jpeg: bytes().notNull(),
    by: text(),
    takenAt: timestamp({ withTimezone: true }).notNull(),
  },
  (t) => [index().on(t.conversionId), index().on(t.shopId)],
)

/** A machine's log: what happened, what it cost, what was looked after. A row each, never thinned. */
export const logEntries = pgTable(
  'log_entries',
  {
    id: uuid().primaryKey(),
    conversionId: uuid()
      .notNull()
      .references(() => conversions.id, { onDelete: 'cascade' }),
    kind: text({ enum: Object.keys(logKinds) as [keyof typeof logKinds] }).notNull(),
    text: text(),
    symptom: text({ enum: Object.keys(symptoms) as [keyof typeof symptoms] }),
    /** A fault code as the drive shows it. */
    code: text(),
    task: text({ enum: Object.keys(upkeepTasks) as [keyof typeof upkeepTasks] }),
    price: doublePrecision(),
    hz: doublePrecision(),
    positionId: text(),
    by: text(),
    at: timestamp({ withTimezone: true }).notNull(),
  },
  (t) => [index().on(t.conversionId, t.at)],
)

/** Motors, drives and circuits kept for more than one conversion of the shop. */
export const libraryItems = pgTable(
  'library_items',
  {
    id: uuid().primaryKey().defaultRandom(),
    shopId: uuid()
      .notNull()
      .references(() => shops.id, { onDelete: 'cascade' }),
    kind: text({ enum: libraryKinds }).notNull(),
    name: text().notNull(),
    /** Of the plan whose fields the item has. */
    version: integer().notNull(),
    item: jsonb().notNull(),
    createdAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
  },
  // One name stands for one item of its kind.
  (t) => [uniqueIndex().on(t.shopId, t.kind, t.name)],
)

/** Devices of the shop's network that were let in. What they show is kept only as its SHA-256. */
export const devices = pgTable(
  'devices',
  {
    id: uuid().primaryKey().defaultRandom(),
    tokenHash: text().notNull().unique(),
    name: text().notNull(),
    personId: uuid().references(() => people.id, { onDelete: 'cascade' }),
    rights: text({ enum: rightsOfDevices }).notNull(),
    /** The one machine that may be looked at. */
    conversionId: uuid().references(() => conversions.id, { onDelete: 'cascade' }),
    pairedAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
    lastSeenAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
  },
  (t) => [index().on(t.personId), index().on(t.conversionId)],
)

/** Ways in that were told and not used yet. */
export const invitations = pgTable(
  'invitations',
  {
    id: uuid().primaryKey().defaultRandom(),
    codeHash: text().notNull().unique(),
    rights: text({ enum: rightsOfDevices }).notNull(),
    conversionId: uuid().references(() => conversions.id, { onDelete: 'cascade' }),
    expiresAt: timestamp({ withTimezone: true }).notNull(),
  },
  (t) => [index().on(t.conversionId)],
)

/** Ways in that were tried and were none, so that nobody tries for long. */
export const attempts = pgTable(
  'attempts',
  {
    id: uuid().primaryKey().defaultRandom(),
    /** The address it came from. */
    origin: text().notNull(),
    at: timestamp({ withTimezone: true }).notNull().defaultNow(),
  },
  (t) => [index().on(t.at)],
)

/** Names with a pass-phrase, where a shop wants them. */
export const people = pgTable('people', {
  id: uuid().primaryKey().defaultRandom(),
  name: text().notNull().unique(),
  /** Argon2id. */
  passphraseHash: text().notNull(),
  rights: text({ enum: rightsOfDevices }).notNull(),
  createdAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
})

/** Facts about this database itself, such as whether demo data was wanted. */
export const marks = pgTable('marks', { name: text().primaryKey(), value: text().notNull() })
