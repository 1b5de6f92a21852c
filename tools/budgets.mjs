// @ts-check
import { spawnSync } from 'node:child_process'
import { existsSync, readFileSync, readdirSync, statSync, writeFileSync } from 'node:fs'
import { basename, join } from 'node:path'
import { pathToFileURL } from 'node:url'
import { apiCalls, statementsOf } from './apiCalls.mjs'
import { demoServer } from './demoServer.mjs'
import { fullestPlan, typicalEdits, withValue } from './demoPlan.mjs'
import { root } from './paths.mjs'
import { ensureApplication, ensureCommandLine } from './setUp.mjs'

/**
 * What is counted, because counts are exact where clocks are not: makers and judgements run for a typical edit, kilobytes
 * of script by which a stage is first shown, kilobytes that one evaluation allocates.
 * @typedef {Record<string, Record<string, number>>} Counts
 */

const file = join(root, 'budgets.json')

/** An allocation differs a little with what was collected while it was measured. */
const ALLOCATED_WITHIN = 1.1

/** Holds today's counts against `budgets.json`; with `--lower` writes what has become less. @param {string[]} args */
export async function budgets(args = []) {
  const counts = {
    ...(await runsOfEdits()),
    ...(await askedOfDatabase()),
    'kB of script, Brotli': scriptOfStages(),
    allocated: allocated(),
  }
  /** @type {Counts} */
  const limits = existsSync(file) ? JSON.parse(readFileSync(file, 'utf8')) : {}
  if (args.includes('--lower')) {
    writeFileSync(file, `${JSON.stringify(lowered(counts, limits), null, 2)}\n`)
    return { passed: 1, failed: 0 }
  }
  let [passed, failed] = [0, 0]
  for (const [group, of] of Object.entries(counts))
    for (const [name, count] of Object.entries(of)) {
      const limit = limits[group]?.[name]
      const most = limit === undefined ? NaN : group === 'allocated' ? limit * ALLOCATED_WITHIN : limit
      if (count <= most) {
        passed += 1
        continue
      }
      failed += 1
      console.log(`${group}, ${name}: ${count}, at most ${limit ?? 'none is set'}`)
    }
  if (failed > 0) console.log('A limit goes up only with its reason, in the message of the commit that raises it.')
  return { passed, failed }
}

/** @param {Counts} counts @param {Counts} limits @returns {Counts} */
const lowered = (counts, limits) => ({
  // What is counted elsewhere, in the tests of the page, stays as it is.
  ...limits,
  ...Object.fromEntries(
    Object.entries(counts).map(([group, of]) => [
      group,
      Object.fromEntries(
        Object.entries(of).map(([name, count]) => [name, Math.min(count, limits[group]?.[name] ?? Infinity)]),
      ),
    ]),
  ),
})

/** Makers of facts and further parts, and judgements, that run after each of twelve edits on the fullest demo machine. @returns {Promise<Counts>} */
async function runsOfEdits() {
  const core = await import(pathToFileURL(ensureCommandLine()).href)
  const plan = fullestPlan(core)
  /** @type {Counts} */
  const counts = { 'makers run': {}, 'judgements run': {} }
  for (const [name, [path, values]] of Object.entries(typicalEdits)) {
    const before = core.conversion(withValue(plan, path, values[0]))
    Object.values(before.evaluation)
    const after = core.conversion(withValue(plan, path, values[1]), { before })
    Object.values(after.evaluation)
    /** @type {string[]} */
    const ran = after.graph.ran
    const isJudgement = (/** @type {string} */ part) => part.includes('.') && !part.startsWith('evaluation.')
    counts['makers run'] = { ...counts['makers run'], [name]: ran.filter((part) => !isJudgement(part)).length }
    counts['judgements run'] = { ...counts['judgements run'], [name]: ran.filter(isJudgement).length }
  }
  return counts
}

/** What the database is asked for each call of the API, of the fullest demo machine, opened before. @returns {Promise<Counts>} */
async function askedOfDatabase() {
  const core = await import(pathToFileURL(ensureCommandLine()).href)
  const server = await demoServer({ explained: true })
  /** @type {Counts} */
  const counts = { 'statements of the database': {}, 'rows read': {} }
  try {
    const { name } = fullestPlan(core)
    /** @param {string} path @returns {Promise<any>} */
    const ask = async (path) => (await fetch(`${server.url}/api/${path}`)).json()
    for (const { id: shopId } of await ask('shops'))
      for (const line of await ask(`shops/${shopId}/conversions`)) {
        if (line.name !== name) continue
        const { conversion } = await ask(`conversions/${line.id}/judged?stage=settings`)
        const { revision } = conversion
        for (const call of apiCalls({ ...{ shopId, id: line.id, plan: conversion.plan }, revision, kept: revision })) {
          const statements = await statementsOf(server.url, call, server.home)
          counts['statements of the database'] = {
            ...counts['statements of the database'],
            [call.name]: statements.length,
          }
          counts['rows read'] = {
            ...counts['rows read'],
            [call.name]: statements.reduce((sum, one) => sum + one.rows, 0),
          }
        }
      }
    return counts
  } finally {
    await server.close()
  }
}

/** Every script that a view imports before it is shown, by what the build says of it. */
function scriptOfStages() {
  const { webRoot } = ensureApplication()
  const assets = join(webRoot, 'assets')
  const scripts = readdirSync(assets).filter((name) => name.endsWith('.js'))
  const importsOf = (/** @type {string} */ name) => {
    const text = readFileSync(join(assets, name), 'utf8')
    const named = [...text.matchAll(/(?:from|import)\s*["']\.\/([^"']+\.js)["']/g)].map(([, other = '']) => other)
    return named.filter((other) => other !== name)
  }
  const closure = (/** @type {readonly string[]} */ names) => {
    const all = new Set()
    const queue = [...names]
    for (let name = queue.pop(); name !== undefined; name = queue.pop())
      if (!all.has(name)) {
        all.add(name)
        queue.push(...importsOf(name))
      }
    return [...all]
  }
  const entry = [...readFileSync(join(webRoot, 'index.html'), 'utf8').matchAll(/src="[^"]*assets\/([^"]+\.js)"/g)].map(
    ([, name = '']) => name,
  )
  const received = (/** @type {string} */ name) => {
    const packed = join(assets, `${name}.br`)
    return statSync(existsSync(packed) ? packed : join(assets, name)).size
  }
  const named = (/** @type {string} */ start) => scripts.filter((name) => name.startsWith(start))
  const views = readdirSync(join(root, 'web', 'src', 'stages')).filter((name) =>
    existsSync(join(root, 'web', 'src', 'stages', name, 'Stage.tsx')),
  )
  const kB = (/** @type {readonly string[]} */ names) =>
    Math.ceil(closure(names).reduce((sum, name) => sum + received(name), 0) / 1000)
  const stages = named('Stage-')
  // What begins brings the page itself, and at the same time the screen that the address names.
  const page = [...entry, ...named('main-')]
  const shell = [...page, ...named('ConversionScreen-')]
  return {
    shop: kB([...page, ...named('ShopScreen-')]),
    ...Object.fromEntries(views.map((view) => [view, kB([...shell, ...stages.filter((name) => isOf(view, name))])])),
  }

  /** Whether a script is a stage's own: it says so by the name of its file in the shell. @param {string} view @param {string} name */
  function isOf(view, name) {
    return shell.some((script) => {
      const text = readFileSync(join(assets, script), 'utf8')
      const at = text.indexOf(`./${view}/Stage.tsx`)
      return at !== -1 && text.slice(at, at + 200).includes(basename(name))
    })
  }
}

/** Bytes that one evaluation takes, nothing being collected meanwhile. */
function allocated() {
  const code = `
import { fullestPlan } from ${JSON.stringify(pathToFileURL(join(root, 'tools', 'demoPlan.mjs')).href)}
const core = await import(${JSON.stringify(pathToFileURL(ensureCommandLine()).href)})
const plan = fullestPlan(core)
const once = () => Object.values(core.conversion(plan).evaluation)
for (let i = 0; i < 400; i += 1) once()
globalThis.gc()
const before = process.memoryUsage().heapUsed
for (let i = 0; i < 20; i += 1) once()
console.log((process.memoryUsage().heapUsed - before) / 20 / 1000)`
  const flags = ['--expose-gc', '--max-semi-space-size=256', '--min-semi-space-size=256']
  const { stdout } = spawnSync(process.execPath, [...flags, '--input-type=module', '--eval', code], {
    encoding: 'utf8',
  })
  return { 'one evaluation, kB': Math.ceil(Number(stdout)) }
}
