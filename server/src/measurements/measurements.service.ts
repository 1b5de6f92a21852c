import { Inject, Injectable } from '@nestjs/common'
import type { NewMeasurements } from '@zesty/core/http'
import { MOST_READINGS } from '@zesty/core/measurements'
import { and, count, eq } from 'drizzle-orm'
import { namedFor, type Asker } from '../access/who'
import type { JsonText } from '../answers/jsonText'
import type { ListPage, Paged } from '../answers/listPage'
import { conversionMustExist } from '../conversions/conversionMustExist'
import { DATABASE, type Database } from '../db/database'
import { measurements } from '../db/schema'
import { badInput, notFound } from '../problems/problem'
import { insertMeasurements, measuredOf, measurementsPage, readingsChanged } from './storedMeasurements'

/** Readings that go in one answer. */
const LISTED = 2000

/** What was read off a machine: rows of their own, beside its plan. */
@Injectable()
export class MeasurementsService {
  constructor(@Inject(DATABASE) private readonly db: Database) {}

  async list(conversionId: string, page: ListPage): Promise<Paged<JsonText>> {
    const all = await measurementsPage(this.db, conversionId, page, LISTED)
    if (all.rows.text === '[]') await conversionMustExist(this.db, conversionId)
    return all
  }

  async add(conversionId: string, { measurements: sent }: NewMeasurements, by: Asker) {
    await conversionMustExist(this.db, conversionId)
    const [there] = await this.db
      .select({ count: count() })
      .from(measurements)
      .where(eq(measurements.conversionId, conversionId))
    if ((there?.count ?? 0) + sent.length > MOST_READINGS)
      throw badInput(
        [
          {
            field: 'measurements',
            message: `A machine keeps at most ${MOST_READINGS} readings, and has ${there?.count ?? 0}. Keep some as CSV and take them away.`,
          },
        ],
        422,
      )
    const signed = sent.map((reading) => ({ ...reading, by: namedFor(by, reading.by) }))
    const added = await this.db.transaction((tx) => insertMeasurements(tx, conversionId, signed))
    return { added, measured: await measuredOf(this.db, conversionId) }
  }

  async remove(conversionId: string, id: string) {
    await this.db.transaction(async (tx) => {
      const removed = await tx
        .delete(measurements)
        .where(and(eq(measurements.conversionId, conversionId), eq(measurements.id, id)))
        .returning({ id: measurements.id })
      if (removed.length === 0) throw notFound('reading')
      await readingsChanged(tx, conversionId)
    })
    return measuredOf(this.db, conversionId)
  }
}
