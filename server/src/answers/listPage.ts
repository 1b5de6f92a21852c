import { sql, type Column, type SQL } from 'drizzle-orm'
import type { FastifyReply } from 'fastify'
import { isKeptMoment, LAST_REVISION } from '@zesty/core/http'
import { z } from 'zod'

/** The last row that was listed: when it was begun, to the microsecond as the database has it, and its id. */
interface Cursor {
  at: string
  id: string
}

const cursorSchema = z.object({ at: z.iso.datetime({ precision: 6 }).refine(isKeptMoment), id: z.uuid() })

/** Which rows of a list are asked for: those after a cursor that an earlier answer gave. */
export const listPageSchema = z.strictObject({
  after: z
    .string()
    .max(120)
    .transform((text, ctx): Cursor => {
      const [at, id] = Buffer.from(text, 'base64url').toString().split(' ')
      const read = cursorSchema.safeParse({ at, id })
      if (read.success) return read.data
      ctx.addIssue('must be as an earlier answer gave it')
      return z.NEVER
    })
    .optional(),
})

/** The same of revisions, whose cursor is the number of the last that was listed. */
export const revisionPageSchema = z.strictObject({
  after: z
    .string()
    .transform((text) => Number(Buffer.from(text, 'base64url').toString()))
    .pipe(z.int('must be as an earlier answer gave it').min(1).max(LAST_REVISION))
    .optional(),
})

export type RevisionPage = z.output<typeof revisionPageSchema>
export type ListPage = z.output<typeof listPageSchema>

/** A row's cursor, as the database writes it. */
export const cursorOf = (at: Column, id: Column): SQL<string> =>
  sql<string>`to_char(${at} at time zone 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.US"Z"') || ' ' || ${id}`

/** What comes after a cursor in the order of time and id; everything without one. */
export const isAfter = (at: Column, id: Column, { after }: ListPage): SQL | undefined =>
  after && sql`(${at}, ${id}) > (${after.at}::timestamptz, ${after.id}::uuid)`

/** Rows of one page, and the cursor of the last of them where more follow. */
export interface Paged<T> {
  rows: T
  next: string | undefined
}

/** Of rows, one more than a page was asked for: a page of them, and where the next begins. */
export function paged<T extends { cursor: string }>(found: readonly T[], most: number): Paged<Omit<T, 'cursor'>[]> {
  const rows = found.slice(0, most)
  return { rows: rows.map(withoutCursor), next: found.length > most ? rows.at(-1)?.cursor : undefined }
}

function withoutCursor<T extends { cursor: string }>(row: T): Omit<T, 'cursor'> {
  const rest: Partial<T> = { ...row }
  delete rest.cursor
  return rest as Omit<T, 'cursor'>
}

/** Says in the answer where the next page is (RFC 8288). */
export function sayNext(reply: FastifyReply, path: string, next: string | undefined): void {
  if (next !== undefined) reply.header('link', `<${path}?after=${Buffer.from(next).toString('base64url')}>; rel="next"`)
}
