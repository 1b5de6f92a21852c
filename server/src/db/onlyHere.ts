import type { Database } from './database'

/**
 * Does something unless another server on this database is doing it: by an advisory lock, which goes with the connection
 * that holds it. Returns undefined where another does it.
 */
export async function onlyHere<T>(db: Database, name: string, work: () => Promise<T>): Promise<T | undefined> {
  const client = await db.$client.connect()
  let isLost = false
  const lost = () => (isLost = true)
  client.on('error', lost)
  try {
    const { rows } = await client.query<{ got: boolean }>('select pg_try_advisory_lock(hashtext($1)) as got', [name])
    if (rows[0]?.got !== true) return undefined
    try {
      return await work()
    } finally {
      // A connection that cannot be asked is not given to others; its lock goes with it.
      await client.query('select pg_advisory_unlock(hashtext($1))', [name]).catch(lost)
    }
  } finally {
    client.off('error', lost)
    client.release(isLost)
  }
}
