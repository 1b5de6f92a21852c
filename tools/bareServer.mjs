// @ts-check
// What Node and PostgreSQL can do by themselves: the same statements for a read and a save, and nothing around them. The
// bench holds the server against it. Takes the database's address and a port.
import { Buffer } from 'node:buffer'
import { createServer } from 'node:http'
import pg from 'pg'

const [, , connectionString, port] = process.argv
const pool = new pg.Pool({ connectionString, max: 12 })

/** @param {string} id */
const read = async (id) =>
  (
    await pool.query({
      name: 'read',
      text: `select id, shop_id, revision, saved_at, plan::text as plan from conversions where id = $1`,
      values: [id],
    })
  ).rows[0]

/** @param {string} id @param {{baseRevision: number, plan: unknown}} save */
async function save(id, { baseRevision, plan }) {
  const { rows } = await pool.query({
    name: 'save',
    text: `with stepped as (
        update conversions set plan = $1::jsonb, revision = $2, saved_at = $3 where id = $4 and revision = $5
        returning id, shop_id, revision, plan, saved_at
      ), kept as (
        insert into revisions (conversion_id, revision, plan, origin, "by", saved_at)
        select id, revision, plan, $6, $7, saved_at from stepped
      )
      select shop_id from stepped`,
    values: [JSON.stringify(plan), baseRevision + 1, new Date(), id, baseRevision, 'edited', 'this computer'],
  })
  return { id, ...rows[0], revision: baseRevision + 1, plan }
}

createServer(async (req, res) => {
  const id = /^\/api\/conversions\/(.+)$/.exec(req.url ?? '')?.[1] ?? ''
  let body = ''
  if (req.method === 'PUT') for await (const part of req.setEncoding('utf8')) body += part
  const row = req.method === 'PUT' ? await save(id, JSON.parse(body)) : await read(id)
  const text =
    req.method === 'PUT' ? JSON.stringify(row) : `{"id":"${row.id}","revision":${row.revision},"plan":${row.plan}}`
  res.writeHead(200, { 'content-type': 'application/json; charset=utf-8', 'content-length': Buffer.byteLength(text) })
  res.end(text)
}).listen(Number(port), '127.0.0.1', () => console.log('listens'))
