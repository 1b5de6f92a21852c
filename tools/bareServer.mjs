// @ts-check
// What Node and PostgreSQL can do by themselves: the same statements for a read and a save, and nothing around them. The
// bench holds the server against it. Takes the database's address and a port.
import { createServer } from 'node:http'
import pg from 'pg'

const [, , connectionString, port] = process.argv
const pool = new pg.Pool({ connectionString, max: 12 })

const COLUMNS = 'id, shop_id, revision, plan, saved_at'

/** @param {string} id */
const read = async (id) =>
  (await pool.query({ name: 'read', text: `select ${COLUMNS} from conversions where id = $1`, values: [id] })).rows[0]

/** @param {string} id @param {{baseRevision: number, plan: unknown}} save */
async function save(id, { baseRevision, plan }) {
  const client = await pool.connect()
  try {
    await client.query('begin')
    const { rows } = await client.query({
      name: 'update',
      text: `update conversions set plan = $1, revision = $2, saved_at = $3 where id = $4 and revision = $5 returning ${COLUMNS}`,
      values: [JSON.stringify(plan), baseRevision + 1, new Date(), id, baseRevision],
    })
    await client.query({
      name: 'insert',
      text: 'insert into revisions (conversion_id, revision, plan, origin, by, saved_at) values ($1, $2, $3, $4, $5, $6)',
      values: [id, baseRevision + 1, JSON.stringify(plan), 'edited', 'this computer', rows[0].saved_at],
    })
    await client.query('commit')
    return rows[0]
  } finally {
    client.release()
  }
}

createServer(async (req, res) => {
  const id = /^\/api\/conversions\/(.+)$/.exec(req.url ?? '')?.[1] ?? ''
  let body = ''
  if (req.method === 'PUT') for await (const part of req.setEncoding('utf8')) body += part
  const row = req.method === 'PUT' ? await save(id, JSON.parse(body)) : await read(id)
  const text = JSON.stringify(row)
  res.writeHead(200, { 'content-type': 'application/json; charset=utf-8', 'content-length': Buffer.byteLength(text) })
  res.end(text)
}).listen(Number(port), '127.0.0.1', () => console.log('listens'))
