// @ts-check
import { readFileSync, statSync } from 'node:fs'
import { join } from 'node:path'
import { setTimeout as sleep } from 'node:timers/promises'

/** @typedef {{name: string, method?: string, path: string, body?: unknown}} Call */
/** @typedef {{text: string, ms: number, rows: number, scanned: string[]}} Statement */

/**
 * What the page asks of the API, each once, of one shop, one machine and one of its revisions.
 * @param {{shopId: string, id: string, plan: any, revision: number, kept: number}} of
 * @returns {Call[]}
 */
export const apiCalls = ({ shopId, id, plan, revision, kept }) => [
  { name: 'shops', path: '/api/shops' },
  { name: 'a shop', path: `/api/shops/${shopId}` },
  { name: 'machines of a shop', path: `/api/shops/${shopId}/conversions` },
  { name: 'library of a shop', path: `/api/shops/${shopId}/library` },
  { name: 'pages of manuals', path: `/api/shops/${shopId}/photos` },
  { name: 'a machine', path: `/api/conversions/${id}` },
  { name: 'a machine opened', path: `/api/conversions/${id}/judged?stage=settings` },
  { name: 'revisions', path: `/api/conversions/${id}/revisions` },
  { name: 'a revision', path: `/api/conversions/${id}/revisions/${kept}` },
  { name: 'a machine at a moment', path: `/api/conversions/${id}/at/2100-01-01T00:00:00Z` },
  { name: 'entries', path: `/api/conversions/${id}/entries` },
  { name: 'readings', path: `/api/conversions/${id}/measurements` },
  { name: 'log', path: `/api/conversions/${id}/log` },
  { name: 'photos', path: `/api/conversions/${id}/photos` },
  { name: 'a file of it', path: `/api/conversions/${id}/export` },
  {
    name: 'what changed is kept',
    method: 'PATCH',
    path: `/api/conversions/${id}`,
    body: { baseRevision: revision, changes: [{ path: 'motor.powerW', value: 1234 }] },
  },
  {
    name: 'the whole is kept',
    method: 'PUT',
    path: `/api/conversions/${id}`,
    body: { baseRevision: revision + 1, plan: { ...plan, motor: { ...plan.motor, powerW: 1235 } } },
  },
  {
    name: 'a reading is added',
    method: 'POST',
    path: `/api/conversions/${id}/measurements`,
    body: { measurements: [{ kind: 'amps', value: 4, takenAt: '2026-03-01T10:00:00.000Z' }] },
  },
  {
    name: 'a revision is named',
    method: 'PUT',
    path: `/api/conversions/${id}/revisions/${kept}/name`,
    body: { name: 'Named' },
  },
  { name: 'a machine is begun', method: 'POST', path: `/api/shops/${shopId}/conversions`, body: { name: 'Another' } },
  { name: 'another is begun from it', method: 'POST', path: `/api/conversions/${id}/copy` },
]

/** Has PostgreSQL write down every statement with the plan that it ran by. @param {import('./clusterRoles.mjs').Addresses} urls */
export async function explainAll({ admin, serving }) {
  // Not there yet where nothing is installed.
  const { default: pg } = await import('pg')
  const database = new URL(serving).pathname.slice(1)
  const client = new pg.Client({ connectionString: admin })
  await client.connect()
  try {
    for (const [name, value] of Object.entries({
      session_preload_libraries: 'auto_explain',
      'auto_explain.log_min_duration': '0',
      'auto_explain.log_analyze': 'on',
      'auto_explain.log_format': 'json',
      'auto_explain.log_parameter_max_length': '0',
    }))
      await client.query(`alter database ${client.escapeIdentifier(database)} set ${name} = '${value}'`)
  } finally {
    await client.end()
  }
}

/** How long PostgreSQL may take to write down what it ran, ms. */
const WRITTEN_MS = 40

/** Asks once. @param {string} url @param {Call} call @param {string} home of the cluster @returns {Promise<Statement[]>} what the database was asked meanwhile */
export async function statementsOf(url, { name, method = 'GET', path, body }, home) {
  const log = join(home, 'server.log')
  const before = statSync(log).size
  const answer = await fetch(`${url}${path}`, {
    method,
    ...(body === undefined ? {} : { body: JSON.stringify(body), headers: { 'content-type': 'application/json' } }),
  })
  if (!answer.ok) throw new Error(`${name} was answered ${answer.status}: ${await answer.text()}`)
  await answer.arrayBuffer()
  await sleep(WRITTEN_MS)
  return statementsIn(readFileSync(log).subarray(before).toString())
}

/** The statements with their plans in a part of PostgreSQL's log. @param {string} log @returns {Statement[]} */
function statementsIn(log) {
  return [...log.matchAll(/duration: ([\d.]+) ms {2}plan:\n((?:\t.*\n?)+)/g)].map(([, ms, json = '']) => {
    const { 'Query Text': text, Plan: plan } = JSON.parse(json.replace(/^\t/gm, ''))
    const nodes = nodesOf(plan)
    return {
      text: String(text).replace(/\s+/g, ' '),
      ms: Number(ms),
      rows: nodes.filter(isScan).reduce((sum, node) => sum + readBy(node), 0),
      scanned: nodes.filter((node) => node['Node Type'] === 'Seq Scan').map((node) => node['Relation Name']),
    }
  })
}

/** @param {any} node @returns {any[]} */
const nodesOf = (node) => [node, ...(node.Plans ?? []).flatMap(nodesOf)]

/** @param {any} node */
const isScan = (node) => /Scan$/.test(node['Node Type']) && 'Relation Name' in node

/** Rows that were looked at, also those that were not wanted. @param {any} node */
const readBy = (node) =>
  ((node['Actual Rows'] ?? 0) + (node['Rows Removed by Filter'] ?? 0) + (node['Rows Removed by Index Recheck'] ?? 0)) *
  (node['Actual Loops'] ?? 1)
