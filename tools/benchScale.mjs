// @ts-check
import { setTimeout as sleep } from 'node:timers/promises'
import { performance } from 'node:perf_hooks'
import { pathToFileURL } from 'node:url'
import { join } from 'node:path'
import { apiCalls, statementsOf } from './apiCalls.mjs'
import { TABLES } from './backup.mjs'
import { quantile } from './benchLine.mjs'
import { demoServer } from './demoServer.mjs'
import { root } from './paths.mjs'
import { freePort } from './ports.mjs'
import { ensureApplication } from './setUp.mjs'

const SHOPS = 20_000
const REVISIONS_EACH = 8
const MACHINES_OF_ONE = 500
const REVISIONS_OF_ONE = 10_000
/** Rows of every other kind, over all machines. */
const OTHERS = 40_000

/** The longest that the database may work for one statement, ms. */
const MOST_MS = 10

/** Tables that grow with use: none is ever read from end to end. */
const growing = new Set([...TABLES.filter((table) => !['people', 'marks'].includes(table)), 'verdicts'])

const USERS = 100
const BUSY_S = 20

/** Many shops in a throwaway database: every statement of the API there, and two servers under many users. */
export async function benchScale() {
  // Not there yet where nothing is installed.
  const { default: pg } = await import('pg')
  const server = await demoServer({ explained: true })
  try {
    const client = new pg.Client({ connectionString: server.databaseUrl })
    await client.connect()
    const began = performance.now()
    const of = await fill(client, server.url)
    console.log(`Filled in ${((performance.now() - began) / 1000).toFixed(0)} s: ${await sizes(client)}\n`)
    const areGood = await explain(server, of)
    await client
      .query(`alter database ${client.escapeIdentifier(client.database ?? '')} reset all`)
      .catch(() => undefined)
    await underUsers(server, client)
    await client.end()
    if (!areGood) process.exitCode = 1
  } finally {
    await server.close()
  }
}

/** @param {import('pg').Client} client @param {string} url */
async function fill(client, url) {
  const [shop] = /** @type {{id: string}[]} */ (await (await fetch(`${url}/api/shops`)).json())
  // Kept as of this release: to judge twenty thousand machines is not what is measured.
  await (await fetch(`${url}/api/shops/${shop?.id}/conversions`)).arrayBuffer()
  await sleep(500)
  const { rows } = await client.query(
    'select plan, line, line_of from conversions where line_of is not null order by length(plan::text) desc limit 1',
  )
  const { plan, line, line_of: lineOf } = rows[0]
  const release = lineOf.split(' ')[0]
  const small = {
    ...plan,
    survey: { positions: [], jobs: [], holders: [], hazards: [] },
    wiring: {},
    manual: undefined,
  }
  const run = (/** @type {string} */ text, /** @type {unknown[]} */ values = []) => client.query(text, values)
  await run(`insert into shops (name, created_at)
    select 'Shop ' || i, now() - i * interval '1 minute' from generate_series(1, ${SHOPS}) i`)
  await run(
    `insert into conversions (shop_id, plan, line, line_of, revision)
      select id, $1::jsonb, $2::jsonb, $3 || ' ${REVISIONS_EACH} 0', ${REVISIONS_EACH} from shops where name like 'Shop %'`,
    [JSON.stringify(small), JSON.stringify(line), release],
  )
  await run(`insert into revisions (conversion_id, revision, plan, origin, saved_at, begun_at)
    select c.id, i, c.plan, case i when 1 then 'begun' else 'edited' end, now() - (60 - i) * interval '1 hour', now()
    from conversions c join shops s on s.id = c.shop_id, generate_series(1, ${REVISIONS_EACH}) i where s.name like 'Shop %'`)
  const { rows: one } = await run(`insert into shops (name) values ('One of many machines') returning id`)
  const shopId = /** @type {string} */ (one[0].id)
  await run(
    `insert into conversions (shop_id, plan, line, line_of, revision)
      select $1, $2::jsonb, $3::jsonb, $4 || ' ${REVISIONS_OF_ONE} 0', ${REVISIONS_OF_ONE} from generate_series(1, ${MACHINES_OF_ONE})`,
    [shopId, JSON.stringify(plan), JSON.stringify(line), release],
  )
  const { rows: machine } = await run('select id, plan from conversions where shop_id = $1 limit 1', [shopId])
  const { id } = machine[0]
  await run(
    `insert into revisions (conversion_id, revision, plan, origin, saved_at, begun_at, changed, changed_since)
      select $1, i, $2::jsonb, case i when 1 then 'begun' else 'edited' end, now() - (${REVISIONS_OF_ONE} - i) * interval '2 minutes',
        now(), '{"count":1,"first":["Motor, Power"]}', i - 1 from generate_series(1, ${REVISIONS_OF_ONE}) i`,
    [id, JSON.stringify(plan)],
  )
  const spread = `from (select id, row_number() over () as n from conversions) c, generate_series(0, ${OTHERS - 1}) i where i % 20500 = c.n`
  await run(`insert into measurements (conversion_id, kind, value, taken_at) select c.id, 'amps', 4, now() ${spread}`)
  await run(`insert into entries (conversion_id, path, at) select c.id, 'checks.link', now() ${spread}`)
  await run(
    `insert into log_entries (id, conversion_id, kind, text, at) select gen_random_uuid(), c.id, 'note', 'x', now() ${spread}`,
  )
  await run(
    `insert into verdicts (conversion_id, what, "of", answer) select id, 'verdict', 'x', 'x' from conversions on conflict do nothing`,
  )
  await run(`insert into photos (shop_id, conversion_id, "of", width_px, height_px, jpeg, taken_at)
    select shop_id, id, 'log', 1, 1, '', now() from conversions`)
  await run(
    `insert into library_items (shop_id, kind, name, version, item) select id, 'motor', 'Motor', 1, '{}' from shops where name like 'Shop %'`,
  )
  await run('vacuum analyze')
  return { shopId, id, plan: machine[0].plan, revision: REVISIONS_OF_ONE, kept: REVISIONS_OF_ONE - 1 }
}

/** @param {import('pg').Client} client */
async function sizes(client) {
  const { rows } = await client.query(`select
    (select count(*) from shops) as shops, (select count(*) from conversions) as machines, (select count(*) from revisions) as revisions,
    pg_size_pretty(pg_database_size(current_database())) as size`)
  const { shops, machines, revisions, size } = rows[0]
  return `${shops} shops, ${machines} machines, ${revisions} revisions, ${size}.`
}

/** @param {{url: string, home: string}} server @param {Parameters<typeof apiCalls>[0]} of */
async function explain({ url, home }, of) {
  let areGood = true
  console.log(
    `${'asked of the API'.padEnd(30)}${'statements'.padEnd(12)}${'rows read'.padEnd(12)}${'slowest'.padEnd(12)}read from end to end`,
  )
  for (const call of apiCalls(of)) {
    const statements = await statementsOf(url, call, home)
    const slowest = Math.max(0, ...statements.map(({ ms }) => ms))
    const scanned = [...new Set(statements.flatMap((one) => one.scanned))].filter((table) => growing.has(table))
    const rows = statements.reduce((sum, one) => sum + one.rows, 0)
    const isGood = slowest < MOST_MS && scanned.length === 0
    areGood &&= isGood
    console.log(
      `${call.name.padEnd(30)}${String(statements.length).padEnd(12)}${String(rows).padEnd(12)}${`${slowest.toFixed(2)} ms`.padEnd(12)}${scanned.join(', ') || 'none'}${isGood ? '' : '  NOT MET'}`,
    )
  }
  return areGood
}

/** Two servers on the database under many users, who open, look and change. @param {{url: string, urls: import('./clusterRoles.mjs').Addresses}} server @param {import('pg').Client} client */
async function underUsers({ url, urls }, client) {
  const { server: program, openApiFile, webRoot } = ensureApplication()
  const { serve } = await import(pathToFileURL(program).href)
  const second = await serve({
    host: '127.0.0.1',
    port: await freePort(),
    databaseUrl: urls.serving,
    ownerUrl: urls.owner,
    webRoot,
    openApiFile,
    migrations: join(root, 'server', 'migrations'),
    demoFolder: join(root, 'demo'),
    samplesFolder: join(root, 'samples'),
    demo: 'as-before',
  })
  try {
    const { rows } = await client.query(`select id, shop_id from conversions order by id limit ${USERS}`)
    /** @type {Record<string, number[]>} */
    const times = { 'a machine opened': [], 'machines of a shop': [], 'what changed is kept': [] }
    let refused = 0
    const until = performance.now() + 1000 * BUSY_S
    const timed = async (/** @type {string} */ name, /** @type {() => Promise<Response>} */ ask) => {
      const began = performance.now()
      const answer = await ask()
      const text = await answer.text()
      times[name]?.push(performance.now() - began)
      if (!answer.ok) refused += 1
      return answer.ok ? JSON.parse(text) : undefined
    }
    await Promise.all(
      rows.map(async ({ id, shop_id: shopId }, user) => {
        const at = user % 2 === 0 ? url : second.url
        await sleep(1000 * Math.random())
        const opened = await timed('a machine opened', () => fetch(`${at}/api/conversions/${id}/judged?stage=motor`))
        let revision = opened?.conversion.revision ?? 1
        for (let n = 0; performance.now() < until; n += 1) {
          const body = JSON.stringify({ baseRevision: revision, changes: [{ path: 'motor.powerW', value: 100 + n }] })
          const kept = await timed('what changed is kept', () =>
            fetch(`${at}/api/conversions/${id}`, {
              method: 'PATCH',
              body,
              headers: { 'content-type': 'application/json' },
            }),
          )
          revision = kept?.revision ?? revision
          await timed('machines of a shop', () => fetch(`${at}/api/shops/${shopId}/conversions`))
          await sleep(1000 + 1000 * Math.random())
        }
      }),
    )
    console.log(
      `\nTwo servers on one database, ${USERS} users for ${BUSY_S} s, all in one process of two cores; ${refused} refused.`,
    )
    for (const [name, all] of Object.entries(times))
      console.log(
        `${name.padEnd(30)}${(all.length / BUSY_S).toFixed(0)} a second, median ${quantile(all, 0.5).toFixed(0)} ms, p95 ${quantile(all, 0.95).toFixed(0)} ms`,
      )
  } finally {
    await second.close()
  }
}
