import { drizzle, type NodePgDatabase } from 'drizzle-orm/node-postgres'
import { migrate } from 'drizzle-orm/node-postgres/migrator'
import pg from 'pg'
import * as schema from './schema'

export type Database = NodePgDatabase<typeof schema>

/** Injection token of the open database. */
export const DATABASE = Symbol('database')

export interface OpenDatabase {
  db: Database
  close: () => Promise<void>
}

/** Opens the database and brings it to the newest schema; other servers may do the same at once. */
export async function openDatabase(url: string, migrationsFolder: string): Promise<OpenDatabase> {
  const pool = new pg.Pool({ connectionString: url, max: 12 })
  // A dropped idle connection is replaced at the next query; without a listener it would end the process.
  pool.on('error', () => undefined)
  const db = drizzle(pool, { schema, casing: 'snake_case' })
  await migrateAlone(pool, migrationsFolder)
  return { db, close: () => pool.end() }
}

/** Any fixed number; it names the lock that lets one server migrate at a time. */
const MIGRATION_LOCK = 4747

async function migrateAlone(pool: pg.Pool, migrationsFolder: string): Promise<void> {
  const client = await pool.connect()
  try {
    await client.query('select pg_advisory_lock($1)', [MIGRATION_LOCK])
    await migrate(drizzle(client, { casing: 'snake_case' }), { migrationsFolder })
  } finally {
    await client.query('select pg_advisory_unlock($1)', [MIGRATION_LOCK])
    client.release()
  }
}
