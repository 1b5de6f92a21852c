import { libraryKinds } from '@zesty/core/library'
import {
  boolean,
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
export const shops = pgTable('shops', {
  id: uuid().primaryKey().defaultRandom(),
  name: text().notNull(),
  units: text({ enum: ['metric', 'imperial'] })
    .notNull()
    .default('metric'),
  /** Made from the demo files; taken away again while untouched. */
  demo: boolean().notNull().default(false),
  createdAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
})

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
    createdAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
    savedAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
  },
  (t) => [index().on(t.shopId)],
)

/** Every plan that was ever kept. */
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
    savedAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
  },
  (t) => [primaryKey({ columns: [t.conversionId, t.revision] })],
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

/** Facts about this database itself, such as whether demo data was wanted. */
export const marks = pgTable('marks', { name: text().primaryKey(), value: text().notNull() })
