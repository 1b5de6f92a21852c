import { drizzle, type NodePgDatabase } from 'drizzle-orm/node-postgres'
import { migrate } from 'drizzle-orm/node-postgres/migrator'
import pg from 'pg'
import * as schema from './schema'

export type Database = NodePgDatabase<typeof schema> & { $client: pg.Pool }

/** Injection token of the open database. */
export const DATABASE = Symbol('database')

export interface OpenDatabase {
  db: Database
  close: () => Promise<void>
}

/**
 * How long the database may take: a moment to give a connection, another to answer. Where both are used up, or where a
 * transaction that hangs is given up by a rollback that hangs as well, there is an answer within two seconds still. What
 * the database does after that it ends by itself, so that a place that nobody waits for becomes free.
 */
const PATIENCE = {
  connectionTimeoutMillis: 800,
  query_timeout: 900,
  statement_timeout: 5000,
  lock_timeout: 3000,
  idle_in_transaction_session_timeout: 10_000,
}

const CONNECTIONS = 12

/** How long to wait for the database where that is not as it ships, in milliseconds. */
export type Patience = Partial<typeof PATIENCE>

/**
 * Brings the database to the newest schema, which other servers may do at once, and opens it.
 * @param url opens it for serving
 * @param ownerUrl opens it for one who may change its tables; the same where one role does both
 * @param patience for a machine on which browsers under test leave the database little room
 */
export async function openDatabase(
  url: string,
  migrationsFolder: string,
  ownerUrl = url,
  patience?: Patience,
): Promise<OpenDatabase> {
  await migrateAlone(ownerUrl, migrationsFolder, new URL(url).username)
  const pool = new pg.Pool({ connectionString: url, max: CONNECTIONS, keepAlive: true, ...PATIENCE, ...patience })
  // A dropped idle connection is replaced at the next query; without a listener it would end the process.
  pool.on('error', () => undefined)
  const db = drizzle(pool, { schema, casing: 'snake_case' })
  return { db, close: () => pool.end() }
}

/** Any fixed number; it names the lock that lets one server migrate at a time. */
const MIGRATION_LOCK = 4747

async function migrateAlone(url: string, migrationsFolder: string, servedBy: string): Promise<void> {
  const client = new pg.Client({ connectionString: url })
  client.on('error', () => undefined)
  await client.connect()
  try {
    // Ends with the connection.
    await client.query('select pg_advisory_lock($1)', [MIGRATION_LOCK])
    await migrate(drizzle(client, { casing: 'snake_case' }), { migrationsFolder })
    if (servedBy !== new URL(url).username) await permit(client, servedBy)
  } finally {
    await client.end()
  }
}

/** Lets a role read and write what is in the tables, and nothing else. */
async function permit(client: pg.Client, role: string): Promise<void> {
  const to = client.escapeIdentifier(role)
  await client.query(`grant usage on schema public to ${to}`)
  await client.query(`grant select, insert, update, delete on all tables in schema public to ${to}`)
}
