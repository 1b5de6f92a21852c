import {
  fitMeasurements,
  type FitReading,
  type Measured,
  type Measurement,
  type Reading,
} from '@zesty/core/measurements'
import { asc, eq, inArray, sql } from 'drizzle-orm'
import { JsonText } from '../answers/jsonText'
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
  return (await measuredOfAll(db, [conversionId])).get(conversionId) ?? fitMeasurements([])
}

/** What the readings of several conversions come to, by their ids; one without readings is not among them. */
export async function measuredOfAll(db: Database, conversionIds: readonly string[]): Promise<Map<string, Measured>> {
  if (conversionIds.length === 0) return new Map()
  const rows = await db
    .select({
      conversionId: measurements.conversionId,
      id: measurements.id,
      kind: measurements.kind,
      value: measurements.value,
      lead: measurements.lead,
      of: measurements.of,
      positionId: measurements.positionId,
      hz: measurements.hz,
      motorRpm: measurements.motorRpm,
      dial: measurements.dial,
      commandedRpm: measurements.commandedRpm,
      fromRpm: measurements.fromRpm,
      toRpm: measurements.toRpm,
    })
    .from(measurements)
    .where(inArray(measurements.conversionId, [...conversionIds]))
    .orderBy(asc(measurements.takenAt), asc(measurements.id))
  const of = new Map<string, FitReading[]>()
  for (const row of rows) {
    const one: FitReading = {
      id: row.id,
      kind: row.kind,
      value: row.value,
      lead: row.lead ?? undefined,
      of: row.of ?? undefined,
      positionId: row.positionId ?? undefined,
      hz: row.hz ?? undefined,
      motorRpm: row.motorRpm ?? undefined,
      dial: row.dial ?? undefined,
      commandedRpm: row.commandedRpm ?? undefined,
      fromRpm: row.fromRpm ?? undefined,
      toRpm: row.toRpm ?? undefined,
    }
    const there = of.get(row.conversionId)
    if (there) there.push(one)
    else of.set(row.conversionId, [one])
  }
  return new Map([...of].map(([id, all]) => [id, fitMeasurements(all)]))
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
  by?: string,
): Promise<number> {
  const { rowCount } = await db.execute(sql`
    insert into measurements (conversion_id, id, kind, value, lead, "of", position_id, hz, motor_rpm, dial, commanded_rpm,
      from_rpm, to_rpm, instrument, "by", note, taken_at)
    select ${conversionId}::uuid, coalesce(id, gen_random_uuid()), kind, value, lead, "of", "positionId", hz, "motorRpm",
      dial, "commandedRpm", "fromRpm", "toRpm", instrument, coalesce("by", ${by ?? null}::text), note, "takenAt"
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
