import { fitMeasurements, type Measured, type Measurement, type Reading } from '@zesty/core/measurements'
import { and, asc, eq, sql } from 'drizzle-orm'
import { JsonText } from '../answers/jsonText'
import { cursorOf, isAfter, type ListPage, type Paged } from '../answers/listPage'
import type { Database } from '../db/database'
import { conversions, measurements } from '../db/schema'

/** What a reading may leave out, by its key. */
const optional = [
  ...([
    'lead',
    'of',
    'positionId',
    'hz',
    'motorRpm',
    'dial',
    'commandedRpm',
    'fromRpm',
    'toRpm',
    'instrument',
    'by',
    'note',
  ] as const),
]

/**
 * A reading as it is answered, put together by the database: to make thousands of rows into objects and those into text
 * takes three times as long, and so do its own functions for objects.
 */
const asJson = sql.join(
  [
    sql`'{"id":"' || ${measurements.id} || '","kind":"' || ${measurements.kind} || '","value":' || ${measurements.value}`,
    ...optional.map((key) => {
      const begins = sql.raw(`',"${key}":'`)
      return sql`coalesce(${begins} || to_json(${measurements[key]}), '')`
    }),
    sql`',"takenAt":"' || to_char(${measurements.takenAt} at time zone 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"') || '"}'`,
  ],
  sql` || `,
)

/**
 * The readings of the conversion that a statement is about, as JSON text. The tables are named: of one table alone the
 * query builder writes its columns without it, and an `id` in here would be a reading's.
 */
export const readingsText = sql<string>`(
  select '[' || coalesce(string_agg(${asJson}, ',' order by ${measurements.takenAt}, ${measurements.id}), '') || ']'
  from measurements where measurements.conversion_id = conversions.id)`

/** The readings of one conversion as an answer, in the order in which they were taken. */
export async function measurementsAsText(db: Database, conversionId: string): Promise<JsonText> {
  const [row] = await db
    .select({
      text: sql<string>`'[' || coalesce(string_agg(${asJson}, ',' order by ${measurements.takenAt}, ${measurements.id}), '') || ']'`,
    })
    .from(measurements)
    .where(eq(measurements.conversionId, conversionId))
  return new JsonText(row?.text ?? '[]')
}

/** A page of them, and where the next begins. */
export async function measurementsPage(
  db: Database,
  conversionId: string,
  page: ListPage,
  most: number,
): Promise<Paged<JsonText>> {
  const one = db
    .select({
      text: sql<string>`${asJson}`.as('text'),
      cursor: cursorOf(measurements.takenAt, measurements.id).as('cursor'),
      place: sql<number>`row_number() over (order by ${measurements.takenAt}, ${measurements.id})`.as('place'),
    })
    .from(measurements)
    .where(and(eq(measurements.conversionId, conversionId), isAfter(measurements.takenAt, measurements.id, page)))
    .orderBy(asc(measurements.takenAt), asc(measurements.id))
    .limit(most + 1)
    .as('one')
  const [row] = await db
    .select({
      text: sql<string>`'[' || coalesce(string_agg(${one.text}, ',' order by ${one.place}) filter (where ${one.place} <= ${most}), '') || ']'`,
      last: sql<string | null>`max(${one.cursor}) filter (where ${one.place} = ${most})`,
      more: sql<boolean>`count(*) > ${most}`,
    })
    .from(one)
  return { rows: new JsonText(row?.text ?? '[]'), next: row?.more === true ? (row.last ?? undefined) : undefined }
}

/** The same as a file takes them along: an id is of this database only. */
export async function readingsOf(db: Database, conversionId: string): Promise<Reading[]> {
  const { text } = await measurementsAsText(db, conversionId)
  return (JSON.parse(text) as Partial<Measurement>[]).map((one) => {
    delete one.id
    return one as Reading
  })
}

/** What the readings of one conversion come to. */
export async function measuredOf(db: Database, conversionId: string): Promise<Measured> {
  const { text } = await measurementsAsText(db, conversionId)
  return fitMeasurements(JSON.parse(text) as Measurement[])
}

type SentReading = Omit<Measurement, 'id'> & { id?: string | undefined }

/**
 * Keeps readings, each once; verdicts that were kept to be quick are of others from here on. One text for all of them: a
 * value apart for each column of thousands takes seconds. Says how many were not there before.
 */
export async function insertMeasurements(
  db: Pick<Database, 'execute' | 'update'>,
  conversionId: string,
  readings: readonly SentReading[],
): Promise<number> {
  const { rowCount } = await db.execute(sql`
    insert into measurements (conversion_id, id, kind, value, lead, "of", position_id, hz, motor_rpm, dial, commanded_rpm,
      from_rpm, to_rpm, instrument, "by", note, taken_at)
    select ${conversionId}::uuid, coalesce(id, gen_random_uuid()), kind, value, lead, "of", "positionId", hz, "motorRpm",
      dial, "commandedRpm", "fromRpm", "toRpm", instrument, "by", note, "takenAt"
    from json_to_recordset(${JSON.stringify(readings)}::json) as sent (id uuid, kind text, value float8, lead text,
      "of" text, "positionId" text, hz float8, "motorRpm" float8, dial float8, "commandedRpm" float8, "fromRpm" float8, "toRpm" float8,
      instrument text, "by" text, note text, "takenAt" timestamptz)
    on conflict do nothing`)
  await readingsChanged(db, conversionId)
  return rowCount ?? 0
}

export const readingsChanged = (db: Pick<Database, 'update'>, conversionId: string) =>
  db
    .update(conversions)
    .set({ readingsRevision: sql`${conversions.readingsRevision} + 1` })
    .where(eq(conversions.id, conversionId))
